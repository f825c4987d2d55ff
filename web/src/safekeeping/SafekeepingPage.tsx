import { Button } from 'react-bootstrap';
import { TitleRow, Waiting } from '../frame/TitleRow';
import { Drawer } from '../past/Drawer';
import { ArchiveCard } from './ArchiveCard';
import { CopiesTable } from './CopiesTable';
import { SecondFolderCard } from './SecondFolderCard';
import { useSafekeeping, useSafekeepingDeeds } from './useSafekeeping';
import { agoSaid, sizeSaid } from './words';

/** How the library is kept safe: its copies, and where they go. */
export function SafekeepingPage() {
  const { data: view, error } = useSafekeeping();
  const { make } = useSafekeepingDeeds();
  if (!view) return <Waiting error={error} />;
  const newest = view.copies[0];
  const problem = make.error?.message ?? view.problem;
  return (
    <div className="page safekeeping">
      <TitleRow title="Safekeeping" about={`${view.holds}, ${sizeSaid(view.bytes)}`}>
        <Button size="sm" variant="main" disabled={make.isPending} onClick={() => make.mutate()}>
          {make.isPending ? 'Copying …' : 'Make a copy now'}
        </Button>
      </TitleRow>
      {view.clockBehind > 0 && (
        <p className="conflict" role="alert">
          This computer’s clock is behind the last change of the library. Set it right: what is changed now is dated wrongly. Nothing is
          lost by it, and the order of changes and copies is kept.
        </p>
      )}
      {problem && (
        <p className="conflict" role="alert">
          No copy was made. {problem}
        </p>
      )}
      <div className="columns">
        <section className="card" aria-label="Copies">
          <h2>
            Copies
            <span className="hint">
              {newest && `the last ${agoSaid(newest.madeAt, new Date())} · `}
              {sizeSaid(view.copiesBytes)} here, {sizeSaid(view.freeBytes)} free
            </span>
          </h2>
          <CopiesTable view={view} />
          <p className="soft small">
            One is made at every start and once a day, when anything was changed, and read through before it counts. The newest of 7 days, 5
            weeks and 12 months stay. Each is a database of its own: copy its file anywhere. The file of the library itself is not to be
            copied while Cabida runs.
          </p>
        </section>
        <div className="column">
          <ArchiveCard />
          <SecondFolderCard view={view} />
          <Drawer />
          {view.aside.length > 0 && (
            <section className="card" aria-label="Set aside">
              <h2>Set aside</h2>
              <p className="soft">
                What was replaced by a copy lies in the folder set-aside of the data folder ({view.folder}). Cabida never throws it away.
              </p>
              <ul className="plain">
                {view.aside.map((a) => (
                  <li key={a.name}>
                    {a.name} <span className="soft">{sizeSaid(a.bytes)}</span>
                  </li>
                ))}
              </ul>
            </section>
          )}
        </div>
      </div>
    </div>
  );
}
