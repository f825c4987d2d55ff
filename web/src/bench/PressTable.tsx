import { Link } from 'react-router';
import type { Schemas } from '../api/client';
import { Words } from '../units/Words';

const HARD: Record<Schemas['PressPressure'], string> = { light: 'light', medium: 'medium', firm: 'firm' };
const PEEL: Record<Schemas['Peel'], string> = { hot: 'hot', warm: 'warm', cold: 'cold' };

/** How the run is pressed: line by line as it is done, or why it cannot be. */
export function PressTable({ press }: { press: Schemas['BenchPress'] }) {
  const sided = new Set(press.lines.map((l) => l.face)).size > 1;
  return (
    <section className="bench-surface" aria-label="Press">
      <h3>Press</h3>
      {press.lacks.map((l, i) => (
        <p key={i} className="finding">
          <Words of={l} /> <Link to="/stock">To the stock</Link>
        </p>
      ))}
      {press.conflict && (
        <div className="bench-conflict">
          <p className="finding stop">
            <strong>It cannot be pressed as it is.</strong> <Words of={press.conflict.why} />
          </p>
          <ul>
            {press.conflict.mends.map((m, i) => (
              <li key={i}>
                <Words of={m} />
              </li>
            ))}
          </ul>
        </div>
      )}
      {press.lines.length > 0 && (
        <>
          <p className="soft small">
            {press.press ? (
              <>
                With {press.press}
                {press.offBy !== 0 &&
                  `, ${Math.abs(press.offBy).toFixed(0)} °C ${press.offBy < 0 ? 'cooler' : 'hotter'} than it shows`}; {press.seconds} s for
                each piece.
              </>
            ) : (
              <>No press is chosen: heats are what the film must really get. </>
            )}
          </p>
          <table className="bench-pieces">
            <thead>
              <tr>
                <th />
                <th>What</th>
                {sided && <th>Face</th>}
                {press.offBy !== 0 && <th className="end">Set to</th>}
                <th className="end">Heat</th>
                <th className="end">For</th>
                <th>Pressure</th>
                <th>Peel</th>
                <th className="end">In all, of what it bears</th>
              </tr>
            </thead>
            <tbody>
              {press.lines.map((l, i) => (
                <Line key={i} number={i + 1} line={l} sided={sided} isOff={press.offBy !== 0} />
              ))}
            </tbody>
          </table>
        </>
      )}
    </section>
  );
}

function Line({ number, line, sided, isOff }: { number: number; line: Schemas['PressLine']; sided: boolean; isOff: boolean }) {
  if (line.deed === 'turn')
    return (
      <tr>
        <td>{number}</td>
        <th scope="row" colSpan={(sided ? 7 : 6) + (isOff ? 1 : 0)}>
          Turn it: the {line.face} up, what is pressed already face down on a soft sheet.
        </th>
      </tr>
    );
  return (
    <tr>
      <td>{number}</td>
      <th scope="row">{line.deed === 'bare' ? 'The bare goods' : line.deed === 'again' ? `${line.film}, again` : line.film}</th>
      {sided && <td>{line.face}</td>}
      {isOff && (
        <td className="end">
          <b>{line.setTo.toFixed(0)} °C</b>
        </td>
      )}
      <td className="end">{line.celsius.toFixed(0)} °C</td>
      <td className="end">{line.seconds} s</td>
      <td>{HARD[line.pressure]}</td>
      <td>{line.peel ? PEEL[line.peel] : '–'}</td>
      <td className="end">{line.deed === 'lay' ? `${line.inAll} of ${line.bears} s` : ''}</td>
    </tr>
  );
}
