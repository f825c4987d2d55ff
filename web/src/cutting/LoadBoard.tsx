import { useState } from 'react';
import type { Schemas } from '../api/client';
import { fillOf, FilmPatterns } from '../board/FilmPatterns';
import { Movable, type By } from '../board/Movable';
import { scaleFor } from '../board/scale';
import { useSize } from '../board/useSize';
import { figure, length } from '../units/units';
import { useUnits } from '../units/UnitsContext';
import { WasteCuts } from '../weeding/WasteCuts';
import { CarrierLines } from './CarrierLines';
import { isSame, keyOf, type ItemId } from './edits';
import { Mark } from './Mark';
import { calledOf } from './said';

type Load = Schemas['PlanLoadView'];
type Placed = Schemas['PlacedView'];

interface Props {
  load: Load;
  film: Schemas['Film'];
  chosen?: ItemId;
  onChoose: (id?: ItemId) => void;
  onMove: (piece: Placed, dx: number, dy: number) => void;
}

const PAD = { top: 30, right: 22, bottom: 26, left: 34 };

/** A drag snaps to half a millimetre, an arrow key with Shift goes ten times as far. */
const STEPS = [0.5, 5] as const;

/** A load as it lies in the cutter, to scale: carrier, reach, stock with its margin, and all that is cut. */
export function LoadBoard({ load, film, chosen, onChoose, onMove }: Props) {
  const { units } = useUnits();
  const [ref, { width, height }] = useSize<HTMLDivElement>();
  const [drag, setDrag] = useState<{ key: string; by: By }>();
  const scale = scaleFor(framed(load), width, height, PAD);
  const short = (mm: number) => length(mm, units);
  return (
    <div className="board load-board" ref={ref}>
      {width > 0 && height > 0 && (
        <svg
          width={width}
          height={height}
          role="group"
          className="drawing"
          aria-label={`Load ${load.number}: ${load.pieces.map((p) => p.name).join(', ')}${said(load.mirroring)}`}
          onPointerDown={(e) => e.target === e.currentTarget && onChoose(undefined)}
        >
          <FilmPatterns films={[film]} />
          <CarrierLines load={load} film={film} scale={scale} />
          <g transform={scale.transform}>
            {load.pieces.map((p) => {
              const by = drag?.key === keyOf(p.id) ? drag.by : undefined;
              return (
                <g key={keyOf(p.id)} transform={by && `translate(${by.dx} ${by.dy})`}>
                  <path
                    d={p.inkPath}
                    fill={fillOf(film)}
                    fillRule="evenodd"
                    className="ink"
                    data-piece={p.name}
                    vectorEffect="non-scaling-stroke"
                  />
                </g>
              );
            })}
            <WasteCuts boxes={load.weeds.boxes} />
          </g>
          {load.pieces.flatMap((p) =>
            p.marks.map((m, i) => <Mark key={`${keyOf(p.id)} ${i}`} at={m} scale={scale} turned={p.at.degrees} />),
          )}
          {load.pieces.map((p) => (
            <g key={keyOf(p.id)} onPointerDown={() => onChoose(p.id)} onFocus={() => onChoose(p.id)}>
              <Movable
                name={nameOf(p)}
                box={p.box}
                scale={scale}
                steps={STEPS}
                outside={3}
                className={frameOf(p, chosen)}
                onBy={(by) => setDrag(by && { key: keyOf(p.id), by })}
                onMove={(dx, dy) => {
                  setDrag(undefined);
                  onMove(p, dx, dy);
                }}
              >
                {(by, at) => (
                  <text x={at.x} y={at.y - 6} textAnchor="middle" className="tag-figure">
                    {figure(p.box.minX + by.dx, units)} from the left, {short(p.box.minY + by.dy)} up
                  </text>
                )}
              </Movable>
              {p.isPinned && <Pin x={scale.x(p.box.maxX)} y={scale.y(p.box.maxY)} />}
            </g>
          ))}
          {load.mirroring !== 'none' && (
            <text className="mirrored-tag" x={width - 10} y={18} textAnchor="end">
              {load.mirroring === 'all' ? 'MIRRORED' : 'PARTLY MIRRORED'}
            </text>
          )}
        </svg>
      )}
    </div>
  );
}

/** The box of the carrier and of what lies on it. */
function framed({ nominal, reach, pieces }: Load): Schemas['Box'] {
  const all = [nominal, reach, ...pieces.map((p) => p.box)];
  const [minX, minY] = [Math.min(...all.map((b) => b.minX)), Math.min(...all.map((b) => b.minY))];
  const [maxX, maxY] = [Math.max(...all.map((b) => b.maxX)), Math.max(...all.map((b) => b.maxY))];
  return { ...nominal, minX, minY, maxX, maxY };
}

function frameOf(piece: Placed, chosen?: ItemId): string {
  const isChosen = chosen && isSame(piece.id, chosen);
  return `piece-frame${isChosen ? ' chosen' : ''}${piece.fault ? ' wrong' : ''}${piece.isSpare ? ' spare' : ''}`;
}

const nameOf = (piece: Placed) => `${calledOf(piece)}${piece.isPinned ? ', pinned' : ''}`;

const said = (mirroring: Schemas['Mirroring']) => (mirroring === 'all' ? ', mirrored' : mirroring === 'some' ? ', partly mirrored' : '');

/** A drawing pin at the corner of what was put by hand. */
function Pin({ x, y }: { x: number; y: number }) {
  return (
    <g className="pin" transform={`translate(${x + 3} ${y - 3})`} aria-hidden="true">
      <circle r={4.5} />
      <circle r={1.4} className="pin-point" />
    </g>
  );
}
