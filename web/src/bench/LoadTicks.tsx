import { Link } from 'react-router';
import type { Schemas } from '../api/client';
import { LoadStages } from '../making/LoadStages';

/** The released loads of a run, ticked as a whole: what lies on one is weeded, laid and packed together. */
export function LoadTicks({ runId, loads }: { runId: string; loads: readonly Schemas['LoadTick'][] }) {
  return (
    <section className="card" aria-label="Load by load">
      <h2>Load by load</h2>
      {loads.length === 0 && (
        <p className="soft">
          No load of it is released yet. <Link to={`/runs/${runId}/loads`}>To its loads</Link>
        </p>
      )}
      {loads.map((l) => (
        <div key={l.id} className="load-tick">
          <Link to={`/cutting/loads/${l.id}`}>{l.name}</Link>
          <span className="soft small">
            {l.pieces.length} {l.pieces.length === 1 ? 'piece' : 'pieces'}
          </span>
          <LoadStages loadId={l.id} name={l.name} stage={l.stage} isCut={l.isCut} />
        </div>
      ))}
    </section>
  );
}
