import { useState } from 'react';
import type { Schemas } from '../api/client';
import { unitInForce } from '../units/units';
import { useUnits } from '../units/UnitsContext';
import { movedTo, ownOn, withOwn } from './piece/ByHandCard';
import type { RunDocument } from './useRun';

type Point = Schemas['PlanePoint'];

/** A side of a piece on its way to where it is moved by hand. */
interface Move {
  piece: string;
  side: string;
  to: Point;
  /** What was written of it once it was let go; nothing while it is held. */
  written?: string;
}

/**
 * The piece at hand, moved by dragging or keys. Where it was moved to stays in sight as a preview, and is what the next
 * move starts from, until the piece itself is there.
 */
export function useMoves(run: RunDocument, piece: Schemas['PieceView'] | undefined) {
  const { units } = useUnits();
  const [move, setMove] = useState<Move>();
  const movedOn = (side: string) => (side === '' ? piece?.moved : piece?.sides.find((s) => s.id === side)?.moved);
  const row = run.document?.list.pieces.find((p) => p.id === piece?.id);
  // It has come there; or another piece is at hand, or something else was typed or undone meanwhile.
  const over =
    move &&
    (move.piece !== row?.id ||
      (move.written !== undefined && (same(move.to, movedOn(move.side)) || move.written !== textOf(ownOn(row, move.side)))));
  if (over) setMove(undefined);
  return {
    move,
    hold: (side: string, to?: Point) => setMove(to && row ? { piece: row.id, side, to } : undefined),
    put: (side: string, to: Point, changed: Partial<Point>) => {
      if (!row) return;
      const own = movedTo(ownOn(row, side), changed, unitInForce(units));
      setMove({ piece: row.id, side, to, written: textOf(own) });
      run.editPiece(row.id, (p) => withOwn(p, side, { ...ownOn(p, side), right: own.right, up: own.up }));
    },
  };
}

function textOf({ right, up }: Pick<Schemas['Overrides'], 'right' | 'up'>): string {
  return `${right.text} ${right.unit} ${up.text} ${up.unit}`;
}

/** Whether two places are the same to what is written of them. */
export function same(a: Point, b: Point | null | undefined): boolean {
  return !!b && Math.abs(a.x - b.x) < 0.06 && Math.abs(a.y - b.y) < 0.06;
}
