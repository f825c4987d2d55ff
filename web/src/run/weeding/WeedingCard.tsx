import { answer, api, type Schemas } from '../../api/client';
import { length } from '../../units/units';
import { useUnits } from '../../units/UnitsContext';
import { Words } from '../../units/Words';
import { areaSaid, bitsSaid, minutesSaid, smallSaid, spreadSaid } from '../../weeding/said';
import { PeelFrom } from '../../weeding/PeelFrom';
import { TapeFirst } from '../../weeding/TapeFirst';
import { Took } from '../../weeding/Took';
import type { Waste } from './useWaste';

/** So many bits are listed by themselves. */
const LISTED = 12;

/** What is to be weeded of a film of a piece, and how: bits, minutes, from which side, tape first or not. */
export function WeedingCard({ id, pieceId, waste }: { id: string; pieceId: string; waste: Waste }) {
  const { units } = useUnits();
  const film = waste.shown;
  if (!film) return null;
  const { weeds } = film;
  const listed = film.bits.filter((b) => b.kind !== 'field').slice(0, LISTED);
  const field = weeds.boxes.length > 0 || film.purpose !== 'stays' ? '' : ', one the field';
  return (
    <section className="card" aria-label="Weeding">
      <h2>
        Weeding<span className="count">{minutesSaid(weeds.time.minutes)}</span>
      </h2>
      <p className="soft small">{spreadSaid(weeds.time)}</p>
      <table className="figures">
        <tbody>
          <tr>
            <th scope="row">Bits</th>
            <td>{weeds.bits}</td>
            <td className="soft">
              {weeds.small} {smallSaid(units)}
              {field}
            </td>
          </tr>
          <tr>
            <th scope="row">Cut</th>
            <td>{length(weeds.cutLength, units, 0)}</td>
            <td className="soft">
              {weeds.boxes.length === 0 ? 'of outlines' : typeof weeds.nearest === 'number' ? 'box and breaks too' : 'box too'}
            </td>
          </tr>
          {typeof weeds.nearest === 'number' && (
            <tr>
              <th scope="row">Breaks keep</th>
              <td>{length(weeds.nearest, units, 2)}</td>
              <td className="soft">from the ink; asked for {length(film.clearance, units, 2)}</td>
            </tr>
          )}
        </tbody>
      </table>
      {listed.length > 0 && (
        <ol className="bit-list" aria-label="Smallest first">
          {listed.map((b) => (
            <li
              key={b.number}
              className={`${b.area < 4 ? 'small' : ''} ${waste.lit === b.number ? 'lit' : ''}`}
              onPointerEnter={() => waste.light(b.number)}
              onPointerLeave={() => waste.light(undefined)}
            >
              <b>{b.number}</b> {areaSaid(b.area, units)}
            </li>
          ))}
          {weeds.bits - listed.length > 0 && <li className="soft">and {bitsSaid(weeds.bits - listed.length)} more</li>}
        </ol>
      )}
      {film.purpose === 'stays' && <PeelFrom peel={weeds.peel} best={weeds.best} />}
      <TapeFirst tape={weeds.tape} />
      {weeds.noWay.map((w, i) => (
        <p key={i} className="finding">
          <Words of={w} />
        </p>
      ))}
      <Took
        key={weeds.key}
        took={weeds.time.took}
        save={(minutes) =>
          answer(api.PUT('/api/runs/{id}/weeding/took', { params: { path: { id } }, body: { key: weeds.key, pieceId, minutes } }))
        }
      />
    </section>
  );
}

/** Whether a film's waste is cut at all, in the words of its purpose. */
export function purposeSaid(purpose: Schemas['FilmPurpose']): string | undefined {
  return purpose === 'stays'
    ? undefined
    : purpose === 'loose'
      ? 'A stencil is not broken: what surrounds its openings is what is kept. Its box is the edge of the stencil.'
      : 'A mask is not broken: paint would run in at a break. Its box is the edge of the mask.';
}
