import { useState } from 'react';
import type { Schemas } from '../api/client';
import { Choice } from '../fields/Choice';
import { length } from '../units/units';
import { useUnits } from '../units/UnitsContext';
import { UsualLength } from '../units/UsualLength';
import type { CutterPart } from './CarriersCard';
import { NUMBERS } from './numbers';

const ROLLERS = 'rollers';
const SIDES = [
  ['across', 'A, across', '100'],
  ['along', 'B, along', '100'],
  ['rising', 'C, from lower left', '141.4'],
  ['falling', 'D, from upper left', '141.4'],
] as const;

/** The proving square: cut on a carrier and measured, so that files are written through the inverse of what the cutter does. */
export function ProvingCard({ id, view, cutter, set, problem }: { id: string; view: Schemas['CutterView'] } & CutterPart) {
  const { units } = useUnits();
  const [chosen, choose] = useState('');
  const choices = [
    ...cutter.carriers.map((c) => [c.id, c.name] as const),
    ...(cutter.rollers.width.text.trim() ? ([[ROLLERS, 'Without a carrier']] as const) : []),
  ];
  const at = choices.find(([c]) => c === chosen)?.[0] ?? choices[0]?.[0];
  const number = cutter.carriers.findIndex((c) => c.id === at);
  const proved = at === ROLLERS ? cutter.rollers.proved : cutter.carriers[number]?.proved;
  const truth = view.truths.find((t) => t.carrierId === at);
  const numbers = NUMBERS.find(([n]) => n === cutter.svgNumbers)?.[2] ?? 'mm';
  const put = (change: Partial<Schemas['ProvingSquare']>) =>
    proved &&
    (at === ROLLERS
      ? set({ rollers: { ...cutter.rollers, proved: { ...proved, ...change } } })
      : set({ carriers: cutter.carriers.map((c) => (c.id === at ? { ...c, proved: { ...c.proved, ...change } } : c)) }));
  return (
    <section className="card" aria-label="Proving square">
      <h2>Proving square</h2>
      {!proved && <p className="soft">Add a carrier first: each is proved by itself.</p>}
      {proved && at && (
        <>
          {choices.length > 1 && <Choice label="On" value={at} of={choices} onChange={choose} />}
          <ol className="guide">
            <li>
              Cut a square of 100 there.
              <span className="guide-files">
                <a className="btn btn-sm btn-line" href={`/api/cutters/${id}/square?format=svg&units=${numbers}`} download>
                  SVG
                </a>
                <a className="btn btn-sm btn-line" href={`/api/cutters/${id}/square?format=dxf`} download>
                  DXF
                </a>
                <a className="btn btn-sm btn-line" href={`/api/cutters/${id}/square?format=hpgl`} download>
                  HPGL
                </a>
              </span>
            </li>
            <li>
              Measure its sides and diagonals.
              <div className="proving">
                <ProvingDrawing />
                <div className="stock-fields">
                  {SIDES.map(([name, label, usual]) => (
                    <UsualLength
                      key={name}
                      label={label}
                      value={proved[name]}
                      usual={usual}
                      problem={problem(at === ROLLERS ? `rollers.proved.${name}` : `carriers.${number}.proved.${name}`)}
                      onChange={(v) => put({ [name]: v })}
                    />
                  ))}
                </div>
              </div>
            </li>
          </ol>
          {truth ? (
            <p role="status">
              It makes <b>{truth.across.toFixed(4)}</b> of 1 across, <b>{truth.along.toFixed(4)}</b> along, and leans by{' '}
              <b>{truth.skewDegrees.toFixed(3)}°</b>. Files are written through the inverse: {length(90, units)} across as{' '}
              {length(truth.ninetyIsWritten, units, 3)}.
            </p>
          ) : (
            <p className="soft">With all four lengths, files make up for what the cutter does.</p>
          )}
        </>
      )}
    </section>
  );
}

/** Which length is which. */
function ProvingDrawing() {
  return (
    <svg className="proving-drawing" viewBox="0 0 120 116" role="img" aria-label="A is across, B along, C and D from corner to corner">
      <path d="M22 12H106V96H22ZM22 96L106 12M22 12L106 96" vectorEffect="non-scaling-stroke" />
      <text x={64} y={111}>
        A
      </text>
      <text x={12} y={58}>
        B
      </text>
      <text x={94} y={38}>
        C
      </text>
      <text x={94} y={76}>
        D
      </text>
    </svg>
  );
}
