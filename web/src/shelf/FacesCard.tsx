import { Form } from 'react-bootstrap';
import { freshId, usualFaces, type Blank, type Edit } from './names';
import { OutlineFields } from './OutlineFields';

const MOST = 12;

/** The further faces of a thing, each with an outline and readings of its own: a lid, a sleeve. */
export function FacesCard({ id, blank, edit }: { id: string; blank: Blank; edit: Edit }) {
  const usual = usualFaces(blank).filter((u) => !blank.faces.some((f) => f.name === u.name));
  const add = (name: string, kind: Blank['outline']['kind']) =>
    edit((b) => ({
      ...b,
      faces: [
        ...b.faces,
        { id: freshId('face', b.faces), name, outline: { kind, sides: 6, rim: { text: '', unit: 'millimetre' }, drawn: null } },
      ],
    }));
  const choose = (name: string) => {
    const one = usual.find((u) => u.name === name);
    add(one?.name ?? `Face ${blank.faces.length + 1}`, one?.outline ?? 'rectangle');
  };
  const change = (face: string, to: Partial<Blank['faces'][number]>) =>
    edit((b) => ({
      ...b,
      faces: b.faces.map((f) => (f.id === face ? { ...f, ...to } : f)),
    }));
  const remove = (face: string) =>
    edit((b) => ({
      ...b,
      faces: b.faces.filter((f) => f.id !== face),
      measured: b.measured.filter((m) => m.face !== face),
    }));
  return (
    <section className="card" aria-label="Further faces">
      <h2>
        Further faces
        <Form.Select
          size="sm"
          className="add-face"
          aria-label="Add a face"
          value=""
          disabled={blank.faces.length >= MOST}
          onChange={(e) => choose(e.target.value)}
        >
          <option value="" disabled>
            Add a face …
          </option>
          {usual.map((u) => (
            <option key={u.name} value={u.name}>
              {u.name}
            </option>
          ))}
          <option value="another">another, flat</option>
        </Form.Select>
      </h2>
      {blank.faces.map((f) => (
        <fieldset key={f.id} className="part">
          <div className="part-line">
            <Form.Control
              size="sm"
              className="zone-name"
              aria-label="Name of the face"
              value={f.name}
              onChange={(e) => change(f.id, { name: e.target.value })}
            />
            <button type="button" className="quiet" aria-label={`Remove ${f.name}`} onClick={() => remove(f.id)}>
              remove
            </button>
          </div>
          <OutlineFields id={id} face={f} outline={f.outline} onChange={(to) => change(f.id, { outline: { ...f.outline, ...to } })} />
        </fieldset>
      ))}
      {blank.faces.length === 0 && (
        <p className="soft">A lid, a sleeve, a pocket: what is flat, has a shape of its own and may carry artwork too.</p>
      )}
    </section>
  );
}
