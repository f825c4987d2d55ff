/** A moment as it stands in a list: Tue, 1 Dec 2026, 20:31. */
export const momentSaid = (at: string) =>
  new Date(at).toLocaleString('en-GB', {
    weekday: 'short',
    day: 'numeric',
    month: 'short',
    year: 'numeric',
    hour: '2-digit',
    minute: '2-digit',
  });

/** Its time of day. */
export const clockSaid = (at: string, seconds = false) =>
  new Date(at).toLocaleTimeString('en-GB', { hour: '2-digit', minute: '2-digit', second: seconds ? '2-digit' : undefined });
