import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { Button, Form } from 'react-bootstrap';
import { Link, useNavigate } from 'react-router';
import { answer, api } from '../api/client';
import { BrokenCards } from '../frame/BrokenCards';
import { TitleRow, Waiting } from '../frame/TitleRow';
import { isPending } from './pending';
import { JobSlip } from './JobSlip';

/** Orders by the day they are due. */
export function JobsPage() {
  const { data, error } = useQuery({
    queryKey: ['jobs'],
    queryFn: () => answer(api.GET('/api/jobs')),
    // Pictures that were not kept come a few at a time.
    refetchInterval: (q) => (q.state.data?.cards.some((j) => j.runs.some(isPending)) ? 500 : false),
  });
  const cache = useQueryClient();
  const demo = useMutation({ mutationFn: () => answer(api.POST('/api/demo')), onSuccess: () => cache.invalidateQueries() });
  if (!data) return <Waiting error={error} />;
  return (
    <div className="page">
      <TitleRow title="Jobs" about={data.cards.length ? 'by the day they are due' : ''}>
        {data.cards.length > 0 && (
          <Link to="/jobs/day" className="btn btn-sm btn-line">
            The day at the bench
          </Link>
        )}
      </TitleRow>
      {data.cards.length + data.broken.length === 0 && (
        <div className="empty">
          <p>No job yet. A job is an order: who wants it, for when, and its runs of names.</p>
          <p>
            First measure a blank on the <a href="/shelf">shelf</a>, or look round with the demo day of a small workshop.
          </p>
          <Button size="sm" variant="line" disabled={demo.isPending} onClick={() => demo.mutate()}>
            Bring in the demo day
          </Button>
        </div>
      )}
      <BrokenCards kind="jobs" of={data.broken} />
      <div className="slips">
        {data.cards.map((j) => (
          <JobSlip key={j.id} job={j} />
        ))}
        <NewJob />
      </div>
    </div>
  );
}

function NewJob() {
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
