import type { Schemas } from '../api/client';
import { InkPicture } from '../board/InkPicture';
import { length, type Units } from '../units/units';

interface Props {
  result: Schemas['TriedFaceView'];
  zone: Schemas['Box'] | null;
  units: Units;
}

/** A typeface as it was tried: the names in it, and what they come to. */
export function Tried({ result, zone, units }: Props) {
  return (
    <>
      <div className="trial-names">
        {result.names.map((n) => {
          const box = zone ?? n.box;
          return box ? (
            <InkPicture key={n.name} label={n.name} box={box} inks={n.inks} around={0.02} goods={result.goods.colour} />
          ) : (
            <span key={n.name} className="soft">
              {n.name}: no ink
            </span>
          );
        })}
      </div>
      <p className="trial-facts">
        <span>
          letters <b>{length(result.letterHeight, units)}</b>
        </span>
        <span>
          thinnest <b>{typeof result.thinnestStroke === 'number' ? length(result.thinnestStroke, units, 2) : '–'}</b>
        </span>
        <span>
          least counter{' '}
          <b>{typeof result.smallestCounter === 'number' ? `${length(Math.sqrt(result.smallestCounter), units)} square` : 'none'}</b>
        </span>
        <span>
          weeding <b>{result.minutes.toFixed(1)} min</b>
        </span>
        <span className={result.stops ? 'over' : result.findings ? 'snug' : ''}>
          {result.findings ? `${result.stops ? '■' : '▲'} ${result.findings} to look at` : '✓ nothing to look at'}
        </span>
      </p>
    </>
  );
}
