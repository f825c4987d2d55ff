import { useEffect, useId, type CSSProperties, type ReactNode } from 'react';
import type { Schemas } from '../api/client';
import { Callouts } from './Callouts';
import { Dimensions } from './Dimensions';
import { frameFor, scaleFor, type Pad, type Scale } from './scale';
import { useSize } from './useSize';

interface Props {
  label: string;
  drawing: Schemas['DrawingView'];
  pad: Pad;
  dimensions?: boolean;
  lit?: string;
  onLight?: (letter?: string) => void;
  /** The colour of what is drawn, where it is known. */
  goods?: { colour: string; isDark: boolean };
  /** Whether what stands on the drawing can be used, not only seen. */
  usable?: boolean;
  /** Pixels for a millimetre, where the drawing is not to be as large as its frame; it scrolls then. */
  k?: number;
  /** What stands on the drawing, given the scale. */
  children?: (scale: Scale) => ReactNode;
}

/** A measured drawing at true proportion, as large as its frame allows. Draws plain data and knows no feature. */
export function Board({ label, drawing, pad, dimensions = true, lit, onLight, goods, usable = false, k, children }: Props) {
  const [ref, frame] = useSize<HTMLDivElement>();
  const hatch = useId().replaceAll(':', '');
  const { width, height } = k === undefined ? frame : frameFor(drawing.box, frame, pad, k);
  const scale = scaleFor(drawing.box, width, height, pad, k);
  // A drawing larger than its frame is looked at in the middle first.
  useEffect(() => {
    const board = ref.current;
    if (k !== undefined && board)
      board.scrollTo((board.scrollWidth - board.clientWidth) / 2, (board.scrollHeight - board.clientHeight) / 2);
  }, [ref, k, width, height]);
  return (
    <div className={k === undefined ? 'board' : 'board scrolls'} ref={ref} tabIndex={k === undefined ? undefined : 0}>
      {width > 0 && height > 0 && (
        <svg
          width={width}
          height={height}
          // On paper it is as large as there is room.
          viewBox={`0 0 ${width} ${height}`}
          role={usable ? 'group' : 'img'}
          aria-label={label}
          className={`drawing${drawing.guessed ? ' guessed' : ''}${goods?.isDark ? ' on-dark' : ''}`}
          style={goods?.colour ? ({ '--goods': goods.colour } as CSSProperties) : undefined}
        >
          <defs>
            <pattern id={hatch} width="7" height="7" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
              <line x1="0" y1="0" x2="0" y2="7" className="hatch" />
            </pattern>
            <clipPath id={`${hatch}-window`}>
              <rect
                x={scale.x(drawing.box.minX)}
                y={scale.y(drawing.box.maxY)}
                width={scale.k * (drawing.box.maxX - drawing.box.minX)}
                height={scale.k * (drawing.box.maxY - drawing.box.minY)}
              />
            </clipPath>
          </defs>
          <g clipPath={drawing.isWindow ? `url(#${hatch}-window)` : undefined}>
            <Strokes strokes={drawing.strokes} scale={scale} hatch={hatch} />
          </g>
          {children?.(scale)}
          {dimensions && <Dimensions lines={drawing.dimensions} box={drawing.box} scale={scale} lit={lit} onLight={onLight} />}
          <Callouts callouts={drawing.callouts} right={width - 8} scale={scale} lit={lit} onLight={onLight} />
        </svg>
      )}
    </div>
  );
}

/** Lines of a drawing in the order given, their thickness the same at every scale. */
function Strokes({ strokes, scale, hatch }: { strokes: readonly Schemas['StrokeView'][]; scale: Scale; hatch: string }) {
  return (
    <>
      <g transform={scale.transform}>
        {strokes.map((s, i) => (
          <g key={i}>
            {s.kind === 'edge' && s.path.endsWith('Z') && <path d={s.path} className="stroke-ground" />}
            <path d={s.path} className={`stroke-${s.kind}`} vectorEffect="non-scaling-stroke" />
          </g>
        ))}
      </g>
      {strokes
        .filter((s) => s.kind === 'centre' && s.labelAt)
        .map((s, i) => (
          <text key={i} className="word-at-foot" x={scale.x(s.labelAt?.x ?? 0) + 6} y={scale.y(s.labelAt?.y ?? 0) + 2}>
            {s.label}
          </text>
        ))}
      {strokes
        .filter((s) => s.kind === 'keptClear')
        .map((s, i) => (
          <g key={i}>
            <HatchedPath path={s.path} scale={scale} hatch={hatch} />
            {s.label && s.labelAt && (
              <text
                className="word-in-hatch"
                textAnchor="middle"
                transform={`translate(${scale.x(s.labelAt.x)} ${scale.y(s.labelAt.y)}) rotate(-90)`}
                dy="0.35em"
              >
                {s.label}
              </text>
            )}
          </g>
        ))}
    </>
  );
}

/** Hatching keeps its pitch on screen, so its path is scaled point by point. */
function HatchedPath({ path, scale, hatch }: { path: string; scale: Scale; hatch: string }) {
  const d = path.replace(
    /(-?[\d.]+) (-?[\d.]+)/g,
    (_, x: string, y: string) => `${scale.x(Number(x)).toFixed(1)} ${scale.y(Number(y)).toFixed(1)}`,
  );
  return <path d={d} fill={`url(#${hatch})`} className="hatched" />;
}
