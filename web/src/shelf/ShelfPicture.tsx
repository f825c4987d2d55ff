import type { Schemas } from '../api/client';

const HEIGHT = 150;

/** A blank as it stands, at the scale that all on its shelf share; k is in pixels to the millimetre. */
export function ShelfPicture({ drawing, k }: { drawing: Schemas['DrawingView']; k: number }) {
  const { box } = drawing;
  const [w, h] = [(box.maxX - box.minX) * k, (box.maxY - box.minY) * k];
  return (
    <svg
      className={drawing.guessed ? 'shelf-picture guessed' : 'shelf-picture'}
      width={w + 8}
      height={Math.min(HEIGHT, h + 8)}
      aria-hidden="true"
    >
      <g transform={`matrix(${k} 0 0 ${-k} ${4 - k * box.minX} ${Math.min(HEIGHT, h + 8) - 4 + k * box.minY})`}>
        {drawing.strokes
          .filter((s) => s.kind !== 'centre' && s.kind !== 'girthMark')
          .map((s, i) => (
            <path key={i} d={s.path} className={`stroke-${s.kind}`} vectorEffect="non-scaling-stroke" />
          ))}
      </g>
    </svg>
  );
}
