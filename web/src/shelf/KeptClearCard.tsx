import { Form } from 'react-bootstrap';
import type { Schemas } from '../api/client';
import { LengthField } from '../units/LengthField';
import { datums, freshId, isWall, type Blank, type Edit } from './names';
import { ClearReadings } from './ClearReadings';
import { FacingField } from './FacingField';
import { PlaceFields } from './PlaceFields';

const SHAPES: Record<Schemas['ClearShape'], string> = {
  round: 'round',
  slot: 'slot',
  box: 'rectangle',
  band: 'band all across',
  strip: 'strip all the way up',
};

/** Holes, lids, seams and pockets: what every zone keeps off. */
export function KeptClearCard({ view, blank, edit }: { view: Schemas['BlankView']; blank: Blank; edit: Edit }) {
  const change = (id: string, to: Partial<Schemas['KeptClear']>) =>
    edit((b) => ({ ...b, keptClear: b.keptClear.map((k) => (k.id === id ? { ...k, ...to } : k)) }));
  const empty = { text: '', unit: 'millimetre' as const };
  const add = (isHole: boolean) =>
    edit((b) => ({
      ...b,
      keptClear: [
        ...b.keptClear,
        {
          id: freshId('clear', b.keptClear),
          name: isHole ? 'Hole' : isWall(b.surface) ? 'Band' : 'Kept clear',
          shape: isHole ? 'round' : isWall(b.surface) ? 'band' : 'box',
          isHole,
          facing: 'front',
          face: '',
          width: { text: isHole ? '5' : '', unit: 'millimetre' },
          height: { text: isHole ? '' : '10', unit: 'millimetre' },
          clearance: { text: '2', unit: 'millimetre' },
          place: { from: 'top', away: { text: '5', unit: 'millimetre' }, side: 'centred', across: empty },
          again: [],
        },
      ],
    }));
  return (
    <section className="card" aria-label="Kept clear">
      <h2>
        Kept clear
        <span className="deeds">
          {(!isWall(blank.surface) || blank.faces.length > 0) && (
            <button type="button" className="btn btn-sm btn-line" onClick={() => add(true)}>
              Add a hole
            </button>
          )}
          <button type="button" className="btn btn-sm btn-line" onClick={() => add(false)}>
            Add a place
          </button>
        </span>
      </h2>
      {blank.keptClear.map((k, i) => {
        const echo = (field: string) => view.keptClear[i]?.find((e) => e.field === field);
        return (
          <fieldset key={k.id} className="part">
            <div className="part-line">
              <Form.Control
                size="sm"
                className="zone-name"
                aria-label="What is there"
                value={k.name}
                onChange={(e) => change(k.id, { name: e.target.value })}
              />
              <Form.Select
                size="sm"
                aria-label={`Shape of ${k.name}`}
                value={k.shape}
                onChange={(e) => change(k.id, { shape: e.target.value as Schemas['ClearShape'] })}
              >
                {Object.entries(SHAPES).map(([key, words]) => (
                  <option key={key} value={key}>
                    {words}
                  </option>
                ))}
              </Form.Select>
              <button
                type="button"
                className="quiet"
                aria-label={`Remove ${k.name}`}
                onClick={() => edit((b) => ({ ...b, keptClear: b.keptClear.filter((x) => x.id !== k.id) }))}
              >
                remove
              </button>
            </div>
            <div className="margins four">
              {k.shape !== 'band' && (
                <LengthField
                  label={k.shape === 'round' ? 'Diameter' : 'Width'}
                  value={k.width}
                  echo={echo('width')}
                  onChange={(width) => change(k.id, { width })}
                />
              )}
              {k.shape !== 'round' && k.shape !== 'strip' && (
                <LengthField label="Height" value={k.height} echo={echo('height')} onChange={(height) => change(k.id, { height })} />
              )}
              <LengthField
                label="Clearance"
                value={k.clearance}
                echo={echo('clearance')}
                onChange={(clearance) => change(k.id, { clearance })}
              />
              <Form.Check
                id={`${k.id}-hole`}
                className="hole-check"
                label="goes through"
                checked={k.isHole}
                onChange={(e) => change(k.id, { isHole: e.target.checked })}
              />
            </div>
            {(!k.isHole || blank.faces.length > 0) && (
              <FacingField label="On its" of={`Side that ${k.name} is on`} blank={blank} value={k} onChange={(on) => change(k.id, on)} />
            )}
            <PlaceFields
              place={k.place}
              from={datums(blank, k.face)}
              echo={echo}
              onChange={(place) => change(k.id, { place })}
              what="Place"
            />
            <ClearReadings place={k} read={view.clearReadings[i] ?? []} onChange={(again) => change(k.id, { again })} />
          </fieldset>
        );
      })}
      {blank.keptClear.length === 0 && (
        <p className="soft">
          {isWall(blank.surface)
            ? 'Nothing but the handle. A lid, a lip, a ridge or a second seam goes here.'
            : 'Nothing. Holes, slots, zips and pockets go here.'}
        </p>
      )}
    </section>
  );
}
