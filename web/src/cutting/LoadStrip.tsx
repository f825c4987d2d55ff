import type { Schemas } from '../api/client';
import { BoxRect } from '../board/BoxRect';
import { fillOf } from '../board/FilmPatterns';
import { keyOf } from './edits';

interface Props {
  loads: readonly Schemas['PlanLoadView'][];
  film: Schemas['Film'];
  here: number;
  onHere: (number: number) => void;
}

/** All loads of a plan, small, at one scale. */
export function LoadStrip({ loads, film, here, onHere }: Props) {
  const tallest = Math.max(...loads.map((l) => l.reach.maxY - l.reach.minY));
  return (
    <ol className="load-strip" aria-label="Loads of the plan">
      {loads.map((l) => (
        <li key={l.number}>
          <button
            type="button"
            className={l.number === here ? 'here' : ''}
            aria-pressed={l.number === here}
            onClick={() => onHere(l.number)}
          >
            <svg
              viewBox={`${l.reach.minX} ${-l.reach.maxY} ${l.reach.maxX - l.reach.minX} ${l.reach.maxY - l.reach.minY}`}
              height={(64 * (l.reach.maxY - l.reach.minY)) / tallest}
              aria-hidden="true"
            >
              <g transform="scale(1 -1)">
                <BoxRect box={l.reach} className="carrier-edge" />
                {l.pieces.map((p) => (
                  <path key={keyOf(p.id)} d={p.inkPath} fill={fillOf(film)} fillRule="evenodd" />
                ))}
              </g>
            </svg>
            <span>
              <span className="visually-hidden">Load </span>
              {l.number}{' '}
              <small>
                {l.pieces.length}
                <span className="visually-hidden"> pieces</span>
              </small>
              {l.isToBuy && <small className="to-buy">to buy</small>}
            </span>
          </button>
        </li>
      ))}
    </ol>
  );
}
