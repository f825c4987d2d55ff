import { Form } from 'react-bootstrap';
import type { Schemas } from '../api/client';
import { untyped } from '../units/units';
import { useUnits } from '../units/UnitsContext';
import { UsualLength } from '../units/UsualLength';
import type { Cutter } from './CutterPage';

type Carrier = Schemas['Carrier'];

export interface CutterPart {
  cutter: Cutter;
  set: (change: Partial<Cutter>) => void;
  /** What is wrong with a field. */
  problem: (field: string) => Schemas['Phrase'] | undefined;
}

/** What the cutter reaches: on each carrier, sold by one size and reached by another, and without any. */
export function CarriersCard({ cutter, set, problem }: CutterPart) {
  const { units } = useUnits();
  const empty = untyped(units);
  const { rollers } = cutter;
  const setCarrier = (at: number, change: Partial<Carrier>) =>
    set({ carriers: cutter.carriers.map((c, i) => (i === at ? { ...c, ...change } : c)) });
  const add = () =>
    set({
      carriers: [
        ...cutter.carriers,
        {
          id: `carrier-${Date.now().toString(36)}`,
          name: cutter.carriers.length === 0 ? 'Mat' : `Mat ${cutter.carriers.length + 1}`,
          width: empty,
          length: empty,
          reachWidth: cutter.reachWidth,
          reachLength: cutter.reachLength,
          left: empty,
          foot: empty,
          thickness: empty,
          proved: { across: empty, along: empty, rising: empty, falling: empty },
        },
      ],
    });
  return (
    <section className="card" aria-label="Carriers">
      <h2>What it reaches</h2>
      <p className="soft small">A mat is sold by one size and cut on by less. Measure both: what is not reached is not laid on.</p>
      {cutter.carriers.length === 0 && (
        <div className="stock-fields">
          <UsualLength
            label="Reaches across"
            value={cutter.reachWidth}
            problem={problem('reachWidth')}
            onChange={(reachWidth) => set({ reachWidth })}
          />
          <UsualLength
            label="Reaches along"
            value={cutter.reachLength}
            problem={problem('reachLength')}
            onChange={(reachLength) => set({ reachLength })}
          />
        </div>
      )}
      {cutter.carriers.map((c, at) => {
        const field = (
          name: 'width' | 'length' | 'reachWidth' | 'reachLength' | 'left' | 'foot' | 'thickness',
          label: string,
          usual?: string,
        ) => (
          <UsualLength
            label={label}
            value={c[name]}
            usual={usual}
            problem={problem(`carriers.${at}.${name}`)}
            onChange={(v) => setCarrier(at, { [name]: v })}
          />
        );
        return (
          <fieldset key={c.id} className="carrier">
            <legend>
              <Form.Control
                size="sm"
                aria-label={`Name of carrier ${at + 1}`}
                value={c.name}
                onChange={(e) => setCarrier(at, { name: e.target.value })}
              />
              <button
                type="button"
                className="quiet"
                aria-label={`Take away ${c.name}`}
                onClick={() => set({ carriers: cutter.carriers.filter((_, i) => i !== at) })}
              >
                ✕
              </button>
            </legend>
            <div className="stock-fields">
              {field('width', 'Sold as wide')}
              {field('length', 'Sold as long')}
              {field('reachWidth', 'Reached across')}
              {field('reachLength', 'Reached along')}
              {field('left', 'Begins, from left', 'in the middle')}
              {field('foot', 'Begins, from foot', 'in the middle')}
              {field('thickness', 'Thickness', 'not known')}
            </div>
          </fieldset>
        );
      })}
      <button type="button" className="btn btn-sm btn-line" onClick={add}>
        + A carrier
      </button>
      <fieldset className="carrier">
        <legend>Without a carrier</legend>
        <div className="stock-fields">
          {(
            [
              ['width', 'Between the rollers', 'on carriers only'],
              ['longest', 'At most long', undefined],
              ['lead', 'Clear at the lead', '0'],
              ['tail', 'Clear at the tail', '0'],
            ] as const
          ).map(([name, label, usual]) => (
            <UsualLength
              key={name}
              label={label}
              value={rollers[name]}
              usual={usual}
              problem={problem(`rollers.${name}`)}
              onChange={(v) => set({ rollers: { ...rollers, [name]: v } })}
            />
          ))}
        </div>
      </fieldset>
    </section>
  );
}
