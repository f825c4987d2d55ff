import type { Schemas } from '../api/client';

/** What the board shows: a face of the goods laid flat, by its place among the faces; or the goods as they are seen. */
export type BoardView = number | 'seen';

export const FACES: Record<Schemas['Facing'], string> = { front: 'Front', back: 'Back' };

/** The view after one: face after face, then the goods as they are seen. */
export function nextView(view: BoardView, faces: number): BoardView {
  if (view === 'seen') return 0;
  return view + 1 < faces ? view + 1 : 'seen';
}

/** The view chosen; of faces the one that what is pointed at lies on, else the one chosen, or the last where it is gone. */
export function viewShown(faces: readonly Pick<Schemas['FaceView'], 'flat'>[], chosen: BoardView, pointedAt?: Schemas['PlanePoint'] | null): BoardView {
  if (chosen === 'seen') return chosen;
  const on = pointedAt ? faces.findIndex(({ flat }) => within(pointedAt, flat.box)) : -1;
  return on >= 0 ? on : Math.max(0, Math.min(chosen, faces.length - 1));
}

/** The room, the ink and the state of the first side that is on a face; the first side has no id. */
export function sideOn(piece: Schemas['PieceView'], face: Pick<Schemas['FaceView'], 'sides'> | undefined): { side: string } & Pick<Schemas['PieceView'], 'rooms' | 'inkBox' | 'moved' | 'state' | 'mayBeCut'> {
  const side = face && !face.sides.includes('') ? piece.sides.find((s) => face.sides.includes(s.id)) : undefined;
  return side ? { ...side, side: side.id, mayBeCut: piece.mayBeCut } : { ...piece, side: '' };
}

export function within(p: Schemas['PlanePoint'], box: Schemas['Box']): boolean {
  return p.x >= box.minX && p.x <= box.maxX && p.y >= box.minY && p.y <= box.maxY;
}
