import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { Button, Form } from 'react-bootstrap';
import { useNavigate } from 'react-router';
import { answer, api } from '../api/client';

/** Begins a job by hand. */
export function NewJob() {
  const [job, setJob] = useState({ name: '', customer: '', due: '' });
  const go = useNavigate();
  const cache = useQueryClient();
  const add = useMutation({
    mutationFn: () => answer(api.POST('/api/jobs', { body: { ...job, name: job.name.trim() } })),
    onSuccess: (j) => {
      void cache.invalidateQueries({ queryKey: ['jobs'] });
      void go(`/jobs/${j.id}`);
    },
  });
  return (
    <Form
      className="new-card"
      onSubmit={(e) => {
        e.preventDefault();
        if (job.name.trim()) add.mutate();
      }}
    >
      <strong>Take an order</strong>
      <Form.Control
        size="sm"
        aria-label="Name of the job"
        placeholder="What is it?"
        value={job.name}
        onChange={(e) => setJob({ ...job, name: e.target.value })}
      />
      <Form.Control
        size="sm"
        aria-label="Customer"
        placeholder="For whom?"
        value={job.customer}
        onChange={(e) => setJob({ ...job, customer: e.target.value })}
      />
      <Form.Control size="sm" type="date" aria-label="Due" value={job.due} onChange={(e) => setJob({ ...job, due: e.target.value })} />
      <Button type="submit" size="sm" variant="main" disabled={!job.name.trim() || add.isPending}>
        Add the job
      </Button>
      {add.error && <p className="echo problem">{add.error.message}</p>}
    </Form>
  );
}
