import type { Schemas } from '../api/client';

type Rings = Schemas['StockItem']['outline'];

/** Corners as they are typed: a line for each ring, pairs of figures. */
export const cornersSaid = (rings: Rings) => rings.map((r) => r.points.map((p) => `${tidy(p.x)},${tidy(p.y)}`).join('  ')).join('\n');

/** What was typed, ring by ring; or why it cannot be read. */
export function readCorners(typed: string): { rings?: Rings; problem?: string } {
  const rings: Rings = [];
  for (const [n, line] of typed.split('\n').entries()) {
    if (line.trim() === '') continue;
    const figures = line.match(/-?\d+(?:\.\d+)?/g)?.map(Number) ?? [];
    if (/[^\d\s.,;-]/.test(line)) return { problem: `Line ${n + 1} holds something that is no figure.` };
    if (figures.length % 2 !== 0) return { problem: `Line ${n + 1} lacks a figure: corners are pairs, across and up.` };
    if (figures.length < 6) return { problem: `Line ${n + 1} has fewer than three corners.` };
    const points = [];
    for (let i = 0; i < figures.length; i += 2) points.push({ x: figures[i] ?? 0, y: figures[i + 1] ?? 0 });
    rings.push({ points });
  }
  return rings.length > 0 ? { rings } : { problem: 'Type the corners, as in 0,0 200,0 200,150 0,150.' };
}

const tidy = (mm: number) => Math.round(mm * 100) / 100;
