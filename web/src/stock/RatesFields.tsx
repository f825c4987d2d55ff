import { Form } from 'react-bootstrap';
import type { Schemas } from '../api/client';
import { Words } from '../units/Words';

type Rates = Schemas['Rates'];
const FIELDS: readonly (readonly [keyof Rates, string, string])[] = [
  ['currency', 'Currency', '€, £, kr'],
  ['hour', 'An hour of yours', 'not noted'],
  ['cutterHour', 'An hour of the cutter', 'nothing'],
  ['tape', 'Tape, a square metre', 'nothing'],
  ['overheads', 'Overheads, %', '0'],
  ['margin', 'Margin, %', '0'],
];

interface Props {
  rates: Rates;
  problems: readonly Schemas['Finding'][];
  onChange: (rates: Rates) => void;
}

/** What the workshop reckons with. */
export function RatesFields({ rates, problems, onChange }: Props) {
  return (
    <fieldset className="rates">
      {FIELDS.map(([field, label, usual]) => {
        const problem = problems.find((p) => p.fields.includes(`rates.${field}`))?.message;
        return (
          <label key={field}>
            {label}
            <Form.Control
              size="sm"
              maxLength={field === 'currency' ? 4 : 20}
              placeholder={usual}
              value={rates[field]}
              isInvalid={!!problem}
              onChange={(e) => onChange({ ...rates, [field]: e.target.value })}
            />
            {problem && (
              <span className="echo problem">
                <Words of={problem} />
              </span>
            )}
          </label>
        );
      })}
    </fieldset>
  );
}
