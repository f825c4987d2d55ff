import type { Schemas } from '../api/client';

const PICTURE = { width: 196, height: 150 };

/** A blank as it stands, at the scale that all on the shelf share. */
export function ShelfPicture({ drawing, tallest, widest }: { drawing: Schemas['DrawingView']; tallest: number; widest: number }) {
  const k = Math.min((PICTURE.height - 8) / tallest, (PICTURE.width - 8) / widest);
  const { box } = drawing;
  const [w, h] = [(box.maxX - box.minX) * k, (box.maxY - box.minY) * k];
  return (
    <svg className={drawing.guessed ? 'shelf-picture guessed' : 'shelf-picture'} width={w + 8} height={PICTURE.height} aria-hidden="true">
      <g transform={`matrix(${k} 0 0 ${-k} ${4 - k * box.minX} ${PICTURE.height - 4 - h + k * box.maxY})`}>
        {drawing.strokes.filter((s) => s.kind !== 'centre' && s.kind !== 'girthMark').map((s, i) => (
          <path key={i} d={s.path} className={`stroke-${s.kind}`} vectorEffect="non-scaling-stroke" />
        ))}
      </g>
    </svg>
  );
}
