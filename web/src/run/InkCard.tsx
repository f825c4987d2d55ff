import type { Schemas } from '../api/client';
import { degrees, figure, length } from '../units/units';
import { useUnits } from '../units/UnitsContext';
import type { Units } from '../units/units';
import { Words } from '../units/Words';

type Row = readonly [name: string, value: string, beside: string, warn?: boolean];

/** The figures of the ink of a piece's first side; `face` is what that is on, where there are several. */
export function InkCard({ piece, face, wall }: { piece: Schemas['PieceView']; face?: string; wall: boolean }) {
  const { units } = useUnits();
  const box = piece.inkBox;
  const thin = piece.findings.some((f) => f.rule === 'thinStrokes');
  const rows: Row[] = [
    [
      'Width × height',
      box ? `${figure(box.maxX - box.minX, units)} × ${length(box.maxY - box.minY, units)}` : '–',
      piece.turn === 0 ? '' : `turned ${degrees(Math.abs(piece.turn))}`,
    ],
    [
      'Letter height',
      length(piece.letterHeight, units),
      typeof piece.largestLetterHeight === 'number' ? `at most ${figure(piece.largestLetterHeight, units)}` : 'nothing scales',
    ],
    // Only what goes round something has a coverage; where the girth was not read it is not known.
    ...(wall ? roundRows(piece.round, units) : []),
    [
      'Thinnest stroke',
      piece.thinnest ? length(piece.thinnest.width, units, 2) : '–',
      `film ${figure(piece.thinnestAllowed, units, 2)}`,
      thin,
    ],
    // Of gaps only those are measured that are too narrow.
    [
      'Narrowest gap',
      typeof piece.narrowestGap === 'number' ? length(piece.narrowestGap, units, 2) : piece.inkBox ? 'wide enough' : '–',
      `film ${figure(piece.gapAllowed, units, 2)}`,
      typeof piece.narrowestGap === 'number',
    ],
    ...(piece.taper ? taperRows(piece.taper, units) : []),
  ];
  return (
    <section className="card" aria-label="Ink">
      <h2>{face ? `Ink, ${face}` : 'Ink'}</h2>
      <Figures rows={rows} />
      {piece.concessions.length > 0 && (
        <p className="conceded">
          Conceded:{' '}
          {piece.concessions.map((c, i) => (
            <span key={i}>
              {i > 0 && ', '}
              <Words of={c} />
            </span>
          ))}
        </p>
      )}
    </section>
  );
}

/** Figures, each with what it is and what stands beside it. */
export function Figures({ rows }: { rows: readonly Row[] }) {
  return (
    <table className="figures">
      <tbody>
        {rows.map(([name, value, beside, warn]) => (
          <tr key={name} className={warn ? 'warn' : ''}>
            <th scope="row">{name}</th>
            <td>{value}</td>
            <td className="soft">{beside}</td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}

/** How something goes round its blank. */
export function roundRows(round: Schemas['RoundView'] | null, units: Units): Row[] {
  if (!round) return [['Goes round', 'not known', 'the girth was not read']];
  const rows: Row[] = [
    [
      'Goes round',
      degrees(round.goes),
      typeof round.appearsWide === 'number' ? `seen ${figure(round.appearsWide, units)} wide` : '180° is seen',
    ],
  ];
  if (typeof round.handleLeft === 'number' && typeof round.handleRight === 'number')
    rows.push(['Bare to handle', `${figure(round.handleLeft, units)} | ${length(round.handleRight, units)}`, 'margin and all']);
  rows.push(
    round.overlap > 0
      ? ['Laps at the seam', length(round.overlap, units), '']
      : ['Bare to seam', `${figure(round.seamLeft, units)} | ${length(round.seamRight, units)}`, 'left | right'],
  );
  if (typeof round.drinkerSees === 'number')
    rows.push(['A drinker sees', `${Math.round(round.drinkerSees * 100)} %`, 'held in the right hand']);
  return rows;
}

function taperRows(taper: Schemas['TaperView'], units: Units): Row[] {
  if (typeof taper.bow === 'number') {
    return [
      ['Straight line bows', length(taper.bow, units), `gathers ${figure(taper.gathers ?? 0, units)}`],
      ...(typeof taper.widestWithin === 'number'
        ? [['Straight to the eye', `up to ${length(taper.widestWithin, units)}`, 'wide'] as const]
        : []),
    ];
  }
  const percent = (share: number | null) => `${(share ?? 0) < 0 ? '−' : '+'}${(Math.abs(share ?? 0) * 100).toFixed(1)} %`;
  return [['Follows the taper', percent(taper.widerAtTop), `top; foot ${percent(taper.widerAtBottom)}`]];
}
