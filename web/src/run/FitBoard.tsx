import { useId, useState } from 'react';
import type { Schemas } from '../api/client';
import { Board } from '../board/Board';
import { Ink } from '../board/Ink';
import { screenScale } from '../board/screen';
import { Words } from '../units/Words';
import { faceTitle, inkWindow, sidesOn, type BoardView } from './faces';
import type { useMoves } from './useMoves';
import { FindingMarks } from './findings/FindingMarks';
import { PieceHandle } from './PieceHandle';
import { TieHandles } from './TieHandles';
import type { RunDocument } from './useRun';
import { RoomChains } from './RoomChains';
import { ScreenRule } from './ScreenRule';
import { ObjectBoard } from './object/ObjectBoard';
import { SeenBoard } from './SeenBoard';

interface Props {
  id: string;
  ground: Schemas['FitGroundView'];
  piece: Schemas['PieceView'];
  run: RunDocument;
  /** The piece as another way of placing it would have it. */
  ghost?: Schemas['GhostView'];
  /** A side that is on its way to another place; `ghost` is it there. */
  moves: ReturnType<typeof useMoves>;
  outline: boolean;
  dimensions: boolean;
  /** Whether it is drawn as large as it is. */
  trueSize: boolean;
  lit?: number;
  /** Which view is shown: a face by its place among the faces, or the goods as they are seen. */
  view: BoardView;
  onView: (view: BoardView) => void;
  onOutline: () => void;
  onDimensions: () => void;
  onTrueSize: () => void;
}

const LIMITS: Record<Schemas['LimitKind'], string> = {
  rim: 'the margin at the rim',
  base: 'the margin at the base',
  leftSide: 'the left side',
  rightSide: 'the right side',
  top: 'the margin at the top edge',
  bottom: 'the margin at the bottom edge',
  size: 'the size of the zone',
  platen: 'what the press covers',
  edge: 'the edge of the blank',
  keptClear: 'a place kept clear',
};

/** The piece on its blank laid flat, with its room written around it. */
export function FitBoard({
  id,
  ground,
  piece,
  run,
  ghost,
  moves,
  outline,
  dimensions,
  trueSize,
  lit,
  view,
  onView,
  onOutline,
  onDimensions,
  onTrueSize,
}: Props) {
  const [screen, setScreen] = useState(screenScale);
  const clip = useId().replaceAll(':', '');
  const seen = view === 'seen';
  const face = ground.faces[seen ? 0 : view];
  if (!face) return null;
  const sides = sidesOn(piece, face);
  // What a move changes is shown while it lasts, of the side that moves.
  const move = sides.some((s) => s.side === moves.move?.side) ? moves.move : undefined;
  const preview = move && ghost;
  const { rooms, state, inkBox } = preview ?? sides.find((s) => s.side === move?.side) ?? sides[0];
  const limits = [...new Set(rooms.filter((r) => r.touches).map((r) => LIMITS[r.limit]))];
  return (
    <section className="card sheet" aria-label="Board">
      <div className="views" role="group" aria-label="Board shows">
        {ground.faces.map((f, i) => (
          <button
            key={f.key}
            type="button"
            className={i === view ? 'view here' : 'view'}
            aria-pressed={i === view}
            onClick={() => onView(i)}
          >
            {ground.faces.length === 1 ? 'Flat' : faceTitle(f)}
          </button>
        ))}
        <button type="button" className={seen ? 'view here' : 'view'} aria-pressed={seen} onClick={() => onView('seen')}>
          On the blank
        </button>
        <i />
        <button type="button" className={outline ? 'view here' : 'view'} aria-pressed={outline} onClick={onOutline}>
          Outline
        </button>
        <button
          type="button"
          className={dimensions ? 'view here' : 'view'}
          aria-pressed={dimensions}
          disabled={seen}
          onClick={onDimensions}
        >
          Dimensions
        </button>
        <button type="button" className={trueSize ? 'view here' : 'view'} aria-pressed={trueSize} disabled={seen} onClick={onTrueSize}>
          True size
        </button>
      </div>
      {seen && piece.round ? (
        <ObjectBoard id={id} piece={piece} />
      ) : seen ? (
        <SeenBoard id={id} piece={piece} outline={outline} goods={ground.goods} />
      ) : (
        <Board
          label={`${piece.name} on the blank laid flat: ${piece.state}`}
          drawing={face.flat}
          goods={ground.goods}
          dimensions={dimensions}
          usable
          k={trueSize ? screen.k : undefined}
          pad={{ top: 68, right: 92, bottom: 52, left: 34 }}
        >
          {(scale) => (
            <>
              {ground.faces.length > 1 && (
                <clipPath id={clip}>
                  <rect {...inkWindow(face.flat.box)} />
                </clipPath>
              )}
              <g transform={scale.transform}>
                <g clipPath={ground.faces.length > 1 ? `url(#${clip})` : undefined}>
                  <Ink inks={piece.inks} outline={outline} piece={piece.name} />
                </g>
                {ghost && <path d={ghost.path} className="ghost" vectorEffect="non-scaling-stroke" data-ghost="" />}
                {piece.taper && piece.taper.arc.length > 1 && (
                  <polyline
                    className="bow-arc"
                    points={piece.taper.arc.map((p) => `${p.x},${p.y}`).join(' ')}
                    vectorEffect="non-scaling-stroke"
                  />
                )}
              </g>
              {dimensions && inkBox && <RoomChains scale={scale} box={face.flat.box} ink={inkBox} rooms={rooms} />}
              {sides.map((s) => {
                const mine = s.side === move?.side;
                // What was let go is taken up again from where it is going.
                const going = mine && move?.written !== undefined;
                return (
                  s.inkBox &&
                  s.moved && (
                    <PieceHandle
                      key={s.side}
                      name={`The ink of ${piece.name}${s.zone && `, ${s.zone}`}`}
                      scale={scale}
                      letters={mine ? preview?.letterHeight : undefined}
                      box={(going && preview?.inkBox) || s.inkBox}
                      moved={going ? move.to : s.moved}
                      onHold={(to) => moves.hold(s.side, to)}
                      onPut={(to, changed) => moves.put(s.side, to, changed)}
                    />
                  )
                );
              })}
              {!move && <TieHandles piece={piece} sides={sides.map((s) => s.side)} scale={scale} run={run} />}
              {/* What was found is of the ink as it was. */}
              {!move && (
                <FindingMarks findings={piece.findings} scale={scale} face={face.flat.box} alone={ground.faces.length === 1} lit={lit} />
              )}
            </>
          )}
        </Board>
      )}
      {trueSize && !seen && <ScreenRule k={screen.k} measured={screen.measured} onMeasured={(k) => setScreen({ k, measured: true })} />}
      <p className="sums">
        {face.sums.map((s, i) => (
          <span key={i}>
            <Words of={s} bare />
          </span>
        ))}
        {limits.length > 0 && (
          <span>
            {state === 'over' ? 'stands out at' : 'limited by'} {limits.join(' and ')}
          </span>
        )}
      </p>
    </section>
  );
}
