import { Link } from 'react-router';
import { StageBar } from '../making/StageBar';
import { minutesSaid } from '../making/minutes';
import { due } from './due';
import { nextOf, orderSaid, type Row } from './week';

/** Where the pieces of a job are, how much is left to do, what is next, and what is waited for. */
export function Progress({ job, withDue = false }: { job: Row; withDue?: boolean }) {
  const next = nextOf(job);
  return (
    <div className="job-progress">
      <StageBar pieces={job.stages} />
      <p>
        {withDue && job.due && <span className="due">{due(job.due)}</span>}
        {job.orderId && orderSaid(job.order) && (
          <Link to={`/jobs/orders/${job.orderId}`} className="look">
            ▲ {orderSaid(job.order)}
          </Link>
        )}
        {job.awaits > 0 && (
          <span>
            {job.awaits} {job.awaits === 1 ? 'waits' : 'wait'} for approval
          </span>
        )}
        {next && (
          <span>
            Next: <Link to={next.to}>{next.words}</Link>
          </span>
        )}
        {job.handsLeft > 0 && <span className="soft">{minutesSaid(job.handsLeft)} left</span>}
      </p>
    </div>
  );
}
