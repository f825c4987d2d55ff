import type { Schemas } from '../api/client';
import { figure, length } from '../units/units';
import { useUnits } from '../units/UnitsContext';
import { Words } from '../units/Words';
import type { RunDocument } from './useRun';

interface Props {
  piece: Schemas['PieceView'];
  set?: Schemas['SetView'];
  run: RunDocument;
  lit?: number;
  onLight: (finding?: number) => void;
}

/** What the checks noticed on a piece, most serious first, and what would mend it. */
export function FindingsCard({ piece, set, run, lit, onLight }: Props) {
  const { units } = useUnits();
  const largest = piece.largestLetterHeight;
  const all = set?.largestForAll;
  return (
    <section className="card grow" aria-label="To look at" aria-live="polite">
      <h2>To look at<span className="count">{piece.findings.length || 'nothing'}</span></h2>
      {piece.findings.map((f, i) => (
        <div key={i} className={`finding ${f.severity}${lit === i ? ' lit' : ''}`} tabIndex={0} onMouseEnter={() => onLight(i)} onMouseLeave={() => onLight(undefined)} onFocus={() => onLight(i)} onBlur={() => onLight(undefined)}>
          <Words of={f.message} />
          {f.rule === 'outsideZone' && typeof largest === 'number' && (
            <div className="remedies">
              <span className="soft">On its own it fits at {length(largest, units)}.</span>
              {typeof all === 'number' && (
                <button type="button" className="btn btn-sm btn-line" onClick={() => run.edit((r) => ({ ...r, letterHeight: { text: String(all), unit: 'millimetre' } }))}>
                  All at {figure(all, units)}, so that every name fits
                </button>
              )}
              <button type="button" className="btn btn-sm btn-line" onClick={() => run.edit((r) => ({ ...r, sizing: 'eachLargest' }))}>Each as large as fits</button>
            </div>
          )}
        </div>
      ))}
    </section>
  );
}
