import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { Link } from 'react-router';
import { answer, api } from '../api/client';
import { minutesSaid } from '../making/minutes';
import { JobSlip } from './JobSlip';
import { isPending } from './pending';
import { Progress } from './Progress';
import type { Group, Row } from './week';

/** Jobs that are due together: the nearest drawn, the others as rows. */
export function WeekGroup({ group, drawn }: { group: Group; drawn: number }) {
  const left = group.jobs.reduce((n, j) => n + j.handsLeft, 0);
  const [slips, rows] = [group.jobs.slice(0, drawn), group.jobs.slice(drawn)];
  const body = (
    <>
      {slips.length > 0 && (
        <div className={slips.length === 1 ? 'slips single' : 'slips'}>
          {slips.map((j) => (
            <Drawn key={j.id} row={j} />
          ))}
        </div>
      )}
      {rows.length > 0 && (
        <ul className="job-rows">
          {rows.map((j) => (
            <li key={j.id}>
              <Link to={`/jobs/${j.id}`}>{j.name || 'Without a name'}</Link>
              <span className="soft">{j.customer}</span>
              <Progress job={j} withDue={group.key === 'later' || group.key === 'late' || group.key === 'packed'} />
            </li>
          ))}
        </ul>
      )}
    </>
  );
  if (group.key === 'packed') {
    return (
      <details className="week-group">
        <summary>
          Packed <span className="count">{group.jobs.length}</span>
        </summary>
        <PutAllAway ids={group.jobs.map((j) => j.id)} />
        {body}
      </details>
    );
  }
  return (
    <section className="week-group" aria-label={group.name}>
      <h2 className={group.key === 'late' ? 'look' : ''}>
        {group.key === 'late' && '▲ '}
        {group.name}
        {left > 0 && <span className="soft small"> {minutesSaid(left)} left</span>}
      </h2>
      {body}
    </section>
  );
}

/** Puts all that is packed away at once. */
function PutAllAway({ ids }: { ids: readonly string[] }) {
  const cache = useQueryClient();
  const put = useMutation({
    mutationFn: () => answer(api.POST('/api/jobs/put-away', { body: { ids: [...ids], away: true } })),
    onSuccess: () => void cache.invalidateQueries({ queryKey: ['jobs'] }),
  });
  return (
    <p className="put-away-note">
      <button type="button" className="btn btn-sm btn-line" disabled={put.isPending} onClick={() => put.mutate()}>
        Put {ids.length === 1 ? 'it' : `all ${ids.length}`} away
      </button>
      {put.error && <span className="echo problem"> {put.error.message}</span>}
    </p>
  );
}

/** A job with the pictures of its runs, which come a little later. */
function Drawn({ row }: { row: Row }) {
  const { data } = useQuery({
    queryKey: ['job', row.id, 'slip'],
    queryFn: () => answer(api.GET('/api/jobs/{id}', { params: { path: { id: row.id } } })),
    // Pictures that were not kept come a few at a time.
    refetchInterval: (q) => (q.state.data?.runs.some(isPending) ? 500 : false),
  });
  return <JobSlip id={row.id} name={row.name} customer={row.customer} due={row.due} runs={data?.runs} progress={<Progress job={row} />} />;
}
