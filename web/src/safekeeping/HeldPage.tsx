import { useQueryClient } from '@tanstack/react-query';
import { useEffect } from 'react';
import { Button } from 'react-bootstrap';
import { opened } from '../api/standing';
import { Waiting } from '../frame/TitleRow';
import { CopiesTable } from './CopiesTable';
import { useSafekeeping, useSafekeepingDeeds } from './useSafekeeping';
import { momentSaid } from '../past/moments';

const LOOK_EVERY_MS = 4000;

/** Stands in place of every page while the library cannot be opened: why, what to do, and the copies there are. */
export function HeldPage() {
  const { data: view, error } = useSafekeeping(LOOK_EVERY_MS);
  const { open, begin } = useSafekeepingDeeds();
  const cache = useQueryClient();
  const isOpen = view?.held === null;
  useEffect(() => {
    if (!isOpen) return;
    opened();
    void cache.invalidateQueries();
  }, [isOpen, cache]);
  if (!view?.held) return <Waiting error={error} />;
  const { held } = view;
  const newest = view.copies.find((c) => c.holds);
  const problem = open.error ?? begin.error;
  return (
    <div className="page safekeeping held">
      <h1>{held.title}</h1>
      <p className="lead">{held.why}</p>
      <p>{held.advice}</p>
      <div className="deeds">
        <Button size="sm" variant="main" disabled={open.isPending} onClick={() => open.mutate()}>
          Try again
        </Button>
        {held.by === 'missing' && (
          <Button size="sm" variant="line" disabled={begin.isPending} onClick={() => begin.mutate()}>
            Begin with an empty library
          </Button>
        )}
      </div>
      {problem && <p className="echo problem">{problem.message}</p>}
      <h2 className="section">Copies</h2>
      {newest && (
        <p>
          The newest that can be read is of {momentSaid(newest.madeAt)}: {newest.holds}.
        </p>
      )}
      <CopiesTable view={view} />
      <p className="soft small">The data folder is {view.folder}.</p>
    </div>
  );
}
