import type { Schemas } from '../api/client';
import { minutesSaid } from '../making/minutes';
import { LoadTicks } from './LoadTicks';
import { PiecesCard } from './PiecesCard';
import { SizesCard } from './SizesCard';
import { StepRow } from './StepRow';
import { useMaking } from './useMaking';

type Step = Schemas['MakingStep'];
/** Changes the steps of a run; none are those that follow from its films and goods. */
export type EditSteps = (change: (own: readonly Step[]) => Step[]) => void;

/** The steps of a run, as they follow from its films and goods or as the maker has them, and how far its pieces are. */
export function StepsTab({ id, own, onSteps }: { id: string; own: readonly Step[]; onSteps: EditSteps }) {
  const { making, error, stages, step, undo } = useMaking(id);
  if (!making)
    return (
      <p className="page soft" role="status">
        {error ? error.message : 'Working the steps out …'}
      </p>
    );
  // What is typed is shown at once; what follows from it comes with the answer.
  const steps = own.length > 0 ? own : making.steps.map((s) => s.step);
  const viewOf = (step: Step) => making.steps.find((v) => v.step.id === step.id);
  // The first change makes the offered chain the run's own.
  const edit = (change: (steps: readonly Step[]) => Step[]) =>
    onSteps((now) => change(now.length > 0 ? now : making.steps.map((s) => s.step)));
  const problem = (i: number, field: string) => making.problems.find((p) => p.fields.includes(`steps.${i}.${field}`))?.message;
  return (
    <div className="steps-tab">
      <div className="column">
        <section className="card" aria-label="Steps">
          <h2>
            Steps
            <span className="soft small">
              {making.handsLeft > 0 ? `${minutesSaid(making.handsLeft)} with hands on are left` : 'all done'}
              {making.isAbout && making.handsLeft > 0 && (making.loads.length > 0 ? ', about' : ', about: its loads are not planned yet')}
            </span>
          </h2>
          {steps.length === 0 && <p className="soft">They follow once the set-up is complete.</p>}
          {steps.length > 0 && (
            <table className="figures steps">
              <thead>
                <tr>
                  <th>Done</th>
                  <th>Step</th>
                  <th>Each piece</th>
                  <th>Once</th>
                  <th>Then rests</th>
                  <th className="end">Hands on</th>
                  <th>It took</th>
                  <th />
                </tr>
              </thead>
              <tbody>
                {steps.map((s, i) => (
                  <StepRow
                    key={s.id}
                    step={s}
                    view={viewOf(s)}
                    problem={(field) => problem(i, field)}
                    onChange={(change) => edit((all) => all.map((x) => (x.id === s.id ? { ...x, ...change } : x)))}
                    onMove={(by) => edit((all) => moved(all, i, by))}
                    onRemove={steps.length > 1 ? () => edit((all) => all.filter((x) => x.id !== s.id)) : undefined}
                    onTick={(isDone, took) => step.mutate({ stepId: s.id, isDone, took })}
                    isFirst={i === 0}
                    isLast={i === steps.length - 1}
                  />
                ))}
              </tbody>
            </table>
          )}
          <div className="deeds">
            <button type="button" className="btn btn-sm btn-line" onClick={() => edit((all) => [...all, fresh(all)])}>
              Add a step
            </button>
            {!making.isOffered && (
              <button type="button" className="quiet" onClick={() => onSteps(() => [])}>
                Back to what follows from film and goods
              </button>
            )}
            <button type="button" className="quiet" disabled={making.revision === 0 || undo.isPending} onClick={() => undo.mutate()}>
              Undo the last tick
            </button>
          </div>
          {error && (
            <p className="echo problem" role="alert">
              {error.message}
            </p>
          )}
        </section>
        <SizesCard id={id} />
      </div>
      <div className="column">
        <PiecesCard pieces={making.pieces} onTick={(pieces, stage, isBack) => stages.mutate({ pieces, stage, isBack })} />
        <LoadTicks runId={id} loads={making.loads} />
      </div>
    </div>
  );
}

function moved(all: readonly Step[], from: number, by: number): Step[] {
  const next = [...all];
  const [step] = next.splice(from, 1);
  if (step) next.splice(from + by, 0, step);
  return next;
}

function fresh(all: readonly Step[]): Step {
  let n = 1;
  while (all.some((s) => s.id === `step-${n}`)) n++;
  return { id: `step-${n}`, kind: 'other', name: '', perPiece: '', perBatch: '', wait: '' };
}
