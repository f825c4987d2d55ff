import type { Schemas } from '../api/client';
import { length } from '../units/units';
import { useUnits } from '../units/UnitsContext';

/** Whether the transfer tape goes on before weeding, with both figures that say so. */
export function TapeFirst({ tape }: { tape: Schemas['TapeFirst'] | null }) {
  const { units } = useUnits();
  if (!tape) return null;
  const [tenth, limit] = [length(tape.tenth, units, 2), length(tape.limit, units, 2)];
  return (
    <p>
      <b>{tape.isAdvised ? 'Tape first, and pull the waste from behind.' : 'Weed first, then tape.'}</b>{' '}
      <span className="soft">
        {tape.isAdvised
          ? `A tenth of the outline is narrower than ${tenth}; under ${limit}, one and a half times what the film bears, ` +
            'strokes come off with the waste.'
          : `Nine tenths of the outline are wider than ${tenth}, and what is wider than ${limit} holds by itself.`}
      </span>
    </p>
  );
}
