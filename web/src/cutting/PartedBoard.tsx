import { useState } from 'react';
import type { Schemas } from '../api/client';
import { scaleFor } from '../board/scale';
import { useSize } from '../board/useSize';
import { SectionMarks } from './SectionMarks';

type Parted = Schemas['PartedView'];

const PAD = { top: 14, right: 14, bottom: 14, left: 14 };

/** The whole with its joints, which can be dragged, its sections numbered and their marks. */
export function PartedBoard({ parted, onMove }: { parted: Parted; onMove: (joint: number, to: number) => void }) {
  const [ref, { width, height }] = useSize<HTMLDivElement>();
  const [drag, setDrag] = useState<{ joint: number; to: number }>();
  const scale = scaleFor(parted.box, width, height, PAD);
  const half = 0.5;
  return (
    <div className="board parted-board" ref={ref}>
      {width > 0 && (
        <svg width={width} height={height} role="group" className="drawing" aria-label={`${parted.name}, parted`}>
          <g transform={scale.transform}>
            <path d={parted.inkPath} fillRule="evenodd" className="parted-ink" />
          </g>
          <SectionMarks sections={parted.sections} scale={scale} />
          {parted.joints.map((j, i) => {
            const at = drag?.joint === i ? drag.to : j.at;
            const line = j.isUpright
              ? { x1: scale.x(at), x2: scale.x(at), y1: 2, y2: height - 2 }
              : { x1: 2, x2: width - 2, y1: scale.y(at), y2: scale.y(at) };
            const place = (e: React.PointerEvent<SVGLineElement>) => {
              const rect = e.currentTarget.ownerSVGElement?.getBoundingClientRect();
              const px = j.isUpright ? e.clientX - (rect?.left ?? 0) - scale.x(0) : scale.y(0) - (e.clientY - (rect?.top ?? 0));
              return Math.round(px / scale.k / half) * half;
            };
            return (
              <g key={i}>
                <line {...line} className="joint" />
                <line
                  {...line}
                  className="joint-handle"
                  role="slider"
                  tabIndex={0}
                  aria-label={`Joint ${i + 1}`}
                  aria-valuenow={at}
                  aria-orientation={j.isUpright ? 'horizontal' : 'vertical'}
                  onPointerDown={(e) => {
                    e.currentTarget.setPointerCapture(e.pointerId);
                    setDrag({ joint: i, to: at });
                  }}
                  onPointerMove={(e) => drag?.joint === i && setDrag({ joint: i, to: place(e) })}
                  onPointerUp={(e) => {
                    const to = place(e);
                    setDrag(undefined);
                    if (drag?.joint === i && to !== j.at) onMove(i, to);
                  }}
                  onKeyDown={(e) => {
                    const by = { ArrowLeft: -half, ArrowDown: -half, ArrowRight: half, ArrowUp: half }[e.key];
                    if (by === undefined) return;
                    e.preventDefault();
                    e.stopPropagation();
                    onMove(i, j.at + by * (e.shiftKey ? 10 : 1));
                  }}
                />
              </g>
            );
          })}
        </svg>
      )}
    </div>
  );
}
