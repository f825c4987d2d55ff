import { Link } from 'react-router';
import { farSaid, stateSaid } from './said';
import { useMachine, useMachines } from './useMachine';

/** What the cutters are at, with the way to what lies in them. */
export function MachineLines() {
  return (useMachines().data ?? []).map((m) => <MachineLine key={m.id} {...m} />);
}

function MachineLine({ id, name }: { id: string; name: string }) {
  const { view } = useMachine(id);
  const first = view?.answer?.jobs.find((j) => j.state === 'first');
  if (!view) return null;
  return (
    <section className="machine-line" aria-label={name}>
      <h2>{name}</h2>
      <p className={view.problem ? 'over-figure' : ''}>{stateSaid(view)}</p>
      {first && view.problem === '' && (
        <p>
          <Link to={`/cutting/loads/${first.id.replace(/\.(test|cut\d+)$/, '')}`}>{first.name}</Link>
          <small className="soft">{farSaid(first)}</small>
        </p>
      )}
    </section>
  );
}
