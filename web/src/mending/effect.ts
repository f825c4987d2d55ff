import type { Schemas } from '../api/client';

type Figures = Schemas['PieceFigures'];

/** What a remedy would change, in words: only what it does change, as it is and as it would be. */
export function effectSaid({ now, then }: Schemas['RemedyEffect'], length: (mm: number, digits: number) => string): string {
  const rows: readonly (readonly [string, (of: Figures) => string | undefined])[] = [
    ['letters', (f) => (f.letterHeight > 0 ? length(f.letterHeight, 1) : undefined)],
    ['thinnest stroke', (f) => (typeof f.thinnest === 'number' ? length(f.thinnest, 2) : undefined)],
    ['room', (f) => (typeof f.room === 'number' ? length(f.room, 1) : undefined)],
    ['weeding', (f) => `${f.minutes.toFixed(1)} min`],
  ];
  const said = rows.flatMap(([name, of]) => {
    const [a, b] = [of(now), of(then)];
    return a === b || b === undefined ? [] : [`${name} ${a ?? 'none'} → ${b}`];
  });
  return said.length > 0 ? said.join(' · ') : 'Letters, strokes, room and weeding stay as they are.';
}
