import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { answer, api } from '../api/client';
import { useKeys } from '../frame/useKeys';
import { FindingsCard } from './FindingsCard';
import { FitBoard } from './FitBoard';
import { InkCard } from './InkCard';
import { Lacks } from './Lacks';
import { RoomCard } from './RoomCard';
import { Strip } from './Strip';
import { usePieces, useSet } from './usePieces';
import type { RunDocument } from './useRun';

/** One piece on the board, all pieces in the strip below. */
export function FitView({ id, run }: { id: string; run: RunDocument }) {
  const ground = useQuery({
    queryKey: ['ground', id],
    queryFn: () => answer(api.GET('/api/runs/{id}/ground', { params: { path: { id } } })),
    placeholderData: (before) => before,
  });
  const ready = !!ground.data?.flat;
  const { pieces, of, done, error, stopped, stop, goOn } = usePieces(id, ready);
  const set = useSet(id, ready && done);
  const [chosen, setChosen] = useState<string>();
  const [outline, setOutline] = useState(false);
  const [dimensions, setDimensions] = useState(true);
  const [lit, setLit] = useState<number>();
  const at = Math.max(0, pieces.findIndex((p) => p.id === chosen));
  const go = (to: number) => {
    const next = pieces[Math.min(Math.max(to, 0), pieces.length - 1)];
    if (next) setChosen(next.id);
    setLit(undefined);
  };
  const nextToLookAt = () => {
    const next = [...pieces.slice(at + 1), ...pieces.slice(0, at)].find((p) => p.findings.length > 0);
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
  });
  if (ground.data && ground.data.lacks.length > 0) return <Lacks id={id} lacks={ground.data.lacks} />;
  const piece = pieces[at];
  if (!ground.data?.flat || !piece || !run.view) return <p className="page soft" role="status">{error ? error.message : 'Setting the first names …'}</p>;
  return (
    <>
      <div className="fit-layout">
        <FitBoard id={id} ground={ground.data} piece={piece} outline={outline} dimensions={dimensions} lit={lit} onOutline={() => setOutline(!outline)} onDimensions={() => setDimensions(!dimensions)} />
        <div className="column">
          <RoomCard piece={piece} handle={run.view.hasHandle} round={run.view.isRound} />
          <InkCard piece={piece} wall={run.view.isWall} />
          <FindingsCard piece={piece} set={set.data} run={run} lit={lit} onLight={setLit} />
        </div>
      </div>
      <Strip pieces={pieces} of={of} chosen={piece.id} set={set.data} run={run.document} zone={ground.data} stopped={stopped} onStop={stop} onGoOn={goOn} onChoose={setChosen} onNextToLookAt={nextToLookAt} />
    </>
  );
}
