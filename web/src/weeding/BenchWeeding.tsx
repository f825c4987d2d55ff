import type { Schemas } from '../api/client';
import { length } from '../units/units';
import { useUnits } from '../units/UnitsContext';
import { boxesSaid } from './LoadWeeding';
import { bitsSaid, minutesSaid, SIDES, smallSaid } from './said';

/** How each load is weeded, on the bench card. */
export function BenchWeeding({ loads }: { loads: readonly Schemas['BenchLoad'][] }) {
  const { units } = useUnits();
  return (
    <>
      <h3>Weed</h3>
      {loads.map(
        ({ number, purpose, weeds, isPressed }) =>
          weeds && (
            <p key={number}>
              {loads.length > 1 && <b>Load {number}: </b>}
              about {minutesSaid(weeds.time.minutes)}, {bitsSaid(weeds.bits)}
              {weeds.small > 0 && `, ${weeds.small} of them ${smallSaid(units)}: the smallest first`}
              {weeds.boxes.length > 0 && `; ${boxesSaid(weeds.boxes.length)} and the breaks are cut with it`}.{' '}
              {purpose === 'stays' && `Peel from ${SIDES[weeds.best]} of the sheet. `}
              {/* What lies on a carrier of its own is lifted by that. */}
              {!isPressed &&
                weeds.tape &&
                (weeds.tape.isAdvised ? (
                  <strong>
                    Tape first, and pull the waste from behind: a tenth of the outline is narrower than {length(weeds.tape.tenth, units, 2)}
                    .
                  </strong>
                ) : purpose === 'stays' ? (
                  'Weed first, then tape.'
                ) : (
                  ''
                ))}
            </p>
          ),
      )}
    </>
  );
}
