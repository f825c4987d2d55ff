import type { ReactNode } from 'react';
import { Link } from 'react-router';
import type { Schemas } from '../api/client';
import { RunNeeds } from '../readiness/RunNeeds';
import { due as dueSaid } from './due';
import { isPending, namesOf } from './pending';
import { RunPicture } from './RunPicture';

interface Props {
  id: string;
  name: string;
  customer: string;
  due: string;
  /** Its runs; undefined until they come. */
  runs?: readonly Schemas['RunCard'][];
  progress?: ReactNode;
}

/** An order as a slip: its runs with a picture of the first piece, where they are, and what is still to do. */
export function JobSlip({ id, name, customer, due, runs, progress }: Props) {
  return (
    <article className="slip job-slip">
      <header>
        <h2>
          <Link to={`/jobs/${id}`}>{name || 'Without a name'}</Link>
        </h2>
        <span>{customer}</span>
        <span className="due">{dueSaid(due)}</span>
      </header>
      {progress}
      {runs?.length === 0 && (
        <p className="soft">
          No runs yet. <Link to={`/jobs/${id}`}>Add the first</Link>
        </p>
      )}
      <div className="slip-runs">
        {runs?.map((r) => (
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
