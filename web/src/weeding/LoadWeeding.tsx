import type { Schemas } from '../api/client';
import { length } from '../units/units';
import { useUnits } from '../units/UnitsContext';
import { Words } from '../units/Words';
import { bitsSaid, minutesSaid, SIDES, spreadSaid } from './said';
import { TapeFirst } from './TapeFirst';
import { Took } from './Took';

interface Props {
  weeds: Schemas['WeedsView'];
  purpose: Schemas['FilmPurpose'];
  /** Keeps what it really took. */
  save: (minutes: string) => Promise<unknown>;
}

/** How a load is weeded, beneath its drawing. */
export function LoadWeeding({ weeds, purpose, save }: Props) {
  const { units } = useUnits();
  const breaks = weeds.boxes.reduce((n, b) => n + b.breaks.length, 0);
  return (
    <details className="load-weeding">
      <summary>
        Weeding: {minutesSaid(weeds.time.minutes)}, {bitsSaid(weeds.bits)}
        {weeds.boxes.length > 0 && `, ${boxesSaid(weeds.boxes.length)}, ${breaks} ${breaks === 1 ? 'break' : 'breaks'}`}
        {typeof weeds.nearest === 'number' && ` that keep ${length(weeds.nearest, units, 2)} from the ink`}
      </summary>
      <p className="soft small">{spreadSaid(weeds.time)}</p>
      {purpose === 'stays' && (
        <p>
          <b>Peel from {SIDES[weeds.best]}</b> <span className="soft">as it lies here.</span>
        </p>
      )}
      <TapeFirst tape={weeds.tape} />
      {weeds.noWay.map((w, i) => (
        <p key={i} className="finding">
          <Words of={w} />
        </p>
      ))}
      <Took key={weeds.key} took={weeds.time.took} save={save} />
    </details>
  );
}

export const boxesSaid = (boxes: number) => (boxes === 1 ? 'one weed box' : `${boxes} weed boxes`);
