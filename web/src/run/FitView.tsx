import { useState } from 'react';
import { Tabs } from '../frame/Tabs';
import { useKeys } from '../frame/useKeys';
import { FindingsCard } from './findings/FindingsCard';
import { nextView, sidesOn, viewShown, type BoardView } from './faces';
import { FitBoard } from './FitBoard';
import { InkCard } from './InkCard';
import { ByHandCard } from './piece/ByHandCard';
import { SidesFit } from './piece/SidesFit';
import { SetTab } from './set/SetTab';
import { useGhost, type Ghost } from './set/useGhost';
import { useChosen } from './useChosen';
import { useFitting } from './useFitting';
import { Lacks } from '../readiness/Lacks';
import { RoomCard } from './RoomCard';
import { Strip } from './Strip';
import { useGrounds } from './useGrounds';
import { useMoves } from './useMoves';
import { usePieces, useSet } from './usePieces';
import type { RunDocument } from './useRun';
import { useWaste } from './weeding/useWaste';
import { WasteBoard } from './weeding/WasteBoard';
import { WeedingTab } from './weeding/WeedingTab';

const TABS = [
  ['piece', 'This piece'],
  ['set', 'The set'],
  ['waste', 'Weeding'],
] as const;

/** One piece on the board, all pieces in the strip below. */
export function FitView({ id, run }: { id: string; run: RunDocument }) {
  const { ground, of: groundOf, all: grounds } = useGrounds(id, run.view);
  const ready = !!ground?.faces.length;
  const { pieces, of, error, stop: stopPages, goOn: goOnPages } = usePieces(id, ready);
  const set = useSet(id, ready);
  const work = useFitting(id, set.data, run.view?.revision);
  // Pages of pieces that are not fitted yet would fit them as they are asked for, so both stop and go on together.
  const fitting = {
    ...work,
    stop: () => {
      stopPages();
      work.stop();
    },
    goOn: () => {
      goOnPages();
      work.goOn();
    },
  };
  const [tab, setTab] = useState<(typeof TABS)[number][0]>('piece');
  const [ghost, setGhost] = useState<Ghost>();
  const { chosen, choose: setChosen } = useChosen();
  const [view, setView] = useState<BoardView>(0);
  const [outline, setOutline] = useState(false);
  const [dimensions, setDimensions] = useState(true);
  const [trueSize, setTrueSize] = useState(false);
  const [lit, setLit] = useState<number>();
  const at = Math.max(
    0,
    pieces.findIndex((p) => p.id === chosen),
  );
  const moves = useMoves(run, pieces[at]);
  const { move } = moves;
  const waste = useWaste(id, pieces[at], run.view?.revision, tab === 'waste');
  const shown = useGhost(
    id,
    pieces[at]?.id,
    run.view?.revision,
    move ? { side: move.side, movedRight: move.to.x, movedUp: move.to.y } : ghost,
  );
  const go = (to: number) => {
    const next = pieces[Math.min(Math.max(to, 0), pieces.length - 1)];
    if (next) setChosen(next.id);
    setLit(undefined);
  };
  const nextToLookAt = () => {
    const next = [...pieces.slice(at + 1), ...pieces.slice(0, at)].find((p) => p.findings.some((f) => f.severity !== 'told'));
    if (next) setChosen(next.id);
  };
  useKeys({
    ArrowRight: () => go(at + 1),
    ArrowLeft: () => go(at - 1),
    Home: () => go(0),
    End: () => go(pieces.length - 1),
    n: nextToLookAt,
    o: () => setOutline((v) => !v),
    d: () => setDimensions((v) => !v),
    t: () => setTrueSize((v) => !v),
    b: () => setView((v) => nextView(v, groundOf(pieces[at])?.faces.length ?? 1)),
    s: () => setTab((t) => (t === 'set' ? 'piece' : 'set')),
    w: () => setTab((t) => (t === 'waste' ? 'piece' : 'waste')),
  });
  if (ground && ground.lacks.length > 0) return <Lacks id={id} lacks={ground.lacks} />;
  const piece = pieces[at];
  const on = groundOf(piece);
  if (!on?.faces.length || !piece || !run.view)
    return (
      <p className="page soft" role="status">
        {error ? error.message : 'Setting the first names …'}
      </p>
    );
  const board = viewShown(on.faces, view, lit === undefined ? undefined : piece.findings[lit]?.places[0]);
  const face = on.faces[board === 'seen' ? 0 : board];
  const several = on.faces.length > 1;
  const first = on.faces.find((f) => f.sides.includes(''));
  const [shownSide] = sidesOn(piece, face);
  const findings = (
    <FindingsCard
      key={piece.id}
      id={id}
      piece={piece}
      set={set.data}
      run={run}
      lit={lit}
      onLight={setLit}
      ghost={ghost && shown}
      onGhost={setGhost}
    />
  );
  return (
    <>
      <div className="fit-layout">
        {tab === 'waste' ? (
          <WasteBoard piece={piece} waste={waste} />
        ) : (
          <FitBoard
            id={id}
            ground={on}
            piece={piece}
            run={run}
            ghost={ghost || move ? shown : undefined}
            moves={moves}
            outline={outline}
            dimensions={dimensions}
            trueSize={trueSize}
            onTrueSize={() => setTrueSize(!trueSize)}
            lit={lit}
            view={board}
            onView={setView}
            onOutline={() => setOutline(!outline)}
            onDimensions={() => setDimensions(!dimensions)}
          />
        )}
        <div className="column">
          <Tabs label="About" tabs={TABS} here={tab} onHere={setTab}>
            {tab === 'waste' ? (
              <WeedingTab id={id} pieceId={piece.id} run={run} waste={waste} />
            ) : tab === 'piece' ? (
              <>
                <RoomCard
                  piece={shownSide}
                  face={several ? face?.name.toLowerCase() : undefined}
                  handle={run.view.hasHandle}
                  round={!!face?.isWall}
                />
                {piece.findings.length > 0 && findings}
                <InkCard
                  piece={piece}
                  face={several ? first?.name.toLowerCase() : undefined}
                  wall={run.view.isWall && first?.key === 'front'}
                />
                {piece.findings.length === 0 && findings}
                <SidesFit piece={piece} />
                <ByHandCard key={shownSide.side} id={id} piece={piece} side={shownSide.side} run={run} />
              </>
            ) : (
              <SetTab
                id={id}
                run={run}
                set={set.data}
                piece={piece}
                ghost={ghost ? shown : undefined}
                onGhost={setGhost}
                onChoose={setChosen}
                onLookAt={(id) => {
                  setChosen(id);
                  setTab('piece');
                }}
              />
            )}
          </Tabs>
        </div>
      </div>
      <Strip
        pieces={pieces}
        of={of}
        chosen={piece.id}
        set={set.data}
        run={run.document?.setUp}
        groundOf={groundOf}
        grounds={grounds}
        fitting={fitting}
        onChoose={setChosen}
        onNextToLookAt={nextToLookAt}
      />
    </>
  );
}
