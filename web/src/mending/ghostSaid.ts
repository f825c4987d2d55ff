import type { Schemas } from '../api/client';
import { movesSaid } from '../board/moves';

/** What a ghost says of itself. */
export function ghostSaid(ghost: Schemas['GhostView'], length: (mm: number) => string): string {
  const moves = movesSaid(ghost.right, ghost.up, length);
  const size =
    Math.abs(ghost.taller) >= 0.05 ? `its letters ${length(Math.abs(ghost.taller))} ${ghost.taller > 0 ? 'larger' : 'smaller'}` : '';
  const what = [moves && `moves ${moves}`, size].filter(Boolean).join(', ');
  if (!what) return 'It would stand as it does.';
  const does = moves ? what : `would be ${size.replace('its letters ', 'lettered ')}`;
  return `It ${does}${ghost.state === 'over' ? '; it would stand out of the zone' : ''}.`;
}
