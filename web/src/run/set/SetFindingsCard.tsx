import type { Schemas } from '../../api/client';
import { Words } from '../../units/Words';

interface Props {
  findings: readonly Schemas['SetFinding'][];
  onChoose: (pieceId: string) => void;
}

/** What several pieces have in common, told once; each leads to the piece in which it is worst. */
export function SetFindingsCard({ findings, onChoose }: Props) {
  if (findings.length === 0) return null;
  return (
    <section className="card" aria-label="In several pieces">
      <h2>
        In several pieces<span className="count">{findings.length}</span>
      </h2>
      {findings.map((f) => (
        <div key={`${f.finding.rule} ${f.finding.side} ${f.finding.part}`} className={`finding ${f.finding.severity}`}>
          <Words of={f.finding.message} />{' '}
          <button type="button" className="quiet" onClick={() => f.pieces[0] !== undefined && onChoose(f.pieces[0])}>
            Show the worst
          </button>
        </div>
      ))}
    </section>
  );
}
