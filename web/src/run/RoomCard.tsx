import type { Schemas } from '../api/client';
import { figure, length } from '../units/units';
import { useUnits } from '../units/UnitsContext';
import { StateMark } from './state';

/** The room on each side as a table, with a bar that fills as the limit nears. */
export function RoomCard({ piece, handle, round }: { piece: Schemas['PieceView']; handle: boolean; round: boolean }) {
  const { units } = useUnits();
  const beside = round ? (handle ? 'handle' : 'seam') : '';
  const names: Record<string, string> = { above: 'Above', below: 'Below', left: beside ? `To ${beside}, left` : 'Left', right: beside ? `To ${beside}, right` : 'Right' };
  return (
    <section className="card" aria-label="Room">
      <h2>Room<StateMark piece={piece} /></h2>
      <table className="figures room">
        <tbody>
          {piece.rooms.map((r) => (
            <tr key={r.side} className={r.beyond ? 'beyond' : ''} data-room={r.side}>
              <th scope="row">{names[r.side]}{r.touches && <span className="limits">limits</span>}</th>
              <td>{length(r.distance, units)}</td>
              <td className="bar-cell"><span className="bar"><i style={{ width: `${Math.min(100, (100 * r.used) / r.of)}%` }} /></span></td>
              <td className="soft">{figure(r.used, units)} of {figure(r.of, units)}</td>
            </tr>
          ))}
        </tbody>
      </table>
      {piece.rooms.length === 0 && <p className="soft">There is no ink to measure.</p>}
    </section>
  );
}
