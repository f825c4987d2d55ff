import type { Schemas } from '../api/client';

const PICTURE_HEIGHT = 150;

/** A blank as it stands, at the scale that all on the shelf share. */
export function ShelfPicture({ drawing, tallest }: { drawing: Schemas['DrawingView']; tallest: number }) {
  const k = (PICTURE_HEIGHT - 8) / tallest;
  const { box } = drawing;
  const [w, h] = [(box.maxX - box.minX) * k, (box.maxY - box.minY) * k];
  return (
    <svg className={drawing.guessed ? 'shelf-picture guessed' : 'shelf-picture'} width={w + 8} height={PICTURE_HEIGHT} aria-hidden="true">
      <g transform={`matrix(${k} 0 0 ${-k} ${4 - k * box.minX} ${PICTURE_HEIGHT - 4 - h + k * box.maxY})`}>
        {drawing.strokes.filter((s) => s.kind !== 'centre' && s.kind !== 'girthMark').map((s, i) => (
          <path key={i} d={s.path} className={`stroke-${s.kind}`} vectorEffect="non-scaling-stroke" />
        ))}
      </g>
    </svg>
  );
}
