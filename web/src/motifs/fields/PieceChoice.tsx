import { memo, useEffect, useMemo, useRef, useState, type KeyboardEvent } from 'react';
import type { Schemas } from '../../api/client';

interface Props {
  graphic: Schemas['GraphicView'];
  dropped: readonly number[];
  onChange: (dropped: number[]) => void;
}

/**
 * The pieces of a graphic as a picture: pointing at one drops or keeps it. By keyboard it is one stop, and arrows go from piece to piece.
 */
export function PieceChoice({ graphic, dropped, onChange }: Props) {
  const gone = useMemo(() => new Set(dropped), [dropped]);
  const [at, setAt] = useState(0);
  // Pieces are drawn anew only when they change themselves, so what they call must stay the same.
  const toggle = useRef<(index: number) => void>(() => undefined);
  useEffect(() => {
    toggle.current = (index) => onChange(gone.has(index) ? dropped.filter((d) => d !== index) : [...dropped, index]);
  });
  const [choose] = useState(() => (index: number) => {
    setAt(index);
    toggle.current(index);
  });
  const box = graphic.box;
  if (!box) return null;
  const count = graphic.pieces.length;
  const move = (event: KeyboardEvent<SVGSVGElement>) => {
    const to = { ArrowRight: at + 1, ArrowDown: at + 1, ArrowLeft: at - 1, ArrowUp: at - 1, Home: 0, End: count - 1 }[event.key];
    if (to === undefined) return;
    event.preventDefault();
    const next = Math.max(0, Math.min(count - 1, to));
    setAt(next);
    event.currentTarget.querySelector<SVGPathElement>(`[data-piece="${next}"]`)?.focus();
  };
  return (
    <>
      <svg
        className="piece-choice"
        viewBox={`${box.minX} ${-box.maxY} ${box.width} ${box.height}`}
        role="group"
        aria-label="Pieces; point at one to drop or keep it"
        onKeyDown={move}
      >
        <g transform="scale(1 -1)">
          {graphic.pieces.map((p) => (
            <Piece key={p.index} piece={p} kept={!gone.has(p.index)} here={p.index === at} choose={choose} />
          ))}
        </g>
      </svg>
      {count > 1 && (
        <p className="soft small piece-count">
          {count} pieces
          {gone.size > 0 && (
            <>
              , {gone.size} dropped.{' '}
              <button type="button" className="quiet" onClick={() => onChange([])}>
                Keep all
              </button>
            </>
          )}
        </p>
      )}
    </>
  );
}

const Piece = memo(function Piece({
  piece,
  kept,
  here,
  choose,
}: {
  piece: Schemas['GraphicPieceView'];
  kept: boolean;
  here: boolean;
  choose: (index: number) => void;
}) {
  return (
    <path
      d={piece.path || piece.lines}
      data-piece={piece.index}
      tabIndex={here ? 0 : -1}
      role="checkbox"
      aria-checked={kept}
      aria-label={`Piece ${piece.index + 1}, ${kept ? 'kept' : 'dropped'}`}
      className={`${kept ? 'piece-kept' : 'piece-dropped'}${piece.path ? '' : ' piece-lines'}`}
      fill={piece.colour}
      fillRule="evenodd"
      vectorEffect="non-scaling-stroke"
      onClick={() => choose(piece.index)}
      onKeyDown={(e) => {
        if (e.key === 'Enter' || e.key === ' ') {
          e.preventDefault();
          choose(piece.index);
        }
      }}
    />
  );
});
