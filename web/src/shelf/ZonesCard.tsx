import { Form } from 'react-bootstrap';
import type { Schemas } from '../api/client';
import { figure } from '../units/units';
import { useUnits } from '../units/UnitsContext';
import { NumberField } from '../fields/Choice';
import { LengthField } from '../units/LengthField';
import { datums, freshId, sides, type Blank, type Edit } from './names';
import { FacingField } from './FacingField';
import { PlaceFields } from './PlaceFields';

type Spec = Schemas['ZoneSpec'];

interface Props {
  view: Schemas['BlankView'];
  blank: Blank;
  edit: Edit;
  size: Schemas['SizeView'];
  chosen?: string;
  onChoose: (id: string) => void;
}

/** The zones of a blank, each with its margins, and its own size and place where they are given. */
export function ZonesCard({ view, blank, edit, size, chosen, onChoose }: Props) {
  const { units } = useUnits();
  const open = blank.zones.find((z) => z.id === chosen)?.id ?? blank.zones[0]?.id;
  const change = (id: string, to: (z: Spec) => Spec) => edit((b) => ({ ...b, zones: b.zones.map((z) => (z.id === id ? to(z) : z)) }));
  const add = () => {
    const id = freshId('zone', blank.zones);
    const last = blank.zones[blank.zones.length - 1];
    const empty = { text: '', unit: 'millimetre' as const };
    const margin = { text: '10', unit: 'millimetre' as const };
    const like: Omit<Schemas['ZoneSpec'], 'id' | 'name'> = last ?? {
      part: 'whole',
      facing: 'front',
      face: '',
      margins: { top: margin, bottom: margin, left: margin, right: margin },
      width: empty,
      height: empty,
      place: { from: 'middle', away: empty, side: 'centred', across: empty },
      turning: 'upright',
      turnRange: 15,
    };
    edit((b) => ({ ...b, zones: [...b.zones, { ...like, id, name: `Zone ${b.zones.length + 1}` }] }));
    onChoose(id);
  };
  return (
    <section className="card" aria-label="Zones">
      <h2>
        Zones
        <button type="button" className="btn btn-sm btn-line" onClick={add}>
          Add a zone
        </button>
      </h2>
      {blank.zones.map((z) => {
        const laid = size.zones.find((v) => v.id === z.id);
        return (
          <fieldset key={z.id} className={z.id === open ? 'part zone open' : 'part zone'} onFocus={() => onChoose(z.id)}>
            <div className="part-line">
              <Form.Control
                size="sm"
                className="zone-name"
                aria-label="Name of the zone"
                value={z.name}
                onChange={(e) => change(z.id, (x) => ({ ...x, name: e.target.value }))}
              />
              <span className="zone-size">
                {typeof laid?.width === 'number' && typeof laid.height === 'number'
                  ? `${figure(laid.width, units)} × ${figure(laid.height, units)} safe`
                  : 'nothing left'}
              </span>
              {z.id !== open && (
                <button type="button" className="quiet" onClick={() => onChoose(z.id)}>
                  open
                </button>
              )}
              {blank.zones.length > 1 && (
                <button
                  type="button"
                  className="quiet"
                  aria-label={`Remove ${z.name}`}
                  onClick={() => edit((b) => ({ ...b, zones: b.zones.filter((x) => x.id !== z.id) }))}
                >
                  remove
                </button>
              )}
            </div>
            {z.id === open && (
              <ZoneFields
                zone={z}
                laid={laid}
                blank={blank}
                handle={view.rows.some((r) => r.dimension === 'handle' && typeof r.is === 'number')}
                onChange={(to) => change(z.id, to)}
              />
            )}
          </fieldset>
        );
      })}
      {blank.zones.length === 0 && <p className="soft">A zone is where artwork may go: front, back, wrap, lid. Add the first one.</p>}
    </section>
  );
}

interface FieldsProps {
  zone: Spec;
  laid?: Schemas['ZoneView'];
  blank: Blank;
  handle: boolean;
  onChange: (to: (z: Spec) => Spec) => void;
}

function ZoneFields({ zone, laid, blank, handle, onChange }: FieldsProps) {
  const echo = (field: string) => laid?.echoes.find((e) => e.field === field);
  const names = sides(blank, handle, zone.face);
  const sized = zone.width.text !== '' || zone.height.text !== '';
  return (
    <>
      {blank.surface === 'framed' && !zone.face && (
        <label className="wide-field">
          On
          <Form.Select
            size="sm"
            aria-label="Part of the frame"
            value={zone.part}
            onChange={(e) => onChange((z) => ({ ...z, part: e.target.value as Schemas['ZonePart'] }))}
          >
            <option value="whole">the pane, as far as it is seen</option>
            <option value="topMat">the top mat, round its opening</option>
            <option value="opening">what the lowest mat leaves open</option>
          </Form.Select>
        </label>
      )}
      <FacingField
        label="On its"
        of="Side of the goods"
        blank={blank}
        value={zone}
        onChange={(on) => onChange((z) => ({ ...z, ...on, place: on.face && !z.face ? { ...z.place, from: 'middle' } : z.place }))}
      />
      <p className="field-row-title">Stays clear</p>
      <div className="margins four">
        {(['top', 'bottom', 'left', 'right'] as const).map((side) => (
          <LengthField
            key={side}
            label={names[side]}
            value={zone.margins[side]}
            echo={echo(side)}
            onChange={(v) => onChange((z) => ({ ...z, margins: { ...z.margins, [side]: v } }))}
          />
        ))}
      </div>
      <p className="field-row-title">
        Size of its own <span className="hint">empty: all that is left</span>
      </p>
      <div className="margins four">
        <LengthField label="Zone width" value={zone.width} echo={echo('width')} onChange={(width) => onChange((z) => ({ ...z, width }))} />
        <LengthField
          label="Zone height"
          value={zone.height}
          echo={echo('height')}
          onChange={(height) => onChange((z) => ({ ...z, height }))}
        />
        <label className="turning">
          Artwork
          <Form.Select
            size="sm"
            aria-label="Turning"
            value={zone.turning}
            onChange={(e) => onChange((z) => ({ ...z, turning: e.target.value as Schemas['Turning'] }))}
          >
            <option value="upright">upright</option>
            <option value="quarterTurn">may be turned a quarter</option>
            <option value="range">may be turned a little</option>
          </Form.Select>
        </label>
        {zone.turning === 'range' && (
          <NumberField
            label="Turned at most, °"
            value={zone.turnRange}
            min={1}
            max={90}
            onChange={(turnRange) => onChange((z) => ({ ...z, turnRange }))}
          />
        )}
      </div>
      {sized && (
        <PlaceFields
          place={zone.place}
          from={datums(blank, zone.face)}
          echo={echo}
          what="Zone"
          onChange={(place) => onChange((z) => ({ ...z, place }))}
        />
      )}
    </>
  );
}
