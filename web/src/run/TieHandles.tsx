import type { Schemas } from '../api/client';
import type { Scale } from '../board/scale';
import { ownOn, withOwn } from './piece/ByHandCard';
import { TieHandle } from './TieHandle';
import type { RunDocument } from './useRun';

interface Props {
  piece: Schemas['PieceView'];
  /** The sides that are shown; the first has no id. */
  sides: readonly string[];
  scale: Scale;
  run: RunDocument;
}

/** The ties of a piece on the board; one that is moved is kept by what it holds. */
export function TieHandles({ piece, sides, scale, run }: Props) {
  return piece.ties
    .filter((t) => sides.includes(t.side))
    .map((t, i) => (
      <TieHandle
        key={`${t.side} ${t.name}`}
        tie={t}
        number={i + 1}
        scale={scale}
        onPut={(angle) => run.editPiece(piece.id, (p) => withTie(p, t, angle))}
      />
    ));
}

/** A piece with a tie moved along what it holds. */
export function withTie(
  piece: Schemas['Piece'],
  { name, side }: Pick<Schemas['TieView'], 'name' | 'side'>,
  angle: number,
): Schemas['Piece'] {
  const own = ownOn(piece, side);
  return withOwn(piece, side, { ...own, ties: [...own.ties.filter((t) => t.tie !== name), { tie: name, angle }] });
}
