import { useState } from 'react';
import type { Schemas } from '../../api/client';
import { length } from '../../units/units';
import { useUnits } from '../../units/UnitsContext';
import { Words } from '../../units/Words';
import type { Ghost } from '../set/useGhost';
import type { RunDocument } from '../useRun';
import { SHOWN } from './FindingMarks';
import { KeepAsItIs } from './KeepAsItIs';
import { ReachChoice } from './ReachChoice';
import { Remedies, type Reach } from '../../mending/Remedies';
import { mendPiece, useRemedies } from './useRemedies';

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
  const [reach, setReach] = useState<Reach>('piece');
  const found = piece.findings.map((f, i) => ({ f, i }));
  const open = found.filter(({ f }) => !f.kept);
  const kept = found.filter(({ f }) => f.kept);
  const more = open.length - SHOWN;
  return (
    <section className="card grow" aria-label="To look at" aria-live="polite">
      <h2>
        To look at<span className="count">{open.length || 'nothing'}</span>
        {piece.findings.some((f) => f.mayBeKept) && <ReachChoice label="Mend it in" reach={reach} onReach={setReach} />}
      </h2>
      {[...open.slice(0, all ? undefined : SHOWN), ...kept].map(({ f, i }) => {
        const finding = mendable?.[i] ?? f;
        return (
          <div
            key={`${f.rule} ${f.side} ${f.part} ${f.figure ?? ''}`}
            className={`finding ${f.severity}${lit === i ? ' lit' : ''}`}
            tabIndex={0}
            onMouseEnter={() => onLight(i)}
            onMouseLeave={() => onLight(undefined)}
            onFocus={() => onLight(i)}
            onBlur={() => onLight(undefined)}
          >
            <Words of={f.message} />
            <OnItsOwn finding={finding} piece={piece} />
            <Remedies
              remedies={finding.remedies}
              reach={reach}
              ghost={ghost}
              onPoint={(r) => onGhost(r && { remedy: r.id, side: finding.side || undefined })}
              onMend={(remedy) => {
                onGhost(undefined);
                void run.order(mendPiece(id, piece.id, remedy));
              }}
            />
            <KeepAsItIs finding={f} pieceId={piece.id} reach={reach} run={run} />
          </div>
        );
      })}
      {more > 0 && (
        <button type="button" className="quiet more" aria-expanded={all} onClick={() => setAll(!all)}>
          {all ? 'Only the heaviest' : `${more} more, lighter`}
        </button>
      )}
    </section>
  );
}

/** The size at which what is too large would fit by itself. */
function OnItsOwn({ finding, piece }: { finding: Schemas['Finding']; piece: Schemas['PieceView'] }) {
  const { units } = useUnits();
  const of = finding.side === '' ? piece : piece.sides.find((s) => s.id === finding.side);
  if (finding.rule !== 'outsideZone' || finding.remedies.length === 0 || typeof of?.largestLetterHeight !== 'number') return null;
  return <span className="soft"> On its own it fits at {length(of.largestLetterHeight, units)}.</span>;
}
