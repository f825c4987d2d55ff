import { useId } from 'react';
import { Form } from 'react-bootstrap';
import type { Schemas } from '../api/client';
import { length, unitInForce } from './units';
import { useUnits } from './UnitsContext';
import { Words } from './Words';

interface Props {
  label: string;
  value: Schemas['TypedLength'];
  echo?: Schemas['LengthEcho'];
  onChange: (value: Schemas['TypedLength']) => void;
  hideLabel?: boolean;
  disabled?: boolean;
  /** What it is while nothing is typed. */
  usual?: string;
}

/** A length typed the way it is read off a tape, with what was understood beneath; what was typed is never rewritten. */
export function LengthField({ label, value, echo, onChange, hideLabel = false, disabled = false, usual }: Props) {
  const { units } = useUnits();
  const id = useId();
  const problem = value.text.trim() !== '' ? echo?.problem : undefined;
  const plain = /^\d+([.,]\d+)?$/.test(value.text.trim()) && value.unit === unitInForce(units);
  return (
    <div className="length-field">
      <Form.Label htmlFor={id} className={hideLabel ? 'visually-hidden' : ''}>
        {label}
      </Form.Label>
      <Form.Control
        id={id}
        size="sm"
        value={value.text}
        disabled={disabled}
        placeholder={usual}
        isInvalid={!!problem}
        aria-describedby={`${id}-echo`}
        onChange={(e) => onChange({ text: e.target.value, unit: unitInForce(units) })}
      />
      <div id={`${id}-echo`} className={problem ? 'echo problem' : 'echo'}>
        {problem ? <Words of={problem} /> : !plain && typeof echo?.millimetres === 'number' ? `= ${length(echo.millimetres, units)}` : ''}
      </div>
    </div>
  );
}
