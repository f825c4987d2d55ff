import type { Schemas } from '../api/client';
import { degrees, figure, length } from '../units/units';
import { useUnits } from '../units/UnitsContext';

/** The figures of a piece's ink. */
export function InkCard({ piece, wall }: { piece: Schemas['PieceView']; wall: boolean }) {
  const { units } = useUnits();
  const box = piece.inkBox;
  const thin = piece.findings.some((f) => f.rule === 'thinStrokes');
  const rows: [string, string, string, boolean?][] = [
    ['Width × height', box ? `${figure(box.maxX - box.minX, units)} × ${length(box.maxY - box.minY, units)}` : '–', ''],
    ['Letter height', length(piece.letterHeight, units), typeof piece.largestLetterHeight === 'number' ? `at most ${figure(piece.largestLetterHeight, units)}` : 'nothing scales'],
    ['Thinnest stroke', piece.thinnest ? length(piece.thinnest.width, units, 2) : '–', typeof piece.thinnestAllowed === 'number' ? `film ${figure(piece.thinnestAllowed, units, 2)}` : '', thin],
  ];
  // Only what goes round something has a coverage; where the girth was not read it is not known.
  if (wall) rows.splice(2, 0, typeof piece.goesRound === 'number' ? ['Goes round', degrees(piece.goesRound), typeof piece.appearsWide === 'number' ? `seen ${figure(piece.appearsWide, units)} wide` : '180° is seen'] : ['Goes round', 'not known', 'the girth was not read']);
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
