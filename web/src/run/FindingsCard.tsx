import type { Schemas } from '../api/client';
import { figure, length } from '../units/units';
import { useUnits } from '../units/UnitsContext';
import { Words } from '../units/Words';
import { ownOn, withOwn } from './piece/ByHandCard';
import type { RunDocument } from './useRun';

/** What makers do first when a name resists. */
const USUAL: Schemas['Concession'][] = (['closeUp', 'twoLines', 'smaller'] as const).map((kind) => ({
  kind,
  percent: kind === 'smaller' ? 20 : 5,
  leastMargin: { text: '4', unit: 'millimetre' },
  typefaceId: '',
}));

interface Props {
  piece: Schemas['PieceView'];
  set?: Schemas['RunSet'];
  run: RunDocument;
  lit?: number;
  onLight: (finding?: number) => void;
}

/** What the checks noticed on a piece, most serious first, and what would mend it. */
export function FindingsCard({ piece, set, run, lit, onLight }: Props) {
  const all = set?.groups.length === 1 ? set.groups[0]?.largestForAll : null;
  return (
    <section className="card grow" aria-label="To look at" aria-live="polite">
      <h2>
        To look at<span className="count">{piece.findings.length || 'nothing'}</span>
      </h2>
      {piece.findings.map((f, i) => (
        <div
          key={i}
          className={`finding ${f.severity}${lit === i ? ' lit' : ''}`}
          tabIndex={0}
          onMouseEnter={() => onLight(i)}
          onMouseLeave={() => onLight(undefined)}
          onFocus={() => onLight(i)}
          onBlur={() => onLight(undefined)}
        >
          <Words of={f.message} />
          {i === piece.findings.findIndex((o) => o.rule === 'outsideZone' && o.side === f.side) && (
            <Remedies piece={piece} side={f.side ?? ''} all={f.side ? null : all} run={run} />
          )}
          {f.rule === 'standsOnClear' && run.document?.setUp.placing !== 'free' && (
            <div className="remedies">
              <button type="button" className="btn btn-sm btn-line" onClick={() => run.editSetUp((r) => ({ ...r, placing: 'free' }))}>
                Let it find its place
              </button>
            </div>
          )}
        </div>
      ))}
    </section>
  );
}

/** What makes a piece fit: the whole set at another size, what it needs conceded, or this side of it alone. */
function Remedies({ piece, side, all, run }: { piece: Schemas['PieceView']; side: string; all?: number | null; run: RunDocument }) {
  const { units } = useUnits();
  const largest = side === '' ? piece.largestLetterHeight : piece.sides.find((s) => s.id === side)?.largestLetterHeight;
  if (typeof largest !== 'number') return null;
  const named = side === '' || !!piece.sides.find((s) => s.id === side)?.nameLine;
  const may = (run.document?.setUp.concessions.length ?? 0) > 0;
  const alone = Math.floor(largest * 10) / 10;
  const letterHeight = { text: String(alone), unit: 'millimetre' as const };
  return (
    <div className="remedies">
      <span className="soft">On its own it fits at {length(largest, units)}.</span>
      {typeof all === 'number' && (
        <button
          type="button"
          className="btn btn-sm btn-line"
          onClick={() => run.editSetUp((r) => ({ ...r, letterHeight: { text: String(all), unit: 'millimetre' } }))}
        >
          All at {figure(all, units)}, so that every name fits
        </button>
      )}
      {!may && named && (
        <button type="button" className="btn btn-sm btn-line" onClick={() => run.editSetUp((r) => ({ ...r, concessions: USUAL }))}>
          Concede what it needs
        </button>
      )}
      {(may || side !== '') && (
        <button
          type="button"
          className="btn btn-sm btn-line"
          onClick={() => run.editPiece(piece.id, (p) => withOwn(p, side, { ...ownOn(p, side), letterHeight }))}
        >
          This one alone at {figure(alone, units)}
        </button>
      )}
      {side === '' && (
        <button type="button" className="btn btn-sm btn-line" onClick={() => run.editSetUp((r) => ({ ...r, sizing: 'eachLargest' }))}>
          Each as large as fits
        </button>
      )}
    </div>
  );
}
