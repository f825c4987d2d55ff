import { useState } from 'react';
import type { Schemas } from '../api/client';
import { Board } from '../board/Board';
import { Ink } from '../board/Ink';
import { Words } from '../units/Words';
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
export function FitBoard({ id, ground, piece, ghost, outline, dimensions, lit, onOutline, onDimensions }: Props) {
  const [seen, setSeen] = useState(false);
  if (!ground.flat) return null;
  const limits = [...new Set(piece.rooms.filter((r) => r.touches).map((r) => LIMITS[r.limit]))];
  return (
    <section className="card sheet" aria-label="Board">
      <div className="views" role="group" aria-label="Board shows">
        <button type="button" className={seen ? 'view' : 'view here'} aria-pressed={!seen} onClick={() => setSeen(false)}>Flat</button>
        <button type="button" className={seen ? 'view here' : 'view'} aria-pressed={seen} onClick={() => setSeen(true)}>On the blank</button>
        <i />
        <button type="button" className={outline ? 'view here' : 'view'} aria-pressed={outline} onClick={onOutline}>Outline</button>
        <button type="button" className={dimensions ? 'view here' : 'view'} aria-pressed={dimensions} disabled={seen} onClick={onDimensions}>Dimensions</button>
      </div>
      {seen && piece.round ? <ObjectBoard id={id} piece={piece} /> : seen ? <SeenBoard id={id} piece={piece} outline={outline} goods={ground.goods} /> : <Board label={`${piece.name} on the blank laid flat: ${piece.state}`} drawing={ground.flat} goods={ground.goods} dimensions={dimensions} pad={{ top: 68, right: 92, bottom: 52, left: 34 }}>
        {(scale) => (
          <>
            <g transform={scale.transform}>
              <Ink inks={piece.inks} outline={outline} piece={piece.name} />
              {ghost && <path d={ghost} className="ghost" vectorEffect="non-scaling-stroke" data-ghost="" />}
              {piece.taper && piece.taper.arc.length > 1 && <polyline className="bow-arc" points={piece.taper.arc.map((p) => `${p.x},${p.y}`).join(' ')} vectorEffect="non-scaling-stroke" />}
            </g>
            {dimensions && ground.flat && piece.inkBox && <RoomChains scale={scale} box={ground.flat.box} ink={piece.inkBox} rooms={piece.rooms} />}
            <FindingMarks findings={piece.findings} scale={scale} foot={ground.flat?.box.minY ?? 0} lit={lit} />
          </>
        )}
      </Board>}
      <p className="sums">
        {ground.sums.map((s, i) => <span key={i}><Words of={s} bare /></span>)}
        {limits.length > 0 && <span>{piece.state === 'over' ? 'stands out at' : 'limited by'} {limits.join(' and ')}</span>}
      </p>
    </section>
  );
}
