import { Form } from 'react-bootstrap';
import type { Schemas } from '../api/client';
import type { EditSetUp, SetUp } from './useRun';

interface Props {
  view: Schemas['RunView'];
  run: SetUp;
  edit: EditSetUp;
}

/** Which zone of the blank a run is for, which size of a garment, and what the goods are made of. */
export function ZoneChoice({ view, run, edit }: Props) {
  const { material } = view;
  const facts = material?.material
    ? [
        material.material.name,
        material.material.finish === 'unknown' ? '' : material.material.finish,
        material.material.standsHeat &&
          `stands ${material.material.standsHeat}${/^\d+$/.test(material.material.standsHeat.trim()) ? ' °C' : ''}`,
      ].filter(Boolean)
    : [];
  return (
    <>
      {view.zones.length > 1 && (
        <label className="wide-field">
          Zone
          <Form.Select
            size="sm"
            aria-label="Zone"
            value={run.zone || view.zones[0]?.id}
            onChange={(e) => edit((r) => ({ ...r, zone: e.target.value }))}
          >
            {view.zones.map((z) => (
              <option key={z.id} value={z.id}>
                {z.name}
              </option>
            ))}
          </Form.Select>
        </label>
      )}
      {view.sizes.length > 0 && (
        <label className="wide-field">
          Size
          <Form.Select
            size="sm"
            aria-label="Size"
            value={run.size || view.sizes[0]}
            onChange={(e) => edit((r) => ({ ...r, size: e.target.value }))}
          >
            {view.sizes.map((s) => (
              <option key={s} value={s}>
                {s}
              </option>
            ))}
          </Form.Select>
        </label>
      )}
      {facts.length > 0 && <p className="soft small">Made of {facts.join(', ')}.</p>}
    </>
  );
}
