import { Form } from 'react-bootstrap';
import type { Schemas } from '../api/client';
import { LengthField } from '../units/LengthField';
import { DrawnOutlineRow } from './DrawnOutlineRow';
import { OUTLINES } from './names';

interface Props {
  id: string;
  outline: Schemas['PanelOutline'];
  /** The face whose outline it is; none for the thing itself. */
  face?: { id: string; name: string };
  onChange: (to: Partial<Schemas['PanelOutline']>) => void;
}

/** The outline of something flat: its kind, its rim, and where an odd one comes from. */
export function OutlineFields({ id, outline, face, onChange }: Props) {
  const of = face ? ` of ${face.name}` : '';
  return (
    <>
      <div className="margins">
        <label>
          Shape
          <Form.Select
            size="sm"
            aria-label={`Outline${of}`}
            value={outline.kind}
            onChange={(e) => onChange({ kind: e.target.value as Schemas['OutlineKind'] })}
          >
            {Object.entries(OUTLINES).map(([key, words]) => (
              <option key={key} value={key}>
                {words}
              </option>
            ))}
          </Form.Select>
        </label>
        {outline.kind === 'polygon' && (
          <label>
            Sides
            <Form.Control
              size="sm"
              type="number"
              min={3}
              max={24}
              aria-label={`Sides${of}`}
              value={outline.sides}
              onChange={(e) => onChange({ sides: Number(e.target.value) })}
            />
          </label>
        )}
        <LengthField label="Rim that stays clear" value={outline.rim} onChange={(rim) => onChange({ rim })} />
      </div>
      {outline.kind === 'drawn' && <DrawnOutlineRow id={id} face={face} drawn={outline.drawn} onDrawn={(drawn) => onChange({ drawn })} />}
    </>
  );
}
