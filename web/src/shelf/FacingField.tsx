import { Form } from 'react-bootstrap';
import type { Schemas } from '../api/client';
import { isWall, type Blank } from './names';

type On = Pick<Schemas['ZoneSpec'], 'facing' | 'face'>;

interface Props {
  label: string;
  /** What the field is called to those who do not see it. */
  of: string;
  blank: Blank;
  value: On;
  onChange: (on: On) => void;
}

/**
 * The face that something is on: front or back of a flat or cloth thing, or one with an outline of its own.
 * Nothing where there is no choice.
 */
export function FacingField({ label, of, blank, value, onChange }: Props) {
  const sided = blank.surface === 'garment' || blank.surface === 'flat';
  if (!sided && !blank.faces.length && !value.face) return null;
  const itself = sided ? 'front' : isWall(blank.surface) ? 'the wall' : 'the pane and its mats';
  return (
    <label className="wide-field">
      {label}
      <Form.Select
        size="sm"
        aria-label={of}
        value={value.face ? `own ${value.face}` : sided ? value.facing : 'front'}
        onChange={({ target: { value: on } }) =>
          onChange(on.startsWith('own ') ? { facing: 'front', face: on.slice(4) } : { facing: on as Schemas['Facing'], face: '' })
        }
      >
        <option value="front">{itself}</option>
        {sided && <option value="back">back, left and right as one looks at it</option>}
        {blank.faces.map((f) => (
          <option key={f.id} value={`own ${f.id}`}>
            {f.name}
          </option>
        ))}
        {value.face && !blank.faces.some((f) => f.id === value.face) && <option value={`own ${value.face}`}>a face that is gone</option>}
      </Form.Select>
    </label>
  );
}
