import type { Schemas } from '../api/client';

/** What the board shows: a face of the goods laid flat, by its place among the faces; or the goods as they are seen. */
export type BoardView = number | 'seen';

/** What a face is called where it stands alone: Front, Back, Lid. */
export const faceTitle = (face: Pick<Schemas['FaceView'], 'name'>) => face.name.charAt(0).toUpperCase() + face.name.slice(1);

/** The part of a board in which ink belongs to a face: others are laid beside it, and what stands over its edge is still to be seen. */
export function inkWindow({ minX, maxX, minY, maxY }: Schemas['Box']): { x: number; y: number; width: number; height: number } {
  const [beside, over] = [0.07 * (maxX - minX), maxY - minY];
  return { x: minX - beside, y: minY - over, width: maxX - minX + 2 * beside, height: 3 * over };
}

/** The view after one: face after face, then the goods as they are seen. */
export function nextView(view: BoardView, faces: number): BoardView {
  if (view === 'seen') return 0;
  return view + 1 < faces ? view + 1 : 'seen';
}

/** The view chosen; of faces the one that what is pointed at lies on, else the one chosen, or the last where it is gone. */
export function viewShown(
  faces: readonly Pick<Schemas['FaceView'], 'flat'>[],
  chosen: BoardView,
  pointedAt?: Schemas['PlanePoint'] | null,
): BoardView {
  if (chosen === 'seen') return chosen;
  const on = pointedAt ? faces.findIndex(({ flat }) => within(pointedAt, flat.box)) : -1;
  return on >= 0 ? on : Math.max(0, Math.min(chosen, faces.length - 1));
}

/** A side of a piece as the board shows it; the first side has neither id nor zone. */
type ShownSide = { side: string; zone: string } & Pick<Schemas['PieceView'], 'rooms' | 'inkBox' | 'moved' | 'state' | 'mayBeCut'>;

/** The sides of a piece that are on a face, in their order; where none is, the first all the same. */
export function sidesOn(piece: Schemas['PieceView'], face: Pick<Schemas['FaceView'], 'sides'> | undefined): [ShownSide, ...ShownSide[]] {
  const first = { ...piece, side: '', zone: '' };
  const others = piece.sides.filter((s) => face?.sides.includes(s.id)).map((s) => ({ ...s, side: s.id, mayBeCut: piece.mayBeCut }));
  const [next, ...rest] = others;
  return face && !face.sides.includes('') && next ? [next, ...rest] : [first, ...others];
}

export function within(p: Schemas['PlanePoint'], box: Schemas['Box']): boolean {
  return p.x >= box.minX && p.x <= box.maxX && p.y >= box.minY && p.y <= box.maxY;
}
