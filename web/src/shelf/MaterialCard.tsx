import { Form } from 'react-bootstrap';
import type { Schemas } from '../api/client';
import type { Blank, Edit } from './names';

const FINISHES: Record<Schemas['Finish'], string> = {
  unknown: 'not noted',
  gloss: 'gloss',
  satin: 'satin',
  matt: 'matt',
  brushed: 'brushed',
  textured: 'rough or grained',
  cloth: 'cloth',
};
const COMMON = [
  'enamelled steel',
  'stainless steel',
  'aluminium',
  'ceramic',
  'glass',
  'clear acrylic',
  'painted wood',
  'bare wood',
  'plywood',
  'cotton',
  'polyester',
  'card',
  'leather',
];

/** What the blank is made of: from this follow the films that suit it, the heat it is pressed at, and the contrast. */
export function MaterialCard({ blank, edit }: { blank: Blank; edit: Edit }) {
  const { material } = blank;
  const set = (to: Partial<Schemas['Material']>) => edit((b) => ({ ...b, material: { ...b.material, ...to } }));
  return (
    <section className="card" aria-label="Made of">
      <h2>Made of</h2>
      <div className="margins">
        <label>
          Material
          <Form.Control
            size="sm"
            list="materials"
            aria-label="Material"
            value={material.name}
            placeholder="not noted"
            onChange={(e) => set({ name: e.target.value })}
          />
          <datalist id="materials">
            {COMMON.map((m) => (
              <option key={m} value={m} />
            ))}
          </datalist>
        </label>
        <label>
          Finish
          <Form.Select
            size="sm"
            aria-label="Finish"
            value={material.finish}
            onChange={(e) => set({ finish: e.target.value as Schemas['Finish'] })}
          >
            {Object.entries(FINISHES).map(([key, words]) => (
              <option key={key} value={key}>
                {words}
              </option>
            ))}
          </Form.Select>
        </label>
        <label>
          Heat it stands
          <Form.Control
            size="sm"
            aria-label="Heat it stands"
            value={material.standsHeat}
            placeholder="not known"
            onChange={(e) => set({ standsHeat: e.target.value })}
          />
        </label>
        <Colour label="Its colour" value={material.colour} onChange={(colour) => set({ colour })} />
        <label>
          Light
          <Form.Select
            size="sm"
            aria-label="Seen through"
            value={material.opacity}
            onChange={(e) => set({ opacity: e.target.value as Schemas['Opacity'] })}
          >
            <option value="opaque">does not go through</option>
            <option value="clear">goes through</option>
          </Form.Select>
        </label>
        {material.opacity === 'clear' && (
          <>
            <label>
              What is seen through it
              <Form.Control
                size="sm"
                aria-label="What is seen through it"
                value={material.behind}
                placeholder="a white wall, cola, a print"
                onChange={(e) => set({ behind: e.target.value })}
              />
            </label>
            <Colour label="of the colour" value={material.behindColour} onChange={(behindColour) => set({ behindColour })} />
          </>
        )}
      </div>
    </section>
  );
}

/** A colour that may also be left unknown. */
function Colour({ label, value, onChange }: { label: string; value: string; onChange: (value: string) => void }) {
  return (
    <label>
      {label}
      <span className="colour-field">
        <input type="color" aria-label={label} value={value || '#ffffff'} onChange={(e) => onChange(e.target.value)} />
        {value ? (
          <button type="button" className="quiet" onClick={() => onChange('')}>
            forget it
          </button>
        ) : (
          <span className="soft small">not noted</span>
        )}
      </span>
    </label>
  );
}
