import { Form } from 'react-bootstrap';
import type { Schemas } from '../api/client';

interface Props {
  label: string;
  /** What the field is called to those who do not see it. */
  of: string;
  value: Schemas['Facing'];
  onChange: (facing: Schemas['Facing']) => void;
}

/** Whether something is on the front or the back of a flat or cloth thing. */
export function FacingField({ label, of, value, onChange }: Props) {
  return (
    <label className="wide-field">{label}
      <Form.Select size="sm" aria-label={of} value={value} onChange={(e) => onChange(e.target.value as Schemas['Facing'])}>
        <option value="front">front</option>
        <option value="back">back, left and right as one looks at it</option>
      </Form.Select>
    </label>
  );
}
