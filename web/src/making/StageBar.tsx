import type { Schemas } from '../api/client';

type Stage = Schemas['PieceStage'];

/** How far a piece is, in the order of the work. */
export const STAGES: Record<Stage, string> = {
  taken: 'taken',
  proofed: 'proofed',
  cut: 'cut',
  weeded: 'weeded',
  pressed: 'on the goods',
  packed: 'packed',
};

/** How many pieces are how far: a bar whose parts are named below it. */
export function StageBar({ pieces }: { pieces: readonly { stage: Stage; copies: number }[] }) {
  const count = (stage: Stage) => pieces.filter((p) => p.stage === stage).reduce((n, p) => n + p.copies, 0);
  const there = (Object.keys(STAGES) as Stage[]).map((s) => [s, count(s)] as const).filter(([, n]) => n > 0);
  const all = there.reduce((n, [, c]) => n + c, 0);
  if (all === 0) return null;
  return (
    <div className="stage-bar">
      <div aria-hidden="true">
        {there.map(([stage, n]) => (
          <i key={stage} className={`stage-${stage}`} style={{ flexGrow: n }} />
        ))}
      </div>
      <span>{there.map(([stage, n]) => `${n} ${STAGES[stage]}`).join(' · ')}</span>
    </div>
  );
}
