import { Link } from 'react-router';
import { ListCard } from './list/ListCard';
import { RunDeeds } from './RunDeeds';
import { SetUpCards } from './SetUpCards';
import type { RunDocument } from './useRun';

/** What a run is made of: blank, motif, film, cutter, sizing and names. */
export function SetUpView({ id, run }: { id: string; run: RunDocument }) {
  const { view } = run;
  if (!view || !run.document) return null;
  const { setUp, list } = run.document;
  return (
    <div className="set-up">
      <SetUpCards view={view} setUp={setUp} columns={list.columns} edit={run.editSetUp} editRun={run.edit} />
      <div className="column">
        <ListCard id={id} run={run} view={view} document={list} lack={view.lacks.find((l) => l.fields.includes('names'))?.message} />
        {view.lacks.length === 0 && (
          <Link to={`/runs/${id}/fit`} className="btn btn-main btn-sm onward">
            See how they fit
          </Link>
        )}
        <RunDeeds id={id} name={setUp.name} jobId={setUp.jobId} settled={run.settled} />
      </div>
    </div>
  );
}
