import { Link } from 'react-router';
import type { Schemas } from '../api/client';
import { pathOf } from '../readiness/pathOf';
import { Words } from '../units/Words';
import type { Plan } from './edits';

interface Props {
  view: Schemas['PlanView'];
  edit: (change: (plan: Plan) => Plan) => void;
}

/** What is held back, each with its reason and the way to where it can be mended; and what was changed since it was cut. */
export function HeldCard({ view, edit }: Props) {
  if (view.held.length === 0 && view.changed.length === 0 && view.unset === 0) return null;
  return (
    <section className="card held-card" aria-label="Held back">
      {view.unset > 0 && (
        <p className="soft" role="status">
          {view.unset} names are still being set.
        </p>
      )}
      {view.held.length > 0 && (
        <h2>
          Held back<span className="count over">{view.held.length}</span>
        </h2>
      )}
      {view.held.map((h) => (
        <p key={`${h.run} ${h.piece}`} className="finding stop">
          {h.why.message.parts[0]?.text !== h.name && (
            <>
              <b>{h.name}</b>:{' '}
            </>
          )}
          <Words of={h.why.message} /> <Link to={h.piece ? pathOf(h.run, h.piece) : `/runs/${h.run}/set-up`}>Mend it</Link>
        </p>
      ))}
      {view.changed.length > 0 && (
        <h2>
          Changed since it was cut<span className="count">{view.changed.length}</span>
        </h2>
      )}
      {view.changed.map((c) => (
        <p key={JSON.stringify(c.id)} className="finding look">
          <b>{c.name}</b> was changed after it was released with <Link to={`/cutting/loads/${c.loadId}`}>{c.load}</Link>.{' '}
          <button type="button" className="quiet" onClick={() => edit((p) => ({ ...p, again: [...p.again, c.id] }))}>
            Cut it again
          </button>
        </p>
      ))}
    </section>
  );
}
