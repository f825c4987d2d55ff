import type { Schemas } from '../api/client';

/** Goods up to this size, in millimetres, share a scale at which they can be told apart; larger ones have their own. */
const SMALL = 330;
const PICTURE = { width: 188, height: 142 };

export interface ShelfBoard<B> {
  name: string;
  /** Pixels to the millimetre. */
  scale: number;
  blanks: B[];
}

type Sized = Pick<Schemas['BlankCard'], 'standing'>;

/** Blanks sorted onto shelves, all of a shelf at one scale so that their sizes are seen; a single shelf needs no name. */
export function shelves<B extends Sized>(blanks: readonly B[]): ShelfBoard<B>[] {
  const size = (b: B) => ({ w: b.standing.box.maxX - b.standing.box.minX, h: b.standing.box.maxY - b.standing.box.minY });
  const isSmall = (b: B) => Math.max(size(b).w, size(b).h) <= SMALL;
  const scale = (all: B[]) =>
    Math.min(...all.map((b) => Math.min(PICTURE.width / Math.max(1, size(b).w), PICTURE.height / Math.max(1, size(b).h))));
  const boards = [
    { name: 'Smaller goods', blanks: blanks.filter(isSmall) },
    { name: 'Larger goods', blanks: blanks.filter((b) => !isSmall(b)) },
  ].filter((s) => s.blanks.length > 0);
  const most = Math.max(0, ...boards.map((b) => scale(b.blanks)));
  return boards.map((b) => ({
    ...b,
    name: boards.length < 2 ? '' : scale(b.blanks) === most ? b.name : `${b.name}, at ${(scale(b.blanks) / most).toFixed(2)} of that scale`,
    scale: scale(b.blanks),
  }));
}
