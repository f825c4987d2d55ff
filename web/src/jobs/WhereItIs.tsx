import { useQuery } from '@tanstack/react-query';
import { Link } from 'react-router';
import { answer, api } from '../api/client';
import { StageBar } from '../making/StageBar';
import { minutesSaid } from '../making/minutes';
import { orderSaid } from './week';

/** Where everything of a job is, run by run, and what is next of each. */
export function WhereItIs({ id }: { id: string }) {
  const { data: job } = useQuery({
    queryKey: ['job', id, 'progress'],
    queryFn: () => answer(api.GET('/api/jobs/{id}/progress', { params: { path: { id } } })),
    refetchInterval: (q) => (q.state.data?.runs.some((r) => r.isPending) ? 800 : false),
  });
  if (!job || job.runs.length === 0) return null;
  const said = orderSaid(job.order);
  return (
    <section className="card where" aria-label="Where it is">
      <h2>
        Where it is
        <span className="hint">
          {job.handsLeft > 0 ? `${minutesSaid(job.handsLeft)} with hands on left` : job.stage === 'packed' ? 'all is packed' : ''}
        </span>
      </h2>
      {job.orderId && (
        <p className={said ? 'finding' : 'soft small'}>
          {said ? `${said[0]?.toUpperCase() ?? ''}${said.slice(1)}. ` : 'Taken from an order. '}
          <Link to={`/jobs/orders/${job.orderId}`}>See the order</Link>
        </p>
      )}
      <ul>
        {job.runs.map((r) => (
          <li key={r.id}>
            <Link to={`/runs/${r.id}/bench`}>{r.name || 'Without a name'}</Link>
            {r.stages.length > 0 ? (
              <StageBar pieces={r.stages} />
            ) : (
              <span className="soft">{r.isPending ? 'being worked out …' : 'no names yet'}</span>
            )}
            <span>
              {r.isPending ? (
                ''
              ) : !r.isComplete ? (
                <Link to={`/runs/${r.id}/set-up`}>complete its set-up</Link>
              ) : r.next ? (
                `next: ${r.next}`
              ) : (
                'done'
              )}
            </span>
            <span className="end soft">{r.handsLeft > 0 && minutesSaid(r.handsLeft)}</span>
          </li>
        ))}
      </ul>
      {job.awaits > 0 && (
        <p className="soft">
          {job.awaits} {job.awaits === 1 ? 'piece waits' : 'pieces wait'} for the customer’s approval.
        </p>
      )}
    </section>
  );
}
