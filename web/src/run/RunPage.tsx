import { Form } from 'react-bootstrap';
import { Link, NavLink, useParams } from 'react-router';
import { Conflict, TitleRow, Waiting } from '../frame/TitleRow';
import { due } from '../jobs/due';
import { RunPlans } from '../cutting/RunPlans';
import { ProofView } from './proof/ProofView';
import { AllSet } from './AllSet';
import { BenchPage } from '../bench/BenchPage';
import { FitView } from './FitView';
import { ReadinessLine } from '../readiness/ReadinessLine';
import { SetUpView } from './SetUpView';
import { useChosen } from './useChosen';
import { useRun } from './useRun';

const VIEWS = [
  ['set-up', 'Set-up'],
  ['fit', 'Fit'],
  ['proof', 'Proof'],
  ['loads', 'Loads'],
  ['bench', 'Bench'],
] as const;

/** A run in its views, in the order of the work. */
export function RunPage() {
  const { id = '', view = 'set-up' } = useParams();
  return <Running key={id} id={id} at={view} />;
}

function Running({ id, at }: { id: string; at: string }) {
  const run = useRun(id);
  const { chosen } = useChosen();
  const { view, document, editSetUp } = run;
  if (!view || !document) return <Waiting error={run.error} undo={run.undo} />;
  const { setUp, list } = document;
  return (
    <div className={at === 'fit' ? 'page fill run-fit' : at === 'loads' ? 'page fill cutting' : 'page'}>
      <TitleRow
        title={
          <Form.Control
            className="title-field"
            aria-label="Name of the run"
            value={setUp.name}
            onChange={(e) => editSetUp((r) => ({ ...r, name: e.target.value }))}
          />
        }
        about={
          <>
            <Link to={`/jobs/${setUp.jobId}`}>{view.job.customer || view.job.name}</Link> · {due(view.job.due)}
            {view.blank && (
              <>
                {' '}
                · {list.pieces.length} names on <Link to={`/shelf/${view.blank.id}`}>{view.blank.name}</Link>
              </>
            )}
          </>
        }
        undo={run.undo}
        redo={run.redo}
        past={`/past/run/${id}`}
      >
        <ReadinessLine id={id} at={at === 'fit' ? chosen : undefined} />
        <nav className="four-views" aria-label="Views of the run">
          {VIEWS.map(([path, name]) => (
            <NavLink key={path} to={`/runs/${id}/${path}`} className={at === path ? 'here' : ''} replace>
              {name}
              {path === 'fit' && (
                <>
                  {' '}
                  <small>{list.pieces.length}</small>
                </>
              )}
            </NavLink>
          ))}
        </nav>
      </TitleRow>
      <Conflict words={run.conflict} takeTheirs={run.takeTheirs} keepMine={run.keepMine} />
      {at === 'set-up' && <SetUpView id={id} run={run} />}
      {at === 'fit' && <FitView id={id} run={run} />}
      {at === 'proof' && <ProofView id={id} run={run} />}
      {at === 'loads' && (
        <AllSet id={id}>
          <RunPlans id={id} />
        </AllSet>
      )}
      {at === 'bench' && (
        <AllSet id={id}>
          <BenchPage
            id={id}
            job={view.job}
            setUp={setUp}
            revision={view.revision}
            pieces={list.pieces}
            onSetUp={(change) => run.editSetUp((r) => ({ ...r, ...change }))}
          />
        </AllSet>
      )}
    </div>
  );
}
