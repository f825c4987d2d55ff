import { Form } from 'react-bootstrap';
import type { Schemas } from '../api/client';
import { Words } from '../units/Words';

const DAYS = ['Monday', 'Tuesday', 'Wednesday', 'Thursday', 'Friday', 'Saturday', 'Sunday'];

interface Props {
  view: Schemas['WorkshopView'];
  hours: readonly Schemas['WorkHours'][];
  onChange: (hours: Schemas['WorkHours'][]) => void;
}

/** When the workshop is open, by day of the week: what the plan of the day is laid out on. */
export function WorkHours({ view, hours, onChange }: Props) {
  const all = hours.length === DAYS.length ? hours : view.hours;
  const set = (day: number, change: Partial<Schemas['WorkHours']>) => onChange(all.map((h, i) => (i === day ? { ...h, ...change } : h)));
  return (
    <fieldset className="hours">
      {all.map((h, day) => (
        <div key={DAYS[day]}>
          <span className="soft small">{DAYS[day]}</span>
          {(['from', 'to'] as const).map((end) => {
            const problem = view.problems.find((p) => p.fields.includes(`hours.${day}.${end}`))?.message;
            return (
              <div key={end}>
                <Form.Control
                  size="sm"
                  maxLength={20}
                  aria-label={`${DAYS[day]}, ${end === 'from' ? 'opens' : 'closes'}`}
                  placeholder={end === 'from' ? 'closed' : ''}
                  value={h[end]}
                  isInvalid={!!problem}
                  onChange={(e) => set(day, { [end]: e.target.value })}
                />
                {problem && (
                  <span className="echo problem">
                    <Words of={problem} />
                  </span>
                )}
              </div>
            );
          })}
        </div>
      ))}
    </fieldset>
  );
}
