import type { Schemas } from '../../api/client';
import { movesSaid } from '../../board/moves';

/** What a ghost says of itself. */
export function ghostSaid(ghost: Schemas['GhostView'], length: (mm: number) => string): string {
  const moves = movesSaid(ghost.right, ghost.up, length);
  const size =
    Math.abs(ghost.taller) >= 0.05 ? `its letters ${length(Math.abs(ghost.taller))} ${ghost.taller > 0 ? 'larger' : 'smaller'}` : '';
  const what = [moves && `moves ${moves}`, size].filter(Boolean).join(', ');
  return what
    ? `It ${moves ? what : `would be ${size.replace('its letters ', 'lettered ')}`}${ghost.state === 'over' ? '; it would stand out of the zone' : ''}.`
    : 'It would stand as it does.';
}
