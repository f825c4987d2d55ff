import type { Schemas } from '../api/client';
import { figure, length } from '../units/units';
import { useUnits } from '../units/UnitsContext';
import { StateMark } from '../fit/StateMark';

interface Props {
  piece: Pick<Schemas['PieceView'], 'rooms' | 'state' | 'mayBeCut'>;
  /** Which face of the goods it is on, where there are several. */
  face?: string;
  handle: boolean;
  round: boolean;
}

/** The room on each side as a table, with a bar that fills as the limit nears. */
export function RoomCard({ piece, face, handle, round }: Props) {
  const { units } = useUnits();
  const beside = round ? (handle ? 'handle' : 'seam') : '';
  // What stands at a side of the zone: only a zone that goes all the way has the handle or the seam there.
  const name = (r: Schemas['RoomView']) => {
    if (r.side === 'above' || r.side === 'below') return r.side === 'above' ? 'Above' : 'Below';
    return beside && (r.limit === 'leftSide' || r.limit === 'rightSide') ? `To ${beside}, ${r.side}` : r.side === 'left' ? 'Left' : 'Right';
  };
  // Of handle or seam at either side the nearer one is the one to know.
  const nearest = piece.rooms
    .filter((r) => r.forAll)
    .reduce<Schemas['RoomView'] | undefined>((least, r) => (least && least.distance <= r.distance ? least : r), undefined);
  return (
    <section className="card" aria-label="Room">
      <h2>
        {face ? `Room, ${face}` : 'Room'}
        <StateMark piece={piece} />
      </h2>
      <table className="figures room">
        <tbody>
          {piece.rooms.map((r) => (
            <tr key={r.side} className={r.beyond ? 'beyond' : ''} data-room={r.side}>
              <th scope="row">
                {name(r)}
                {r.touches && <span className="limits">limits</span>}
              </th>
              <td>{length(r.distance, units)}</td>
              <td className="bar-cell">
                <span className="bar">
                  <i style={{ width: `${Math.min(100, (100 * r.used) / r.of)}%` }} />
                </span>
              </td>
              <td className="soft">
                {figure(r.used, units)} of {figure(r.of, units)}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      {nearest?.forAll && (
        <p className="soft small room-chance">
          {name(nearest)}, for all: {figure(nearest.forAll.nominal, units)} ± {length(nearest.forAll.uncertainty, units)} (blank{' '}
          {figure(nearest.forAll.blank, units)}, cutter {figure(nearest.forAll.cutter, units)}, hand {figure(nearest.forAll.hand, units)});
          touched <b>{chanceSaid(nearest.forAll.ofTouching)}</b>
        </p>
      )}
      {piece.rooms.length === 0 && <p className="soft">There is no ink to measure.</p>}
    </section>
  );
}

/** How likely something is, as one would say it. */
export function chanceSaid(chance: number): string {
  if (chance < 0.001) return 'hardly ever';
  if (chance > 0.999) return 'for certain';
  return `in ${(100 * chance).toFixed(1)} of 100`;
}
