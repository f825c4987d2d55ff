import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { Button, Form } from 'react-bootstrap';
import { useNavigate } from 'react-router';
import { answer, api } from '../api/client';
import { KINDS } from './names';

/** Starts the measuring of a blank; with a job, of one that is for that order only. */
export function NewBlank({ jobId = null }: { jobId?: string | null }) {
  const [name, setName] = useState('');
  const [kind, setKind] = useState('straight');
  const go = useNavigate();
  const cache = useQueryClient();
  const add = useMutation({
    mutationFn: () => {
      const chosen = KINDS.find((k) => k.key === kind) ?? KINDS[0];
      return answer(
        api.POST('/api/blanks', {
          body: { name: name.trim(), surface: chosen?.surface ?? 'straight', outline: chosen?.outline ?? null, jobId },
        }),
      );
    },
    onSuccess: (blank) => {
      void cache.invalidateQueries({ queryKey: ['blanks'] });
      void go(`/shelf/${blank.id}`);
    },
  });
  return (
    <Form
      className="new-blank"
      onSubmit={(e) => {
        e.preventDefault();
        if (name.trim()) add.mutate();
      }}
    >
      <strong>{jobId ? 'Measure one for this job only' : 'Measure a blank'}</strong>
      <Form.Control
        size="sm"
        aria-label="Name of the blank"
        placeholder="What is it called?"
        value={name}
        onChange={(e) => setName(e.target.value)}
      />
      <Form.Select size="sm" aria-label="Kind of surface" value={kind} onChange={(e) => setKind(e.target.value)}>
        {KINDS.map((k) => (
          <option key={k.key} value={k.key}>
            {k.words}
          </option>
        ))}
      </Form.Select>
      <Button type="submit" size="sm" variant="main" disabled={!name.trim() || add.isPending}>
        Start measuring
      </Button>
      {add.error && <p className="echo problem">{add.error.message}</p>}
    </Form>
  );
}
