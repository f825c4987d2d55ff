import type { Schemas } from '../api/client';
import { figure } from '../units/units';
import { useUnits } from '../units/UnitsContext';
import { Words } from '../units/Words';
import { PlaceField } from './PlaceField';
import { calledOf } from './said';
import { isSame, keyOf, letGo, moved, pinned, tookOff, turned, type ItemId, type Plan } from './edits';

interface Props {
  view: Schemas['PlanView'];
  load?: Schemas['PlanLoadView'];
  chosen?: ItemId;
  onChoose: (id?: ItemId) => void;
  edit: (change: (plan: Plan) => Plan) => void;
}

/** The pieces of a load as rows of figures, edited in place; then what is on no load. */
export function ThingsTable({ view, load, chosen, onChoose, edit }: Props) {
  const { units } = useUnits();
  const off = view.things.filter((t) => t.load === null);
  const pins = view.things.filter((t) => t.isPinned).length;
  return (
    <section aria-label="Pieces of the load">
      {load && (
        <table className="figures plan-things">
          <thead>
            <tr>
              <th scope="col">Load {load.number}</th>
              <th scope="col" className="end">
                from left
              </th>
              <th scope="col" className="end">
                up
              </th>
              <th scope="col" className="end">
                turn
              </th>
              <th scope="col">
                <span className="visually-hidden">What can be done</span>
              </th>
            </tr>
          </thead>
          <tbody>
            {load.pieces.map((p) => (
              <tr key={keyOf(p.id)} className={chosen && isSame(chosen, p.id) ? 'lit' : ''} onFocus={() => onChoose(p.id)}>
                <th scope="row">
                  <button type="button" className="quiet name" onClick={() => onChoose(p.id)}>
                    {p.name}
                    {p.section > 0 && <small> section {p.section}</small>}
                    {p.isSpare && <small> spare</small>}
                  </button>
                  {p.fault && (
                    <span className="echo problem">
                      <Words of={p.fault} />
                    </span>
                  )}
                </th>
                <td>
                  <PlaceField
                    label={`${calledOf(p)}, from the left`}
                    mm={p.box.minX}
                    onPlace={(x) => edit((plan) => pinned(plan, p.id, load.number, load.stockId, moved(p.at, x - p.box.minX, 0)))}
                  />
                </td>
                <td>
                  <PlaceField
                    label={`${calledOf(p)}, up`}
                    mm={p.box.minY}
                    onPlace={(y) => edit((plan) => pinned(plan, p.id, load.number, load.stockId, moved(p.at, 0, y - p.box.minY)))}
                  />
                </td>
                <td className="end">{Math.round(((p.at.degrees % 360) + 360) % 360)}°</td>
                <td className="deeds">
                  <button
                    type="button"
                    className="quiet"
                    title="Turn a quarter"
                    aria-label={`Turn ${calledOf(p)} a quarter`}
                    onClick={() => edit((plan) => pinned(plan, p.id, load.number, load.stockId, turned(p.at, p.box)))}
                  >
                    ⟲
                  </button>
                  <button
                    type="button"
                    className={p.isPinned ? 'quiet lit' : 'quiet'}
                    aria-pressed={p.isPinned}
                    title={p.isPinned ? 'Let it be laid' : 'Pin it here'}
                    aria-label={`Pin ${calledOf(p)}`}
                    onClick={() => edit((plan) => (p.isPinned ? letGo(plan, [p.id]) : pinned(plan, p.id, load.number, load.stockId, p.at)))}
                  >
                    ◉
                  </button>
                  <button
                    type="button"
                    className="quiet"
                    title="Leave it for another day"
                    aria-label={`Take ${calledOf(p)} off`}
                    onClick={() => edit((plan) => tookOff(plan, [p.id]))}
                  >
                    ✕
                  </button>
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
      {load && (
        <p className="soft small">
          {figure(load.used.maxX - load.used.minX, units)} × {figure(load.used.maxY - load.used.minY, units)} {units.unit} are cut.
          {pins > 0 && (
            <>
              {' '}
              {pins} pinned.{' '}
              <button
                type="button"
                className="quiet"
                onClick={() =>
                  edit((plan) =>
                    letGo(
                      plan,
                      view.things.filter((t) => t.isPinned).map((t) => t.id),
                    ),
                  )
                }
              >
                Let all be laid
              </button>
            </>
          )}
        </p>
      )}
      {off.length > 0 && <OffTheLoads things={off} edit={edit} />}
    </section>
  );
}

/** What is on no load: taken off by hand, or without room. */
function OffTheLoads({ things, edit }: { things: readonly Schemas['PlanThingView'][]; edit: Props['edit'] }) {
  return (
    <>
      <h3>
        On no load<span className="count">{things.length}</span>
      </h3>
      <ul className="plain">
        {things.map((t) => (
          <li key={keyOf(t.id)}>
            <b>{t.name}</b> <span className="soft">{t.run}</span>
            {t.isTakenOff && (
              <button type="button" className="quiet" onClick={() => edit((plan) => letGo(plan, [t.id]))}>
                Put it back
              </button>
            )}
            {t.why && (
              <p className="finding stop">
                <Words of={t.why} />
              </p>
            )}
          </li>
        ))}
      </ul>
    </>
  );
}
