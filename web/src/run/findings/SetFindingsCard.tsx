import { useState } from 'react';
import type { Schemas } from '../../api/client';
import { Words } from '../../units/Words';
import type { RunDocument } from '../useRun';
import { ReachChoice } from './ReachChoice';
import { Remedies, type Reach } from '../../mending/Remedies';
import { mendSet, useSetRemedies } from './useRemedies';

const REACHES = [
  ['motif', 'In the motif'],
  ['piece', 'Piece by piece'],
] as const;

interface Props {
  id: string;
  run: RunDocument;
  findings: readonly Schemas['SetFinding'][];
  onChoose: (pieceId: string) => void;
}

/** What several pieces have in common, told once: one remedy for all of them, or the piece in which it is worst. */
export function SetFindingsCard({ id, run, findings, onChoose }: Props) {
  const [reach, setReach] = useState<Reach>('motif');
  if (findings.length === 0) return null;
  return (
    <section className="card" aria-label="In several pieces">
      <h2>
        In several pieces<span className="count">{findings.length}</span>
        <ReachChoice label="Mend them" reach={reach} words={REACHES} onReach={setReach} />
      </h2>
      {findings.map((f) => (
        <OneForAll
          key={`${f.finding.rule} ${f.finding.side} ${f.finding.part}`}
          id={id}
          run={run}
          found={f}
          reach={reach}
          onChoose={onChoose}
        />
      ))}
    </section>
  );
}

interface OneProps {
  id: string;
  run: RunDocument;
  found: Schemas['SetFinding'];
  reach: Reach;
  onChoose: (pieceId: string) => void;
}

function OneForAll({ id, run, found: { finding, pieces }, reach, onChoose }: OneProps) {
  const [asked, setAsked] = useState(false);
  const { data, isFetching } = useSetRemedies(id, finding, run.view?.revision, asked);
  const [worst] = pieces;
  return (
    <div className={`finding ${finding.severity}`}>
      <Words of={finding.message} />{' '}
      {worst !== undefined && (
        <button type="button" className="quiet" onClick={() => onChoose(worst)}>
          Show the worst
        </button>
      )}
      {asked ? (
        <>
          {isFetching && (
            <p className="soft small" role="status">
              Trying it on {pieces.length} pieces …
            </p>
          )}
          {data?.[0] && (
            <Remedies
              remedies={data[0].remedies}
              reach={reach}
              onPoint={() => undefined}
              onMend={(remedy) => void run.order(mendSet(id, finding, remedy))}
            />
          )}
        </>
      ) : (
        <button type="button" className="quiet" onClick={() => setAsked(true)}>
          What would mend all
        </button>
      )}
    </div>
  );
}
