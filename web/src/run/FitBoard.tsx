import type { Schemas } from '../api/client';
import { Board } from '../board/Board';
import { Ink } from '../board/Ink';
import { Words } from '../units/Words';
import { FACES, sideOn, type BoardView } from './faces';
import { FindingMarks } from './FindingMarks';
import { RoomChains } from './RoomChains';
import { ObjectBoard } from './object/ObjectBoard';
import { SeenBoard } from './SeenBoard';

interface Props {
  id: string;
  ground: Schemas['FitGroundView'];
  piece: Schemas['PieceView'];
  /** The ink as another way of placing it would have it. */
  ghost?: string;
  outline: boolean;
  dimensions: boolean;
  lit?: number;
  /** Which view is shown: a face by its place among the faces, or the goods as they are seen. */
  view: BoardView;
  onView: (view: BoardView) => void;
  onOutline: () => void;
  onDimensions: () => void;
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
export function FitBoard({ id, ground, piece, ghost, outline, dimensions, lit, view, onView, onOutline, onDimensions }: Props) {
  const seen = view === 'seen';
  const face = ground.faces[seen ? 0 : view];
  if (!face) return null;
  const { rooms, inkBox } = sideOn(piece, face);
  const limits = [...new Set(rooms.filter((r) => r.touches).map((r) => LIMITS[r.limit]))];
  return (
    <section className="card sheet" aria-label="Board">
      <div className="views" role="group" aria-label="Board shows">
        {ground.faces.map((f, i) => <button key={f.facing} type="button" className={i === view ? 'view here' : 'view'} aria-pressed={i === view} onClick={() => onView(i)}>{ground.faces.length === 1 ? 'Flat' : FACES[f.facing]}</button>)}
        <button type="button" className={seen ? 'view here' : 'view'} aria-pressed={seen} onClick={() => onView('seen')}>On the blank</button>
        <i />
        <button type="button" className={outline ? 'view here' : 'view'} aria-pressed={outline} onClick={onOutline}>Outline</button>
        <button type="button" className={dimensions ? 'view here' : 'view'} aria-pressed={dimensions} disabled={seen} onClick={onDimensions}>Dimensions</button>
      </div>
      {seen && piece.round ? <ObjectBoard id={id} piece={piece} /> : seen ? <SeenBoard id={id} piece={piece} outline={outline} goods={ground.goods} /> : <Board label={`${piece.name} on the blank laid flat: ${piece.state}`} drawing={face.flat} goods={ground.goods} dimensions={dimensions} pad={{ top: 68, right: 92, bottom: 52, left: 34 }}>
        {(scale) => (
          <>
            <g transform={scale.transform}>
              <Ink inks={piece.inks} outline={outline} piece={piece.name} />
              {ghost && <path d={ghost} className="ghost" vectorEffect="non-scaling-stroke" data-ghost="" />}
              {piece.taper && piece.taper.arc.length > 1 && <polyline className="bow-arc" points={piece.taper.arc.map((p) => `${p.x},${p.y}`).join(' ')} vectorEffect="non-scaling-stroke" />}
            </g>
            {dimensions && inkBox && <RoomChains scale={scale} box={face.flat.box} ink={inkBox} rooms={rooms} />}
            <FindingMarks findings={piece.findings} scale={scale} foot={face.flat.box.minY} within={ground.faces.length > 1 ? face.flat.box : undefined} lit={lit} />
          </>
        )}
      </Board>}
      <p className="sums">
        {face.sums.map((s, i) => <span key={i}><Words of={s} bare /></span>)}
        {limits.length > 0 && <span>{piece.state === 'over' ? 'stands out at' : 'limited by'} {limits.join(' and ')}</span>}
      </p>
    </section>
  );
}
