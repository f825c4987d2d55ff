import { Link } from 'react-router';
import type { Schemas } from '../api/client';
import { RunNeeds } from '../readiness/RunNeeds';
import { due } from './due';
import { isPending, namesOf } from './pending';
import { RunPicture } from './RunPicture';

/** An order as a slip: its runs with a picture of the first piece, and what is still to do. */
export function JobSlip({ job }: { job: Schemas['JobView'] }) {
  return (
    <article className="slip job-slip">
      <header>
        <h2>
          <Link to={`/jobs/${job.id}`}>{job.job.name || 'Without a name'}</Link>
        </h2>
        <span>{job.job.customer}</span>
        <span className="due">{due(job.job.due)}</span>
      </header>
      {job.runs.length === 0 && (
        <p className="soft">
          No runs yet. <Link to={`/jobs/${job.id}`}>Add the first</Link>
        </p>
      )}
      <div className="slip-runs">
        {job.runs.map((r) => (
          <Link key={r.id} to={`/runs/${r.id}/${r.todo ? 'set-up' : 'fit'}`} className="slip-run">
            <RunPicture run={r} />
            <span className="run-words">
              <strong>{r.name}</strong>
              <span>
                {namesOf(r)}
                {r.blank && ` on ${r.blank}`}
              </span>
              <em>{r.todo || (isPending(r) ? 'being drawn …' : <RunNeeds id={r.id} />)}</em>
            </span>
          </Link>
        ))}
      </div>
    </article>
  );
}
