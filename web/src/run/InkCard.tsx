import type { Schemas } from '../api/client';
import { degrees, figure, length } from '../units/units';
import { useUnits } from '../units/UnitsContext';

/** The figures of a piece's ink. */
export function InkCard({ piece }: { piece: Schemas['PieceView'] }) {
  const { units } = useUnits();
  const box = piece.inkBox;
  const thin = piece.findings.some((f) => f.rule === 'thinStrokes');
  const rows: [string, string, string, boolean?][] = [
    ['Width × height', box ? `${figure(box.maxX - box.minX, units)} × ${length(box.maxY - box.minY, units)}` : '–', ''],
    ['Letter height', length(piece.letterHeight, units), typeof piece.largestLetterHeight === 'number' ? `at most ${figure(piece.largestLetterHeight, units)}` : 'nothing scales'],
    ['Goes round', typeof piece.goesRound === 'number' ? degrees(piece.goesRound) : '–', typeof piece.appearsWide === 'number' ? `seen ${figure(piece.appearsWide, units)} wide` : '180° is seen'],
    ['Thinnest stroke', piece.thinnest ? length(piece.thinnest.width, units, 2) : '–', typeof piece.thinnestAllowed === 'number' ? `film ${figure(piece.thinnestAllowed, units, 2)}` : '', thin],
  ];
  if (typeof piece.bow === 'number') rows.push(['Straight line bows', length(piece.bow, units), `gathers ${figure(piece.gathers ?? 0, units)}`]);
  return (
    <section className="card" aria-label="Ink">
      <h2>Ink</h2>
      <table className="figures">
        <tbody>
          {rows.map(([name, value, beside, warn]) => <tr key={name} className={warn ? 'warn' : ''}><th scope="row">{name}</th><td>{value}</td><td className="soft">{beside}</td></tr>)}
        </tbody>
      </table>
    </section>
  );
}
