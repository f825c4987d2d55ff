import { Form } from 'react-bootstrap';
import type { Schemas } from '../api/client';
import { Words } from '../units/Words';
import { Check } from '../fields/Choice';
import { PinChoice } from './PinChoice';
import type { SetUp } from './useRun';

interface Props {
  view: Schemas['RunView'];
  run: SetUp;
  edit: (change: (r: Schemas['Run']) => Schemas['Run']) => void;
  motifs: readonly { id: string; revision: number; name: string }[];
  lack?: Schemas['Phrase'];
}

/** Other sides of the same pieces: another motif in another zone, as a picture to the right of a mug's handle. */
export function SidesCard({ view, run, edit, motifs, lack }: Props) {
  if (view.zones.length < 2 && run.sides.length === 0) return null;
  const set = (id: string, to: Partial<Schemas['RunSide']>) =>
    edit((r) => withSides(r, (sides) => sides.map((s) => (s.id === id ? { ...s, ...to } : s))));
  const free = view.zones.find((z) => z.id !== (run.zone || view.zones[0]?.id) && !run.sides.some((s) => s.zone === z.id)) ?? view.zones[1];
  const add = () =>
    edit((r) =>
      withSides(r, (sides) => [
        ...sides,
        {
          id: `side-${1 + Math.max(1, ...sides.map((s) => Number(s.id.slice(5)) || 1))}`,
          motif: null,
          zone: free?.id ?? '',
          seenThrough: false,
        },
      ]),
    );
  return (
    <section className="card" aria-label="Other sides">
      <h2>
        Other sides<span className="hint">of the same pieces</span>
      </h2>
      {run.sides.map((side, i) => (
        <div key={side.id} className="run-side">
          <PinChoice
            label={`Motif of side ${i + 2}`}
            pin={side.motif}
            view={view.sides[i]?.motif ?? null}
            choices={motifs.map((m) => ({ id: m.id, revision: m.revision, name: m.name }))}
            onChange={(motif) => set(side.id, { motif })}
          />
          <label className="wide-field">
            Zone
            <Form.Select
              size="sm"
              aria-label={`Zone of side ${i + 2}`}
              value={side.zone || view.zones[0]?.id}
              onChange={(e) => set(side.id, { zone: e.target.value })}
            >
              {view.zones.map((z) => (
                <option key={z.id} value={z.id}>
                  {z.name}
                </option>
              ))}
            </Form.Select>
          </label>
          {(view.material?.material.opacity === 'clear' || side.seenThrough) && (
            <Check label="Seen through the goods" value={side.seenThrough} onChange={(seenThrough) => set(side.id, { seenThrough })} />
          )}
          {view.sides[i]?.room && (
            <p className="soft small">
              <Words of={view.sides[i].room} />
            </p>
          )}
          <button type="button" className="quiet" onClick={() => edit((r) => withoutSide(r, side.id))}>
            Take away
          </button>
        </div>
      ))}
      {lack && (
        <p className="echo problem">
          <Words of={lack} />
        </p>
      )}
      <button type="button" className="btn btn-sm btn-line" onClick={add}>
        Add a side
      </button>
    </section>
  );
}

function withSides(run: Schemas['Run'], change: (sides: Schemas['RunSide'][]) => Schemas['RunSide'][]): Schemas['Run'] {
  return { ...run, setUp: { ...run.setUp, sides: change(run.setUp.sides) } };
}

/** The run without a side, and without what was set by hand on it. */
export function withoutSide(run: Schemas['Run'], id: string): Schemas['Run'] {
  const pieces = run.list.pieces.map((p) =>
    id in p.ownOnSides ? { ...p, ownOnSides: Object.fromEntries(Object.entries(p.ownOnSides).filter(([side]) => side !== id)) } : p,
  );
  return {
    ...withSides(run, (sides) => sides.filter((s) => s.id !== id)),
    list: pieces.every((p, i) => p === run.list.pieces[i]) ? run.list : { ...run.list, pieces },
  };
}
