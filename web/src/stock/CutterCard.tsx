import { Link } from 'react-router';
import type { Schemas } from '../api/client';
import { figure } from '../units/units';
import { useUnits } from '../units/UnitsContext';
import { useReading } from '../units/useEcho';
import { Words } from '../units/Words';
import { NUMBERS } from './numbers';

/** A cutter in the stock: what it reaches on each carrier, and whether it was proved. It is found out on a page of its own. */
export function CutterCard({ view }: { view: Schemas['CutterView'] }) {
  const { cutter } = view;
  return (
    <section className="slip stock-card" aria-label={cutter.name}>
      <h3>
        <Link to={`/stock/cutters/${view.id}`}>{cutter.name}</Link>
      </h3>
      <table className="figures">
        <tbody>
          {cutter.carriers.length === 0 && <Reach name="On its mat" width={cutter.reachWidth} length={cutter.reachLength} />}
          {cutter.carriers.map((c) => (
            <Reach
              key={c.id}
              name={c.name}
              width={c.reachWidth}
              length={c.reachLength}
              proved={view.truths.some((t) => t.carrierId === c.id)}
            />
          ))}
          {cutter.rollers.width.text.trim() !== '' && (
            <Reach name="Without a carrier" width={cutter.rollers.width} length={cutter.rollers.longest} />
          )}
          <tr>
            <th scope="row">Takes an SVG’s numbers for</th>
            <td>{NUMBERS.find(([n]) => n === cutter.svgNumbers)?.[1]}</td>
          </tr>
        </tbody>
      </table>
      {view.problems.map((p, i) => (
        <p key={i} className="finding stop">
          <Words of={p.message} />
        </p>
      ))}
      {cutter.note && <p className="soft small">{cutter.note}</p>}
    </section>
  );
}

function Reach({
  name,
  width,
  length,
  proved,
}: {
  name: string;
  width: Schemas['TypedLength'];
  length: Schemas['TypedLength'];
  proved?: boolean;
}) {
  const { units } = useUnits();
  const [w, l] = [useReading(width, 'object').millimetres, useReading(length, 'object').millimetres];
  return (
    <tr>
      <th scope="row">
        {name}
        {proved && <small className="soft"> proved</small>}
      </th>
      <td>{typeof w === 'number' && typeof l === 'number' ? `${figure(w, units)} × ${figure(l, units)} ${units.unit}` : 'not known'}</td>
    </tr>
  );
}
