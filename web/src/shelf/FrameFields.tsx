import { Form } from 'react-bootstrap';
import type { Schemas } from '../api/client';
import { LengthField } from '../units/LengthField';
import type { Blank, Edit } from './names';

const LENGTHS: [keyof Pick<Schemas['FrameSpec'], 'top' | 'sides' | 'foot' | 'step' | 'play' | 'hold'>, string][] = [
  ['top', 'Border above'],
  ['sides', 'Border at the sides'],
  ['foot', 'Foot'],
  ['step', 'Step from mat to mat'],
  ['play', 'Play in the rebate'],
  ['hold', 'Print held by'],
];

/** What goes into a frame: the pane, the mats and their borders. */
export function FrameFields({ blank, edit }: { blank: Blank; edit: Edit }) {
  const set = (to: Partial<Schemas['FrameSpec']>) => edit((b) => ({ ...b, frame: { ...b.frame, ...to } }));
  return (
    <section className="card" aria-label="Pane and mats">
      <h2>Pane and mats</h2>
      <div className="margins four">
        <label>
          Pane
          <Form.Select
            size="sm"
            aria-label="Pane"
            value={blank.frame.pane}
            onChange={(e) => set({ pane: e.target.value as Schemas['PaneKind'] })}
          >
            <option value="glass">glass</option>
            <option value="acrylic">acrylic</option>
            <option value="none">none</option>
          </Form.Select>
        </label>
        <label>
          Mats
          <Form.Control
            size="sm"
            type="number"
            min={0}
            max={6}
            aria-label="Number of mats"
            value={blank.frame.mats}
            onChange={(e) => set({ mats: Number(e.target.value) })}
          />
        </label>
        {LENGTHS.map(([key, label]) => (
          <LengthField key={key} label={label} value={blank.frame[key]} onChange={(v) => set({ [key]: v })} />
        ))}
      </div>
    </section>
  );
}
