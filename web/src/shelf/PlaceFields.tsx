import { Form } from 'react-bootstrap';
import type { Schemas } from '../api/client';
import { LengthField } from '../units/LengthField';

interface Props {
  place: Schemas['Place'];
  from: readonly [Schemas['Datum'], string][];
  /** What stands there, as its fields are called. */
  what: string;
  echo: (field: string) => Schemas['FieldEchoView'] | undefined;
  onChange: (place: Schemas['Place']) => void;
}

/** Where a thing stands, as a maker measures it in. */
export function PlaceFields({ place, from, what, echo, onChange }: Props) {
  return (
    <div className="place-fields">
      <LengthField
        label={`${what} away`}
        value={place.away}
        echo={echo('away')}
        disabled={place.from === 'middle'}
        onChange={(away) => onChange({ ...place, away })}
      />
      <label>
        Measured
        <Form.Select
          size="sm"
          aria-label={`${what} measured from`}
          value={place.from}
          onChange={(e) => onChange({ ...place, from: e.target.value as Schemas['Datum'] })}
        >
          {from.map(([key, words]) => (
            <option key={key} value={key}>
              {words}
            </option>
          ))}
        </Form.Select>
      </label>
      <LengthField
        label={`${what} across`}
        value={place.across}
        echo={echo('across')}
        disabled={place.side === 'centred'}
        onChange={(across) => onChange({ ...place, across })}
      />
      <label>
        To the side
        <Form.Select
          size="sm"
          aria-label={`${what} to which side`}
          value={place.side}
          onChange={(e) => onChange({ ...place, side: e.target.value as Schemas['Sideways'] })}
        >
          <option value="centred">on the middle line</option>
          <option value="left">left of it</option>
          <option value="right">right of it</option>
        </Form.Select>
      </label>
    </div>
  );
}
