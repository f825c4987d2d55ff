import { Form } from 'react-bootstrap';
import type { Schemas } from '../api/client';
import { untyped } from '../units/units';
import { useUnits } from '../units/UnitsContext';
import { UsualLength } from '../units/UsualLength';

type Cut = Schemas['CutDone'];

interface Props {
  load: Schemas['ReleasedLoad'];
  cutter: Schemas['Cutter'];
  edit: (cuts: Cut[]) => void;
}

/** When the load was cut, with which settings, and what was measured on it. */
export function CutsCard({ load, cutter, edit }: Props) {
  const { units } = useUnits();
  const { cuts } = load;
  const empty = untyped(units);
  const set = (at: number, change: Partial<Cut>) => edit(cuts.map((c, i) => (i === at ? { ...c, ...change } : c)));
  const add = () => {
    const now = new Date();
    const on = `${now.toLocaleDateString('sv')} ${now.toTimeString().slice(0, 5)}`;
    edit([
      ...cuts,
      { on, with: `${cutter.name}${load.carrier ? `, ${load.carrier}` : ''}`, across: empty, along: empty, note: '', jobId: '' },
    ]);
  };
  return (
    <section className="card" aria-label="What was cut">
      <h2>What was cut</h2>
      {cuts.length === 0 && <p className="soft">Not cut yet.</p>}
      {cuts.map((c, i) => (
        <div key={i} className="cut-done">
          <b>{c.on}</b>
          <div className="stock-fields">
            <label>
              With
              <Form.Control size="sm" value={c.with} maxLength={400} onChange={(e) => set(i, { with: e.target.value })} />
            </label>
            <UsualLength label="Measured across" value={c.across} usual="not measured" onChange={(across) => set(i, { across })} />
            <UsualLength label="Measured along" value={c.along} usual="not measured" onChange={(along) => set(i, { along })} />
          </div>
          <Form.Control
            as="textarea"
            rows={1}
            size="sm"
            aria-label={`Note on the cut of ${c.on}`}
            placeholder="Anything worth remembering"
            value={c.note}
            maxLength={2000}
            onChange={(e) => set(i, { note: e.target.value })}
          />
          <button type="button" className="quiet" onClick={() => edit(cuts.filter((_, j) => j !== i))}>
            Take it back
          </button>
        </div>
      ))}
      <button type="button" className="btn btn-sm btn-main" onClick={add}>
        It was cut now
      </button>
    </section>
  );
}
