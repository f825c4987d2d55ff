import { useState } from 'react';
import type { Schemas } from '../api/client';
import { LineRow } from './LineRow';

type Line = Schemas['OrderLine'];

interface Props {
  view: Schemas['OrderView'];
  sheet: Schemas['OrderSheet'];
  offers: readonly Schemas['OfferView'][];
  onLines: (lines: Line[]) => void;
}

const SHOWN = 100;
const MOST_LINES = 2000;

/** The lines of an order, edited in place; what stops a line stands below it. */
export function OrderLines({ view, sheet, offers, onLines }: Props) {
  const [shown, setShown] = useState(SHOWN);
  const [troubled, setTroubled] = useState(false);
  const { lines } = sheet;
  // A column for every field that a line says or that its offer has.
  const fields = [
    'name',
    ...new Set([...lines.flatMap((l) => Object.keys(l.fields)), ...view.lines.flatMap((l) => l.fields)].filter((f) => f !== 'name')),
  ];
  const stopped = view.lines.filter((l) => !l.mayBeTaken).length;
  const rows = lines.map((line, at) => ({ line, at, read: view.lines[at] })).filter((r) => !troubled || r.read?.mayBeTaken === false);
  const set = (at: number, line: Line) => onLines(lines.map((l, i) => (i === at ? line : l)));
  return (
    <section className="card" aria-label="Lines">
      <h2>
        {lines.length} {lines.length === 1 ? 'line' : 'lines'}
        {stopped > 0 && (
          <button type="button" className="quiet look" aria-pressed={troubled} onClick={() => setTroubled(!troubled)}>
            {troubled ? 'Show all' : `▲ Show the ${stopped} that cannot be taken`}
          </button>
        )}
      </h2>
      <table className="order-lines">
        <thead>
          <tr>
            <th scope="col" className="end">
              No.
            </th>
            <th scope="col">Offer</th>
            {fields.map((f) => (
              <th key={f} scope="col">
                {f[0]?.toUpperCase()}
                {f.slice(1)}
              </th>
            ))}
            <th scope="col">How many</th>
            <th scope="col" aria-label="Deeds" />
          </tr>
        </thead>
        <tbody>
          {rows.slice(0, shown).map(({ line, at, read }) => (
            <LineRow
              key={at}
              at={at}
              line={line}
              read={read}
              fields={fields}
              offers={offers}
              onLine={(l) => set(at, l)}
              onRemove={() => onLines(lines.filter((_, i) => i !== at))}
            />
          ))}
        </tbody>
      </table>
      <div className="deeds">
        {rows.length > shown && (
          <button type="button" className="btn btn-sm btn-line" onClick={() => setShown(shown + SHOWN)}>
            Show more; {rows.length - shown} are not shown
          </button>
        )}
        <button
          type="button"
          className="btn btn-sm btn-line"
          disabled={lines.length >= MOST_LINES}
          onClick={() => {
            setTroubled(false);
            setShown(Math.max(shown, lines.length + 1));
            onLines([...lines, { offer: lines.at(-1)?.offer ?? '', quantity: '', fields: {} }]);
          }}
        >
          Add a line
        </button>
      </div>
    </section>
  );
}
