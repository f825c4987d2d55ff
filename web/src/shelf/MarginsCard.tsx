import { Form } from 'react-bootstrap';
import type { Schemas } from '../api/client';
import { LengthField } from '../units/LengthField';

interface Props {
  view: Schemas['BlankView'];
  blank: Schemas['Blank'];
  edit: (change: (b: Schemas['Blank']) => Schemas['Blank']) => void;
}

/** What stays clear around the zone. */
export function MarginsCard({ view, blank, edit }: Props) {
  const set = (which: keyof Schemas['ClearMargins']) => (value: Schemas['TypedLength']) =>
    edit((b) => ({ ...b, margins: { ...b.margins, [which]: value } }));
  const handle = view.rows.some((r) => r.dimension === 'handle' && typeof r.is === 'number');
  return (
    <section className="card" aria-label="Clear margins">
      <h2>Clear margins</h2>
      <div className="margins">
        <LengthField label="Below the rim" value={blank.margins.rim} echo={view.rim} onChange={set('rim')} />
        <LengthField label="Above the base" value={blank.margins.base} echo={view.base} onChange={set('base')} />
        <LengthField label={handle ? 'Beside the handle' : 'Beside the seam'} value={blank.margins.side} echo={view.side} onChange={set('side')} />
      </div>
      <Form.Control as="textarea" rows={1} size="sm" aria-label="Note" placeholder="A note to yourself" value={blank.note} onChange={(e) => edit((b) => ({ ...b, note: e.target.value }))} />
    </section>
  );
}
