import type { Schemas } from '../../api/client';
import { figure, length } from '../../units/units';
import { useUnits } from '../../units/UnitsContext';
import { Figures, roundRows } from '../InkCard';
import { StateMark } from '../../fit/StateMark';

/** The other sides of a piece, each with its size, its least room and how it goes round. */
export function SidesFit({ piece }: { piece: Schemas['PieceView'] }) {
  const { units } = useUnits();
  if (piece.sides.length === 0) return null;
  return (
    <section className="card" aria-label="Other sides of the piece">
      <h2>Other sides</h2>
      {piece.sides.map((s) => (
        <div key={s.id}>
          <p>
            <b>{s.motif}</b> on {s.zone}: {figure(s.width, units)} × {length(s.height, units)}, room{' '}
            {length(Math.min(...s.rooms.map((r) => r.distance)), units)} <StateMark piece={s} />
          </p>
          {s.round && <Figures rows={roundRows(s.round, units)} />}
        </div>
      ))}
    </section>
  );
}
