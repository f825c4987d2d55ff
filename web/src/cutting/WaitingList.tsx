import { Link } from 'react-router';
import type { Schemas } from '../api/client';
import { areaWhole } from './said';
import { useUnits } from '../units/UnitsContext';

const DAY = new Intl.DateTimeFormat(undefined, { day: 'numeric', month: 'short' });

/** Films of which something waits, what waits longest first. */
export function WaitingList({ waiting, here }: { waiting: readonly Schemas['WaitingFilm'][]; here?: string }) {
  const { units } = useUnits();
  return (
    <>
      <h2>Waiting</h2>
      {waiting.length === 0 && <p className="soft">Nothing waits.</p>}
      <ul className="waiting-films">
        {waiting.map((w) => {
          const unset = w.runs.reduce((n, r) => n + r.unset, 0);
          return (
            <li key={w.filmId}>
              <Link to={`/cutting/${w.filmId}`} className={w.filmId === here ? 'here' : ''} aria-current={w.filmId === here || undefined}>
                <i className="swatch" style={{ background: w.film.colour }} />
                <span>
                  <b>{w.film.name}</b>
                  <span>
                    {w.pieces} {w.pieces === 1 ? 'piece' : 'pieces'}, {areaWhole(w.area, units)}
                  </span>
                  <small>
                    since {DAY.format(new Date(w.since))}, {w.approved} approved
                    {w.held > 0 && <em>, {w.held} held back</em>}
                    {unset > 0 && `, ${unset} being set`}
                  </small>
                </span>
              </Link>
            </li>
          );
        })}
      </ul>
    </>
  );
}
