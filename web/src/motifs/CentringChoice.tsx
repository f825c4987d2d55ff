import { useId } from 'react';
import type { Schemas } from '../api/client';
import { movesSaid } from '../board/moves';
import { PointedChoice } from '../frame/PointedChoice';
import { length } from '../units/units';
import { useUnits } from '../units/UnitsContext';
import { useGhosts } from './ghost';
import type { Motif } from './parts';

type Centring = Schemas['Centring'];

interface Props {
  title: string;
  now: Centring;
  /** The part whose way is told; that of the first that moves where there is none. */
  partId?: string;
  change: (motif: Motif, to: Centring) => Motif;
  onChoose: (to: Centring) => void;
}

const WAYS: readonly (readonly [Centring, string])[] = [
  ['inkBox', 'the box of its ink'],
  ['weight', 'its weight'],
  ['withoutTails', 'its letters without tails'],
  ['circle', 'its circle'],
];

/** What of a line, a group or the whole is its middle; pointing at a way shows its effect on the board. */
export function CentringChoice({ title, now, partId, change, onChoose }: Props) {
  const { units } = useUnits();
  const { seen, by, point } = useGhosts();
  const own = useId();
  return (
    <div className="centring">
      <PointedChoice title={title} now={now} of={WAYS} onChoose={onChoose} onPoint={(to) => point(own, to && ((m) => change(m, to)))} />
      <p className="soft small ghost-says" role="status">
        {seen && by === own ? movesIn(seen, partId, (mm) => length(mm, units)) : 'Point at a way to see what it would change.'}
      </p>
    </div>
  );
}

/** What a ghost says of the part that is asked for. */
export function movesIn(ghost: Schemas['MotifGhost'], partId: string | undefined, length: (mm: number) => string): string {
  const own = partId === undefined ? ghost.moves[0] : ghost.moves.find((m) => m.partId === partId);
  const moves = own ? movesSaid(own.right, own.up, length) : '';
  return moves ? `It moves ${moves}.` : 'It would stand as it does.';
}
