import { Link } from 'react-router';
import type { Schemas } from '../api/client';
import { Words } from '../units/Words';

/** What a run still lacks, with the way to mend it. */
export function Lacks({ id, lacks }: { id: string; lacks: readonly Schemas['Finding'][] }) {
  return (
    <div className="empty">
      <p>Before the names can be set:</p>
      <LackList lacks={lacks} />
      <Link to={`/runs/${id}/set-up`} className="btn btn-sm btn-main">
        To the set-up
      </Link>
    </div>
  );
}

/** What is lacking, one after the other. */
export function LackList({ lacks }: { lacks: readonly Schemas['Finding'][] }) {
  return (
    <ul>
      {lacks.map((l, i) => (
        <li key={i}>
          <Words of={l.message} />
        </li>
      ))}
    </ul>
  );
}
