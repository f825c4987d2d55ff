const KEPT = 'cabida.screen';

/** What a screen says of itself until it is measured: 96 pixels to the inch. */
const SAID = 96 / 25.4;

/** A screen that was measured lies within these many pixels to the millimetre. */
const POSSIBLE = [2, 16] as const;

/** Pixels for a millimetre on this screen, and whether that was measured on it. */
export function screenScale(): { k: number; measured: boolean } {
  const kept = Number(localStorage.getItem(KEPT));
  return possible(kept) ? { k: kept, measured: true } : { k: SAID, measured: false };
}

/** What a bar that was drawn so long and measures so long says of the screen; nothing when that cannot be. */
export function scaleFrom(k: number, drawn: number, measured: number): number | undefined {
  const found = (k * drawn) / measured;
  return possible(found) ? found : undefined;
}

export function keepScreenScale(k: number) {
  localStorage.setItem(KEPT, String(k));
}

function possible(k: number): boolean {
  return k >= POSSIBLE[0] && k <= POSSIBLE[1];
}
