import { useRef, useState, type PointerEvent } from 'react';
import type { Schemas } from '../api/client';
import { marked, marksFor, type Request } from './trace';

interface Props {
  picture: Schemas['PictureView'];
  request: Request;
  outlines: readonly Schemas['FoundOutlineView'][];
  chosen: number;
  erasing: boolean;
  onChoose: (index: number) => void;
  onChange: (to: Partial<Request>) => void;
}

type Point = Schemas['PlanePoint'];
const PREVIEW = 1600;

/** The picture with what was found on it: marks are set, outlines chosen and stray bits cut away here. */
export function PictureBoard({ picture, request, outlines, chosen, erasing, onChoose, onChange }: Props) {
  const svg = useRef<SVGSVGElement>(null);
  const [from, setFrom] = useState<Point>();
  const [to, setTo] = useState<Point>();
  const at = (e: PointerEvent): Point => {
    const m = svg.current?.getScreenCTM();
    if (!m) return { x: 0, y: 0 };
    const p = new DOMPoint(e.clientX, e.clientY).matrixTransform(m.inverse());
    return { x: Math.round(p.x * 10) / 10, y: Math.round(p.y * 10) / 10 };
  };
  const marking = marksFor(request.by) > 0;
  const size = Math.max(picture.width, picture.height) / 110;
  const box =
    from && to
      ? { minX: Math.min(from.x, to.x), minY: Math.min(from.y, to.y), maxX: Math.max(from.x, to.x), maxY: Math.max(from.y, to.y) }
      : undefined;
  return (
    <svg
      ref={svg}
      className={erasing ? 'picture-board erasing' : marking ? 'picture-board marking' : 'picture-board'}
      viewBox={`0 0 ${picture.width} ${picture.height}`}
      role="img"
      aria-label={`The picture, with ${outlines.length} outlines found`}
      onPointerDown={(e) => {
        if (erasing) {
          setFrom(at(e));
          setTo(at(e));
          e.currentTarget.setPointerCapture(e.pointerId);
        }
      }}
      onPointerMove={(e) => {
        if (from) setTo(at(e));
      }}
      onPointerUp={(e) => {
        if (erasing && box) {
          if (box.maxX - box.minX > 3 && box.maxY - box.minY > 3)
            onChange({
              erased: [
                ...request.erased,
                {
                  ...box,
                  width: box.maxX - box.minX,
                  height: box.maxY - box.minY,
                  centreX: (box.minX + box.maxX) / 2,
                  centreY: (box.minY + box.maxY) / 2,
                },
              ],
            });
          setFrom(undefined);
          setTo(undefined);
        } else if (marking) onChange({ points: marked(request.points, request.by, at(e)) });
      }}
    >
      <image
        href={`/api/pictures/${picture.id}?width=${PREVIEW}`}
        width={picture.width}
        height={picture.height}
        preserveAspectRatio="none"
      />
      {request.erased.map((e, i) => (
        <rect
          key={i}
          className="erased"
          x={e.minX}
          y={e.minY}
          width={e.maxX - e.minX}
          height={e.maxY - e.minY}
          vectorEffect="non-scaling-stroke"
        />
      ))}
      {outlines.map((o, i) => (
        <path
          key={i}
          d={o.path}
          fillRule="evenodd"
          vectorEffect="non-scaling-stroke"
          className={o.problem ? 'found unusable' : i === chosen ? 'found chosen' : 'found'}
          onPointerUp={(e) => {
            if (!erasing && !(marking && request.points.length < marksFor(request.by))) {
              e.stopPropagation();
              onChoose(i);
            }
          }}
        />
      ))}
      {box && (
        <rect
          className="erased"
          x={box.minX}
          y={box.minY}
          width={box.maxX - box.minX}
          height={box.maxY - box.minY}
          vectorEffect="non-scaling-stroke"
        />
      )}
      {marking && request.points.length === 4 && (
        <polygon
          className="sheet-corners"
          points={request.points.map((p) => `${p.x},${p.y}`).join(' ')}
          vectorEffect="non-scaling-stroke"
        />
      )}
      {marking &&
        request.points.map((p, i) => (
          <g
            key={i}
            className="mark"
            transform={`translate(${p.x} ${p.y})`}
            tabIndex={0}
            role="button"
            aria-label={`Mark ${i + 1}; arrow keys move it`}
            onKeyDown={(e) => {
              const way = { ArrowLeft: [-1, 0], ArrowRight: [1, 0], ArrowUp: [0, -1], ArrowDown: [0, 1] }[e.key];
              if (!way) return;
              e.preventDefault();
              const step = e.shiftKey ? 10 : 1;
              onChange({
                points: request.points.map((q, j) => (j === i ? { x: q.x + step * (way[0] ?? 0), y: q.y + step * (way[1] ?? 0) } : q)),
              });
            }}
          >
            <circle r={size} vectorEffect="non-scaling-stroke" />
            <path d={`M${-2 * size} 0H${2 * size}M0 ${-2 * size}V${2 * size}`} vectorEffect="non-scaling-stroke" />
            <text x={1.4 * size} y={-1.4 * size} fontSize={2.6 * size}>
              {i + 1}
            </text>
          </g>
        ))}
    </svg>
  );
}
