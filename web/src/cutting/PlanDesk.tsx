import { useLayoutEffect, useRef, useState } from 'react';
import { answer, api, type Schemas } from '../api/client';
import { Tabs } from '../frame/Tabs';
import { Conflict, Waiting } from '../frame/TitleRow';
import { useKeys } from '../frame/useKeys';
import { LackList } from '../readiness/Lacks';
import { LoadWeeding } from '../weeding/LoadWeeding';
import { isSame, letGo, moved, pinned, tookOff, turned, type ItemId } from './edits';
import { AT_FIRST, FiguresCard } from './FiguresCard';
import { FilesCard } from './FilesCard';
import { HeldCard } from './HeldCard';
import { JointsCard } from './JointsCard';
import { LoadBoard } from './LoadBoard';
import { LoadStrip } from './LoadStrip';
import { PlanChoices } from './PlanChoices';
import { ReleaseCard } from './ReleaseCard';
import { SparesCard } from './SparesCard';
import { ThingsTable } from './ThingsTable';
import { usePlan, type PlanDocument } from './usePlan';
import { useSearch } from './useSearch';

const TABS = [
  ['pieces', 'Pieces'],
  ['lay', 'Lay'],
  ['files', 'Files'],
] as const;

/** A plan at work: the board in the middle, the schedule of its pieces, how it is laid, and its files beside it. */
export function PlanDesk({ id }: { id: string }) {
  const document = usePlan(id);
  if (!document.view || !document.document) return <Waiting error={document.error} undo={document.undo} />;
  return <Desk key={id} id={id} document={document} view={document.view} />;
}

function Desk({ id, document, view }: { id: string; document: PlanDocument; view: Schemas['PlanView'] }) {
  const { document: plan = view.plan, edit, conflict, takeTheirs, keepMine, undo, redo } = document;
  const search = useSearch(id);
  const [wanted, setWanted] = useState(1);
  const [chosen, choose] = useState<ItemId>();
  const [tab, setTab] = useState<(typeof TABS)[number][0]>('pieces');
  useSearchAtFirst(view, search.isOn, search.begin);
  const load = view.loads.find((l) => l.number === wanted) ?? view.loads.at(-1);
  const piece = load?.pieces.find((p) => chosen && isSame(p.id, chosen));
  const put = (p: Schemas['PlacedView'], at: Schemas['RigidMotion']) => load && edit((x) => pinned(x, p.id, load.number, load.stockId, at));
  const onLoad = (n: number) => setWanted(Math.min(view.loads.length, Math.max(1, n)));
  useKeys({
    'ctrl+z': undo,
    'ctrl+shift+z': redo,
    'ctrl+y': redo,
    '[': () => onLoad((load?.number ?? 1) - 1),
    ']': () => onLoad((load?.number ?? 1) + 1),
    t: () => piece && put(piece, turned(piece.at, piece.box)),
    p: () => piece && (piece.isPinned ? edit((x) => letGo(x, [piece.id])) : put(piece, piece.at)),
    Delete: () => piece && edit((x) => tookOff(x, [piece.id])),
    Escape: () => choose(undefined),
  });
  if (!view.film) return <Lacking lacks={view.lacks} />;
  return (
    <div className="plan-desk">
      <Conflict words={conflict} takeTheirs={takeTheirs} keepMine={keepMine} />
      <div className="plan-middle">
        {load ? (
          <LoadBoard load={load} film={view.film} chosen={chosen} onChoose={choose} onMove={(p, dx, dy) => put(p, moved(p.at, dx, dy))} />
        ) : (
          <div className="board empty-board">{view.lacks.length > 0 ? <Lacking lacks={view.lacks} /> : <NothingWaits view={view} />}</div>
        )}
        {view.loads.length > 1 && <LoadStrip loads={view.loads} film={view.film} here={load?.number ?? 1} onHere={onLoad} />}
        {view.parted.length > 0 && <JointsCard view={view} edit={edit} />}
        <HeldCard view={view} edit={edit} />
      </div>
      <aside className="plan-side">
        <FiguresCard view={view} load={load} search={search} />
        <section className="card">
          <Tabs label="Of the plan" tabs={TABS} here={tab} onHere={setTab}>
            {tab === 'pieces' && (
              <>
                <ThingsTable view={view} load={load} chosen={chosen} onChoose={choose} edit={edit} />
                {load && <SparesCard view={view} plan={plan} edit={edit} />}
              </>
            )}
            {tab === 'lay' && <PlanChoices view={view} plan={plan} edit={edit} />}
            {tab === 'files' && load && (
              <>
                <FilesCard view={view} load={load} isMoving={search.isOn} />
                <LoadWeeding
                  weeds={load.weeds}
                  purpose={view.film.purpose}
                  save={(minutes) =>
                    answer(api.PUT('/api/plans/{id}/weeding/took', { params: { path: { id } }, body: { key: load.weeds.key, minutes } }))
                  }
                />
                {!search.isOn && <ReleaseCard view={view} load={load} />}
              </>
            )}
          </Tabs>
        </section>
      </aside>
    </div>
  );
}

/** A plan that was never searched is searched for a little while somebody looks at it. */
function useSearchAtFirst(view: Schemas['PlanView'], isOn: boolean, begin: (seconds: number) => void) {
  const begun = useRef<string>(undefined);
  const { figures, key, plan } = view;
  const wants = !!figures && !figures.isInRows && figures.searches === 0 && plan.byHand.length === 0 && view.things.length > 1;
  // Before it is painted, so that a plan never looks done for a moment.
  useLayoutEffect(() => {
    if (!wants || isOn || begun.current !== undefined) return;
    begun.current = key;
    begin(AT_FIRST);
  }, [wants, isOn, key, begin]);
}

function NothingWaits({ view }: { view: Schemas['PlanView'] }) {
  const all = view.things.length;
  return (
    <p className="empty">
      {all > 0
        ? 'Everything is taken off, or finds no room. See why at the right.'
        : view.held.length > 0
          ? 'Nothing can be cut as it stands. See why below.'
          : 'Nothing of this film waits to be cut. Released loads are listed in Cutting.'}
    </p>
  );
}

function Lacking({ lacks }: { lacks: readonly Schemas['Finding'][] }) {
  return (
    <div className="empty">
      <p>Before anything can be laid:</p>
      <LackList lacks={lacks} />
    </div>
  );
}
