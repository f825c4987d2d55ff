import type { Schemas } from '../../api/client';
import { SetFindingsCard } from '../findings/SetFindingsCard';
import type { RunDocument } from '../useRun';
import { ConcessionsCard } from './ConcessionsCard';
import { PlacingCard } from './PlacingCard';
import { SetCard } from './SetCard';
import type { Ghost } from './useGhost';

interface Props {
  id: string;
  run: RunDocument;
  set?: Schemas['RunSet'];
  piece: Schemas['PieceView'];
  ghost?: Schemas['GhostView'];
  onGhost: (ghost?: Ghost) => void;
  onChoose: (piece: string) => void;
  /** Goes to a piece and what was found on it. */
  onLookAt: (piece: string) => void;
}

/** What is the same for all pieces of a run. */
export function SetTab({ id, run, set, piece, ghost, onGhost, onChoose, onLookAt }: Props) {
  return (
    <>
      <SetCard set={set} run={run} onChoose={onChoose} />
      <SetFindingsCard id={id} run={run} findings={set?.findings ?? []} onChoose={onLookAt} />
      <ConcessionsCard run={run} />
      <PlacingCard run={run} piece={piece} ghost={ghost} onGhost={onGhost} />
    </>
  );
}
