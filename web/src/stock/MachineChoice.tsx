import { stateSaid } from '../cutting/machine/said';
import { useMachine, useMachines } from '../cutting/machine/useMachine';
import { Choice } from '../fields/Choice';
import type { Cutter } from './CutterPage';

/** How loads come to the cutter: sent over the line, or carried over as files. */
export function MachineChoice({ cutter, set }: { cutter: Cutter; set: (change: Partial<Cutter>) => void }) {
  const machines = useMachines().data ?? [];
  const isGone = cutter.machine !== '' && machines.every((m) => m.id !== cutter.machine);
  const { view } = useMachine(isGone ? '' : cutter.machine);
  return (
    <section className="card" aria-label="How loads come to it">
      <h2>How loads come to it</h2>
      <div className="wide-choice">
        <Choice
          label="Released loads are"
          value={cutter.machine}
          of={[
            ['', 'carried over as files'],
            ...machines.map((m) => [m.id, `sent to the ${m.name.toLowerCase()}`] as const),
            ...(isGone ? [[cutter.machine, 'sent to a device that is not connected'] as const] : []),
          ]}
          onChange={(machine) => set({ machine })}
        />
      </div>
      {view && <p className={view.problem ? 'finding stop' : 'soft'}>{view.problem || stateSaid(view)}</p>}
      {isGone && <p className="finding look">No such device is connected. Its loads are carried over as files meanwhile.</p>}
    </section>
  );
}
