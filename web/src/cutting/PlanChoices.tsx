import { Form } from 'react-bootstrap';
import type { Schemas } from '../api/client';
import { Check, Choice, NumberField } from '../fields/Choice';
import { length } from '../units/units';
import { useUnits } from '../units/UnitsContext';
import { UsualLength } from '../units/UsualLength';
import { Words } from '../units/Words';
import type { Plan } from './edits';

interface Props {
  view: Schemas['PlanView'];
  plan: Plan;
  edit: (change: (plan: Plan) => Plan) => void;
}

type Turns = NonNullable<Schemas['LayTurning']>;
const TURNS: readonly [Turns, string][] = [
  ['none', 'not at all'],
  ['quarter', 'by quarters'],
  ['any', 'by any angle'],
];

const TOGETHER: readonly [Schemas['KeptTogether'], string][] = [
  ['nothing', 'nothing'],
  ['piece', 'copies and sides of a piece'],
  ['person', 'what is of one name'],
  ['job', 'what is of one job'],
];

/** What a plan is laid with: cutter and carrier, stock, and how. */
export function PlanChoices({ view, plan, edit }: Props) {
  const { units } = useUnits();
  const set = (change: Partial<Plan>) => edit((p) => ({ ...p, ...change }));
  const turns = TURNS.slice(0, TURNS.findIndex(([t]) => t === view.mostTurning) + 1);
  return (
    <section className="plan-choices" aria-label="How it is laid">
      <div className="stock-fields">
        {view.cutters.length > 1 && (
          <Choice
            label="Cutter"
            value={view.cutterId}
            of={view.cutters.map((c) => [c.id, c.name] as const)}
            onChange={(cutterId) => set({ cutterId, carrierId: '' })}
          />
        )}
        <Choice
          label="Carrier"
          value={view.carrierId}
          of={view.carriers.map((c) => [c.id, c.name] as const)}
          onChange={(carrierId) => set({ carrierId })}
        />
        <Choice
          label="Laid"
          value={plan.way}
          of={[
            ['tight', 'tight, by true shapes'],
            ['rows', 'in plain rows'],
          ]}
          onChange={(way) => set({ way })}
        />
        <Choice
          label="Turned"
          value={view.turning ?? 'none'}
          of={turns}
          onChange={(t) => set({ turning: t === view.mostTurning ? null : t })}
        />
        <Choice label="Kept on one load" value={plan.together} of={TOGETHER} onChange={(together) => set({ together })} />
        <UsualLength
          label="Scissors room"
          value={plan.scissorsRoom}
          usual={length(view.scissorsRoom, units)}
          problem={view.lacks.find((l) => l.fields.includes('scissorsRoom'))?.message}
          onChange={(scissorsRoom) => set({ scissorsRoom })}
        />
        <NumberField label="Seed" value={plan.seed} min={1} onChange={(seed) => seed >= 1 && set({ seed: Math.round(seed) })} />
      </div>
      <Check label="Small things may lie in the holes of large ones" value={plan.useHoles} onChange={(useHoles) => set({ useHoles })} />
      <StockChoice view={view} plan={plan} set={set} />
      {view.id === plan.filmId && view.runs.length > 1 && <RunsChoice view={view} plan={plan} set={set} />}
    </section>
  );
}

interface Part {
  view: Schemas['PlanView'];
  plan: Plan;
  set: (change: Partial<Plan>) => void;
}

/** Which stock is used: what is offered first, or what is ticked. */
function StockChoice({ view, plan, set }: Part) {
  const there = view.stock.filter((s) => !s.isToBuy);
  return (
    <fieldset className="plan-stock">
      <legend>
        Stock{' '}
        <span className="hint">{plan.stockIds.length === 0 ? 'the smallest off-cut that holds all, else whole sheets' : 'as ticked'}</span>
      </legend>
      {there.map((s) => (
        <Form.Check
          key={s.id}
          type="checkbox"
          id={`stock-${view.id}-${s.id}`}
          checked={plan.stockIds.includes(s.id)}
          onChange={(e) => set({ stockIds: e.target.checked ? [...plan.stockIds, s.id] : plan.stockIds.filter((i) => i !== s.id) })}
          label={
            <>
              <Words of={s.words} />
              {s.count > 1 && <span className="soft">, {s.count} loads</span>}
              {s.loads > 0 && <b className="used"> used{s.loads > 1 ? ` ${s.loads} times` : ''}</b>}
            </>
          }
        />
      ))}
      {there.length === 0 && <p className="soft small">Nothing of it is in stock. It is planned on sheets as they are bought.</p>}
      {view.stockProblems.map((p, i) => (
        <p key={i} className="finding">
          <Words of={p.message} />
        </p>
      ))}
    </fieldset>
  );
}

/** Which runs are cut together. */
function RunsChoice({ view, plan, set }: Part) {
  const all = view.runs.map((r) => r.id);
  const isIn = (id: string) => plan.runs.length === 0 || plan.runs.includes(id);
  const choose = (id: string, wanted: boolean) => {
    const runs = all.filter((r) => (r === id ? wanted : isIn(r)));
    // All of them is what waits now and what comes; one alone has a plan of its own in the run.
    if (runs.length > 0) set({ runs: runs.length === all.length ? [] : runs });
  };
  return (
    <fieldset className="plan-stock">
      <legend>Runs</legend>
      {view.runs.map((r) => (
        <Form.Check
          key={r.id}
          type="checkbox"
          id={`run-${view.id}-${r.id}`}
          checked={isIn(r.id)}
          onChange={(e) => choose(r.id, e.target.checked)}
          label={r.name}
        />
      ))}
    </fieldset>
  );
}
