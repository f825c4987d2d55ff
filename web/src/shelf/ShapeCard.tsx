import { Form } from 'react-bootstrap';
import type { Schemas } from '../api/client';
import { LengthField } from '../units/LengthField';
import { OutlineFields } from './OutlineFields';
import { FrameFields } from './FrameFields';
import type { Blank, Edit } from './names';

interface Props {
  id: string;
  view: Schemas['BlankView'];
  blank: Blank;
  edit: Edit;
  size: Schemas['SizeView'];
}

const MOST_GIRTHS = 9;

/**
 * What has to be known of a surface before its readings: outline, number of girths, sizes, mats. Straight and tapered walls need nothing.
 */
export function ShapeCard({ id, blank, edit }: Props) {
  switch (blank.surface) {
    case 'flat':
      return <FlatFields id={id} blank={blank} edit={edit} />;
    case 'bellied':
      return (
        <section className="card one-line" aria-label="Shape">
          <label htmlFor="girths">Girths read at</label>
          <Form.Select id="girths" size="sm" value={blank.girths} onChange={(e) => edit((b) => ({ ...b, girths: Number(e.target.value) }))}>
            {Array.from({ length: MOST_GIRTHS - 2 }, (_, i) => i + 3).map((n) => (
              <option key={n} value={n}>
                {n} heights
              </option>
            ))}
          </Form.Select>
          <span className="soft small">The widest place, and both ends of where artwork may go, are the best.</span>
        </section>
      );
    case 'garment':
      return <GarmentFields blank={blank} edit={edit} />;
    case 'framed':
      return <FrameFields blank={blank} edit={edit} />;
    default:
      return null;
  }
}

function FlatFields({ id, blank, edit }: { id: string; blank: Blank; edit: Edit }) {
  return (
    <section className="card" aria-label="Outline">
      <h2>Outline</h2>
      <OutlineFields id={id} outline={blank.outline} onChange={(to) => edit((b) => ({ ...b, outline: { ...b.outline, ...to } }))} />
    </section>
  );
}

function GarmentFields({ blank, edit }: { blank: Blank; edit: Edit }) {
  const set = (to: Partial<Schemas['GarmentSpec']>) => edit((b) => ({ ...b, garment: { ...b.garment, ...to } }));
  return (
    <section className="card" aria-label="Sizes">
      <h2>
        Sizes<span className="hint">smallest first, with commas between</span>
      </h2>
      <div className="margins four">
        <label>
          Kind
          <Form.Select
            size="sm"
            aria-label="Kind of cloth thing"
            value={blank.garment.kind}
            onChange={(e) => set({ kind: e.target.value as Schemas['GarmentKind'] })}
          >
            <option value="shirt">shirt</option>
            <option value="bag">bag or apron</option>
          </Form.Select>
        </label>
        <label>
          Sizes
          <Form.Control
            key={blank.garment.sizes.join()}
            size="sm"
            aria-label="Sizes"
            defaultValue={blank.garment.sizes.join(', ')}
            onBlur={(e) =>
              set({
                sizes: e.target.value
                  .split(',')
                  .map((s) => s.trim())
                  .filter(Boolean),
              })
            }
            onKeyDown={(e) => {
              if (e.key === 'Enter') e.currentTarget.blur();
            }}
          />
        </label>
        <LengthField label="Press covers, across" value={blank.garment.platenWidth} onChange={(platenWidth) => set({ platenWidth })} />
        <LengthField label="and up" value={blank.garment.platenHeight} onChange={(platenHeight) => set({ platenHeight })} />
      </div>
    </section>
  );
}
