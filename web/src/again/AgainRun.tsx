import { useId } from 'react';
import { Form } from 'react-bootstrap';
import type { Schemas } from '../api/client';
import { Check } from '../fields/Choice';
import { Words } from '../units/Words';
import type { RunDraft } from './draft';

const WHAT: Record<Schemas['MadeOf'], string> = { blank: 'The blank', motif: 'The motif', film: 'The film', cutter: 'The cutter' };

interface Props {
  run: Schemas['AgainRun'];
  draft: RunDraft;
  onChange: (change: Partial<RunDraft>) => void;
}

/** A run of last time: its names of this time, and what has changed since of what it is made of. */
export function AgainRun({ run, draft, onChange }: Props) {
  const id = useId();
  return (
    <section className={draft.isTaken ? 'card again-run' : 'card again-run left-out'} aria-label={run.name}>
      <h2>
        <Check label={run.name || 'Without a name'} value={draft.isTaken} onChange={(isTaken) => onChange({ isTaken })} />
        <span className="hint">
          {run.about}, {run.made} made last time
          {run.agreed && `, ${run.agreed} agreed for one`}
        </span>
      </h2>
      {draft.isTaken && (
        <div className="again-two">
          <div>
            <Form.Label htmlFor={id}>Names of this time</Form.Label>
            <Form.Control
              as="textarea"
              id={id}
              rows={9}
              maxLength={400_000}
              spellCheck={false}
              className="names"
              placeholder="One name a line, or rows of a table"
              value={draft.names}
              onChange={(e) => onChange({ names: e.target.value })}
            />
            {run.columns.length > 1 && (
              <p className="soft small">
                A row each, with columns for <b>{run.columns.map((c) => c || 'nothing').join(', ')}</b>.
              </p>
            )}
            <p className="soft small">
              {draft.names.trim() !== run.typed.trim() && (
                <button type="button" className="quiet" onClick={() => onChange({ names: run.typed })}>
                  Begin with the names of last time
                </button>
              )}
              {run.setByHand > 0 &&
                ` What was set by hand for ${run.setByHand} ${run.setByHand === 1 ? 'name' : 'names'} comes back when ${
                  run.setByHand === 1 ? 'it does' : 'they do'
                }.`}
            </p>
          </div>
          <div className="since">
            <h3>Since last time</h3>
            {run.lacks.map((l, i) => (
              <p key={i} className="finding">
                <Words of={l} />
              </p>
            ))}
            {run.changed.length === 0 && run.lacks.length === 0 && <p className="soft">Nothing it is made of was changed.</p>}
            {run.changed.map((c) => (
              <Changed
                key={`${c.what} ${c.id}`}
                of={c}
                asItWas={draft.asItWas.includes(c.id)}
                onAsItWas={(was) => onChange({ asItWas: was ? [...draft.asItWas, c.id] : draft.asItWas.filter((x) => x !== c.id) })}
              />
            ))}
          </div>
        </div>
      )}
    </section>
  );
}

function Changed({ of, asItWas, onAsItWas }: { of: Schemas['ChangedThing']; asItWas: boolean; onAsItWas: (was: boolean) => void }) {
  const { told, beyond } = of.differences;
  return (
    <div className="changed-since">
      <p>
        {WHAT[of.what]} <b>{of.name}</b> was changed.
      </p>
      {told.length > 0 && (
        <ul>
          {told.map((d, i) => (
            <li key={i}>
              {d.where}: <span className="soft">{d.before || 'nothing'}</span> → {d.after || 'nothing'}
            </li>
          ))}
          {beyond > 0 && <li className="soft">and {beyond} more</li>}
        </ul>
      )}
      <Check label="Use it as it was then" value={asItWas} onChange={onAsItWas} />
    </div>
  );
}
