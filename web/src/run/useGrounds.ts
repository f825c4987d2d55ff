import { useQueries, useQuery } from '@tanstack/react-query';
import { answer, api, type Schemas } from '../api/client';

type Ground = Schemas['FitGroundView'];

/** What a piece stands on: the drawing of the size that its row names, once it is there. */
export type GroundOf = (piece: Pick<Schemas['PieceView'], 'values'> | undefined) => Ground | undefined;

/** What the pieces of a run stand on: that of the run, and of each other size that rows of its list name. */
export function useGrounds(id: string, run: Schemas['RunView'] | undefined): { ground: Ground | undefined; of: GroundOf; all: Ground[] } {
  const { data: ground } = useQuery({
    queryKey: ['ground', id],
    queryFn: () => answer(api.GET('/api/runs/{id}/ground', { params: { path: { id } } })),
    placeholderData: (before) => before,
  });
  const sizes = ground?.faces.length ? sizesOf(run) : [];
  const sized = useQueries({
    queries: sizes.map((size) => ({
      queryKey: ['ground', id, size],
      queryFn: () => answer(api.GET('/api/runs/{id}/ground', { params: { path: { id }, query: { size } } })),
      placeholderData: (before: Ground | undefined) => before,
    })),
  });
  const found = sizes.map((size, i) => [size, sized[i]?.data] as const);
  return {
    ground,
    of: (piece) => found.find(([size, g]) => same(size, piece?.values.size) && g?.faces.length)?.[1] ?? ground,
    all: [ground, ...found.map(([, g]) => g)].filter((g) => !!g?.faces.length) as Ground[],
  };
}

/** The sizes of the blank that rows of the list name, each once. */
export function sizesOf(run: Pick<Schemas['RunView'], 'sizes' | 'run'> | undefined): string[] {
  const named = run?.run.list.pieces.map((p) => p.values.size) ?? [];
  return (run?.sizes ?? []).filter((s) => named.some((n) => same(s, n)));
}

/** Sizes are the same however they are written. */
function same(a: string, b: string | undefined): boolean {
  return a.toLowerCase() === b?.toLowerCase();
}
