import type { Schemas } from '../api/client';
import { Check } from '../fields/Choice';
import { figure, length } from '../units/units';
import { useUnits } from '../units/UnitsContext';
import { isSame, keyOf, type ItemId, type Plan } from './edits';
import { PartedBoard } from './PartedBoard';
import { PlaceField } from './PlaceField';

type Parted = Schemas['PartedView'];

interface Props {
  view: Schemas['PlanView'];
  edit: (change: (plan: Plan) => Plan) => void;
}

const whole = (id: ItemId): ItemId => ({ ...id, copy: 1, section: 0 });

/** The joints of a thing by hand, or the best ones again. */
function withJoints(plan: Plan, parted: Parted, change?: { at: number; to: number } | { laps: boolean }): Plan {
  const item = whole(parted.id);
  const others = plan.joints.filter((j) => !isSame(j.item, item));
  if (!change) return { ...plan, joints: others };
  const places = parted.joints.map((j, i) => ({ ...j, at: 'at' in change && change.at === i ? change.to : j.at }));
  const laps = 'laps' in change ? change.laps : parted.lap > 0;
  const of = (isUpright: boolean) => places.filter((j) => j.isUpright === isUpright).map((j) => j.at);
  return { ...plan, joints: [...others, { item, upright: of(true), level: of(false), laps }] };
}

/** What is larger than any place: where it is parted, with what each joint crosses, and the map by which it is joined again. */
export function JointsCard({ view, edit }: Props) {
  return (
    <section className="card joints" aria-label="Parted">
      <h2>
        Parted<span className="hint">what is larger than the reach, by its joints</span>
      </h2>
      {view.parted.map((p) => (
        <PartedThing key={keyOf(p.id)} parted={p} edit={(change) => edit((x) => withJoints(x, p, change))} />
      ))}
    </section>
  );
}

interface One {
  parted: Parted;
  edit: (change?: { at: number; to: number } | { laps: boolean }) => void;
}

function PartedThing({ parted, edit }: One) {
  const { units } = useUnits();
  const from = parted.box;
  return (
    <div className="parted">
      <PartedBoard parted={parted} onMove={(at, to) => edit({ at, to })} />
      <div>
        <h3>{parted.name}</h3>
        <table className="figures">
          <tbody>
            {parted.joints.map((j, i) => (
              <tr key={i}>
                <th scope="row">{j.isUpright ? 'Joint, from the left' : 'Joint, up from the foot'}</th>
                <td>
                  <PlaceField
                    label={`Joint ${i + 1} of ${parted.name}`}
                    mm={j.at - (j.isUpright ? from.minX : from.minY)}
                    onPlace={(mm) => edit({ at: i, to: mm + (j.isUpright ? from.minX : from.minY) })}
                  />
                </td>
                <td className={j.crosses > 0 ? 'over-figure' : 'soft'}>
                  {j.crosses > 0 ? `crosses ${length(j.crosses, units)} of ink` : `crosses nothing, ${figure(j.nearest, units)} clear`}
                </td>
              </tr>
            ))}
          </tbody>
        </table>
        <Check label="Lapped where it crosses ink" value={parted.lap > 0} onChange={(laps) => edit({ laps })} />
        {parted.isByHand && (
          <button type="button" className="quiet" onClick={() => edit()}>
            The best joints again
          </button>
        )}
      </div>
    </div>
  );
}
