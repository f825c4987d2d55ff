import { useState } from 'react';
import type { Schemas } from '../api/client';
import { length } from '../units/units';
import { useUnits } from '../units/UnitsContext';
import { Words } from '../units/Words';
import { ghostSaid } from './set/ghostSaid';
import type { Ghost } from './set/useGhost';
import { SHOWN } from './FindingMarks';
import { mendPiece, useRemedies } from './useRemedies';
import type { RunDocument } from './useRun';

interface Props {
  id: string;
  piece: Schemas['PieceView'];
  set?: Schemas['RunSet'];
  run: RunDocument;
  lit?: number;
  onLight: (finding?: number) => void;
  /** What the remedy that is pointed at would make of the piece. */
  ghost?: Schemas['GhostView'];
  onGhost: (ghost?: Ghost) => void;
}

/** What the checks noticed on a piece, most serious first, and what would mend it: pointed at, it is shown; clicked, it is done. */
export function FindingsCard({ id, piece, set, run, lit, onLight, ghost, onGhost }: Props) {
  const mendable = useRemedies(id, piece, run.view?.revision, set);
  const [all, setAll] = useState(false);
  const more = piece.findings.length - SHOWN;
  return (
    <section className="card grow" aria-label="To look at" aria-live="polite">
      <h2>
        To look at<span className="count">{piece.findings.length || 'nothing'}</span>
      </h2>
      {piece.findings.slice(0, all ? undefined : SHOWN).map((f, i) => (
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
          <Remedies
            piece={piece}
            finding={mendable?.[i] ?? f}
            ghost={ghost}
            onGhost={onGhost}
            onMend={(remedy) => {
              onGhost(undefined);
              void run.order(mendPiece(id, piece.id, remedy));
            }}
          />
        </div>
      ))}
      {more > 0 && (
        <button type="button" className="quiet more" aria-expanded={all} onClick={() => setAll(!all)}>
          {all ? 'Only the heaviest' : `${more} more, lighter`}
        </button>
      )}
    </section>
  );
}

interface RemediesProps {
  piece: Schemas['PieceView'];
  finding: Schemas['Finding'];
  ghost?: Schemas['GhostView'];
  onGhost: (ghost?: Ghost) => void;
  onMend: (remedyId: string) => void;
}

function Remedies({ piece, finding, ghost, onGhost, onMend }: RemediesProps) {
  const { units } = useUnits();
  const [pointed, setPointed] = useState(false);
  if (finding.remedies.length === 0) return null;
  const { side } = finding;
  const largest = side === '' ? piece.largestLetterHeight : piece.sides.find((s) => s.id === side)?.largestLetterHeight;
  const point = (remedy?: string) => {
    setPointed(remedy !== undefined);
    onGhost(remedy === undefined ? undefined : { remedy, side: side || undefined });
  };
  return (
    <div className="remedies">
      {finding.rule === 'outsideZone' && typeof largest === 'number' && (
        <span className="soft">On its own it fits at {length(largest, units)}.</span>
      )}
      {finding.remedies.map((r) => (
        <button
          key={r.id}
          type="button"
          className="btn btn-sm btn-line"
          onClick={() => onMend(r.id)}
          onMouseEnter={() => point(r.id)}
          onMouseLeave={() => point()}
          onFocus={() => point(r.id)}
          onBlur={() => point()}
        >
          <Words of={r.words} />
        </button>
      ))}
      <span className="soft small" role="status">
        {pointed && ghost && ghostSaid(ghost, (mm) => length(mm, units))}
      </span>
    </div>
  );
}
