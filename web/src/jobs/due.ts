/** A due day in words, as in "due Sat 5 Dec". */
export function due(day: string): string {
  if (!day) return 'no day set';
  return `due ${new Date(`${day}T12:00:00`).toLocaleDateString('en-GB', { weekday: 'short', day: 'numeric', month: 'short' })}`;
}
