import type { RunDocument } from '../useRun';
import type { Waste } from './useWaste';
import { WeedingCard } from './WeedingCard';
import { WeedSwitches } from './WeedSwitches';

/** A piece as waste: what is picked out of it, and how its waste is cut. */
export function WeedingTab({ id, pieceId, run, waste }: { id: string; pieceId: string; run: RunDocument; waste: Waste }) {
  return (
    <>
      <WeedingCard id={id} pieceId={pieceId} waste={waste} />
      {waste.shown && <WeedSwitches key={waste.shown.filmId} film={waste.shown} run={run} />}
    </>
  );
}
