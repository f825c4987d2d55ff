import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useEffect, useState } from 'react';
import { Button, Form } from 'react-bootstrap';
import { Link, useNavigate, useParams } from 'react-router';
import { answer, api, type Schemas } from '../api/client';
import { documentSource, removalOf } from '../api/documents';
import { useDocument } from '../api/useDocument';
import { useRemoval } from '../api/useRemoval';
import { JobNeeds } from '../readiness/JobNeeds';
import { Conflict, TitleRow, Waiting } from '../frame/TitleRow';
import { Words } from '../units/Words';
import { JobSlip } from './JobSlip';
import { isPending } from './pending';
import { WhereItIs } from './WhereItIs';

/** An order and its runs. */
export function JobPage() {
  const { id = '' } = useParams();
  return <Ordering key={id} id={id} />;
}

function Ordering({ id }: { id: string }) {
  const params = { path: { id } };
  const go = useNavigate();
  const cache = useQueryClient();
  const [name, setName] = useState('');
  const job = useDocument(documentSource('jobs', id, { key: ['job', id], of: (v) => v.job, touches: [['jobs'], ['day']] }));
  const add = useMutation({
    mutationFn: () => answer(api.POST('/api/jobs/{id}/runs', { params, body: { name: name.trim() } })),
    onSuccess: (run) => {
      void cache.invalidateQueries({ queryKey: ['jobs'] });
      void cache.invalidateQueries({ queryKey: ['job', id] });
      void go(`/runs/${run.id}/set-up`);
    },
  });
  const remove = useRemoval({
    name: job.document?.name ?? '',
    settled: job.settled,
    ...removalOf('jobs', id),
    onGone: () => void go('/jobs'),
  });
  const { view, document, edit } = job;
  const pending = view?.runs.some(isPending);
  useEffect(() => {
    if (!pending) return;
    // Pictures that were not kept come a few at a time.
    const timer = setInterval(() => void cache.invalidateQueries({ queryKey: ['job', id] }), 500);
    return () => clearInterval(timer);
  }, [pending, cache, id]);
  if (!view || !document) return <Waiting error={job.error} undo={job.undo} />;
  const set = (change: Partial<Schemas['Job']>) => edit((j) => ({ ...j, ...change }));
  return (
    <div className="page">
      <TitleRow
        title={
          <Form.Control
            className="title-field"
            aria-label="Name of the job"
            value={document.name}
            onChange={(e) => set({ name: e.target.value })}
          />
        }
        undo={job.undo}
        redo={job.redo}
        past={`/past/job/${id}`}
      >
        <JobNeeds runs={view.runs} />
        <Link to={`/jobs/${id}/cards`} className="btn btn-sm btn-line">
          Bench cards
        </Link>
        {view.runs.length > 0 && (
          <Link to={`/jobs/${id}/again`} className="btn btn-sm btn-line">
            Again with other names
          </Link>
        )}
        <Link to={`/jobs/${id}/quotation`} className="btn btn-sm btn-line">
          Quotation
        </Link>
        <Button size="sm" variant="line" onClick={() => set({ isPutAway: !document.isPutAway })}>
          {document.isPutAway ? 'Take it out again' : 'Put away'}
        </Button>
        <Button
          size="sm"
          variant="line"
          disabled={view.runs.length > 0}
          title={view.runs.length ? 'It has runs' : undefined}
          onClick={() => remove.mutate()}
        >
          Remove the job
        </Button>
      </TitleRow>
      <Conflict words={job.conflict} takeTheirs={job.takeTheirs} keepMine={job.keepMine} />
      {document.isPutAway && (
        <p className="conflict">
          This job is put away: it is out of the week, the day and what waits to be cut. <Link to="/jobs/put-away">All that are</Link>
        </p>
      )}
      <div className="job-fields">
        <label>
          For
          <Form.Control size="sm" value={document.customer} onChange={(e) => set({ customer: e.target.value })} />
        </label>
        <label>
          Due
          <Form.Control size="sm" type="date" value={document.due} onChange={(e) => set({ due: e.target.value })} />
        </label>
        <label>
          At
          <Form.Control
            size="sm"
            className="narrow"
            maxLength={20}
            placeholder="closing"
            value={document.dueAt}
            isInvalid={!!view.problem}
            onChange={(e) => set({ dueAt: e.target.value })}
          />
          {view.problem && (
            <span className="echo problem">
              <Words of={view.problem} />
            </span>
          )}
        </label>
        <label className="wide">
          Note
          <Form.Control size="sm" value={document.note} onChange={(e) => set({ note: e.target.value })} />
        </label>
      </div>
      <WhereItIs id={id} />
      <JobSlip id={id} name={document.name} customer={document.customer} due={document.due} runs={view.runs} />
      <Form
        className="new-run"
        onSubmit={(e) => {
          e.preventDefault();
          if (name.trim()) add.mutate();
        }}
      >
        <Form.Control
          size="sm"
          aria-label="Name of the run"
          placeholder="A run: one motif on one blank, for a list of names"
          value={name}
          onChange={(e) => setName(e.target.value)}
        />
        <Button type="submit" size="sm" variant="main" disabled={!name.trim() || add.isPending}>
          Add a run
        </Button>
      </Form>
    </div>
  );
}
