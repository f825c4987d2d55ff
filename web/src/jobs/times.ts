/** The day of a local time such as 2026-12-05T14:10. */
export const dayOf = (at: string) => at.slice(0, 10);

/** Its time of day. */
export const timeOf = (at: string) => at.slice(11, 16);

/** Its minutes from midnight. */
export const minutesOf = (at: string) => 60 * Number(at.slice(11, 13)) + Number(at.slice(14, 16));

/** A day in words, as in Sat 5 Dec. */
export const dayWords = (day: string) =>
  new Date(`${day}T12:00:00`).toLocaleDateString('en-GB', { weekday: 'short', day: 'numeric', month: 'short' });
