import type { Schemas } from '../api/client';
import { SIDES } from './said';

/** From which side to peel: free ends by the side that they point to. */
export function PeelFrom({ peel, best }: { peel: Schemas['PeelSides']; best: Schemas['PeelSide'] }) {
  const count = (side: Schemas['PeelSide'], at: string) => (
    <span className={`${at}${side === best ? ' best' : ''}`} title={`free ends that point to ${SIDES[side]}`}>
      {peel[side]}
    </span>
  );
  return (
    <div className="peel">
      <div className="peel-sides" aria-hidden="true">
        {count('above', 'at-top')}
        {count('left', 'at-left')}
        <i />
        {count('right', 'at-right')}
        {count('below', 'at-foot')}
      </div>
      <p>
        <b>Peel from {SIDES[best]}.</b>{' '}
        <span className="soft">
          Free ends of strokes that point left {peel.left}, right {peel.right}, up {peel.above}, down {peel.below}: waste that is pulled
          over one lifts it.
        </span>
      </p>
    </div>
  );
}
