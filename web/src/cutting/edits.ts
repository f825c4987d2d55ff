import type { Schemas } from '../api/client';

export type Plan = Schemas['CutPlan'];
export type ItemId = Schemas['ItemId'];
type Hand = Schemas['ItemHand'];
type At = Schemas['RigidMotion'];

/** A word that tells a thing of a plan apart. */
export const keyOf = (i: ItemId) => [i.run, i.piece, i.film, i.side, i.ply, i.copy, i.section].join('|');

export const isSame = (a: ItemId, b: ItemId) => keyOf(a) === keyOf(b);

/** A plan with something set by hand for things, or nothing any more. */
function withHands(plan: Plan, ids: readonly ItemId[], change: (hand: Hand) => Hand | undefined): Plan {
  const keys = new Set(ids.map(keyOf));
  const changed = ids.map((item) => change(plan.byHand.find((h) => isSame(h.item, item)) ?? { item, pinned: null, takenOff: false }));
  return { ...plan, byHand: [...plan.byHand.filter((h) => !keys.has(keyOf(h.item))), ...changed.filter((h) => h !== undefined)] };
}

/** A thing lies where it is put, whatever else there is. */
export const pinned = (plan: Plan, id: ItemId, load: number, stockId: string, at: At): Plan =>
  withHands(plan, [id], (h) => ({ ...h, takenOff: false, pinned: { load: load - 1, stockId, at } }));

/** Things are laid again. */
export const letGo = (plan: Plan, ids: readonly ItemId[]): Plan => withHands(plan, ids, () => undefined);

/** Things are left for another day. */
export const tookOff = (plan: Plan, ids: readonly ItemId[]): Plan => withHands(plan, ids, (h) => ({ ...h, pinned: null, takenOff: true }));

/** So many more of a piece are laid. */
export function withSpares(plan: Plan, run: string, piece: string, count: number): Plan {
  const others = plan.spares.filter((s) => s.run !== run || s.piece !== piece);
  return { ...plan, spares: count > 0 ? [...others, { run, piece, count }] : others };
}

/** How many more of a piece are laid. */
export const sparesOf = (plan: Plan, run: string, piece: string) => plan.spares.find((s) => s.run === run && s.piece === piece)?.count ?? 0;

/** Where a thing comes to lie when it is turned a quarter to the left about the middle of its box. */
export function turned(at: At, box: Pick<Schemas['Box'], 'minX' | 'minY' | 'maxX' | 'maxY'>): At {
  const [cx, cy] = [(box.minX + box.maxX) / 2, (box.minY + box.maxY) / 2];
  return { degrees: (at.degrees + 90) % 360, x: cx - (at.y - cy), y: cy + (at.x - cx) };
}

/** Where a thing comes to lie when it is moved. */
export const moved = (at: At, dx: number, dy: number): At => ({ ...at, x: at.x + dx, y: at.y + dy });
