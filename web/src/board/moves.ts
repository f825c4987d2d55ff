/** How far something moves, in words; empty where nobody would see it. */
export function movesSaid(right: number, up: number, length: (mm: number) => string): string {
  const least = 0.05;
  return [
    Math.abs(right) >= least && `${length(Math.abs(right))} to the ${right > 0 ? 'right' : 'left'}`,
    Math.abs(up) >= least && `${length(Math.abs(up))} ${up > 0 ? 'up' : 'down'}`,
  ]
    .filter(Boolean)
    .join(' and ');
}
