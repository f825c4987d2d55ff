/** The piece at hand, as the address names it. */
export const PIECE = 'piece';

/** Where a piece of a run is looked at. */
export const pathOf = (run: string, piece: string) => `/runs/${run}/fit?${PIECE}=${encodeURIComponent(piece)}`;
