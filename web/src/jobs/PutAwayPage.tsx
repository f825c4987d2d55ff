import { keepPreviousData, useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { Button, Form } from 'react-bootstrap';
import { Link } from 'react-router';
import { answer, api } from '../api/client';
import { TitleRow, Waiting } from '../frame/TitleRow';
import { dayWords } from './times';

const ON_PAGE = 50;

/** Jobs that are done with, found again by their words. */
export function PutAwayPage() {
  const [words, setWords] = useState('');
  const [from, setFrom] = useState(0);
  const cache = useQueryClient();
  const { data, error } = useQuery({
    queryKey: ['jobs', 'put-away', words, from],
    queryFn: () => answer(api.GET('/api/jobs/put-away', { params: { query: { words, from } } })),
    placeholderData: keepPreviousData,
  });
  const out = useMutation({
    mutationFn: (id: string) => answer(api.POST('/api/jobs/put-away', { body: { ids: [id], away: false } })),
    onSuccess: () => void cache.invalidateQueries({ queryKey: ['jobs'] }),
  });
  if (!data) return <Waiting error={error} />;
  return (
    <div className="page put-away">
      <TitleRow title="Put away" about={`${data.all} ${data.all === 1 ? 'job' : 'jobs'} done with`}>
        <Form.Control
          size="sm"
          type="search"
          aria-label="Find among the jobs put away"
          placeholder="Name, customer, note, 2026-12"
          value={words}
          onChange={(e) => {
            setWords(e.target.value);
            setFrom(0);
          }}
        />
        <Link to="/jobs" className="btn btn-sm btn-line">
          To the jobs
        </Link>
      </TitleRow>
      {data.found === 0 && (
        <p className="empty">
          {data.all === 0
            ? 'No job is put away. A job that is done with is put away from its page, or from what is packed.'
            : 'None of them says that.'}
        </p>
      )}
      <ul className="job-rows">
        {data.rows.map((j) => (
          <li key={j.id}>
            <Link to={`/jobs/${j.id}`}>{j.name || 'Without a name'}</Link>
            <span className="soft">{j.customer}</span>
            <span className="soft">{j.due && `was due ${dayWords(j.due)} ${j.due.slice(0, 4)}`}</span>
            <span className="soft">
              {j.runs} {j.runs === 1 ? 'run' : 'runs'}
            </span>
            <Button size="sm" variant="line" disabled={out.isPending} aria-label={`Take out ${j.name}`} onClick={() => out.mutate(j.id)}>
              Take out
            </Button>
          </li>
        ))}
      </ul>
      {out.error && <p className="echo problem">{out.error.message}</p>}
      {data.found > ON_PAGE && (
        <div className="deeds">
          <Button size="sm" variant="line" disabled={from === 0} onClick={() => setFrom(Math.max(0, from - ON_PAGE))}>
            Later ones
          </Button>
          <span className="soft">
            {from + 1} to {Math.min(from + ON_PAGE, data.found)} of {data.found}
          </span>
          <Button size="sm" variant="line" disabled={from + ON_PAGE >= data.found} onClick={() => setFrom(from + ON_PAGE)}>
            Earlier ones
          </Button>
        </div>
      )}
    </div>
  );
}
