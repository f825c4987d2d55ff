import { useQueries, useQuery } from '@tanstack/react-query';
import { answer, api, type Schemas } from '../api/client';

type Readiness = Schemas['ReadinessView'];

const AGAIN_AFTER = 1500;

const queryOf = (id: string) => ({
  queryKey: ['readiness', id],
  queryFn: ({ signal }: { signal: AbortSignal }) => answer(api.GET('/api/runs/{id}/readiness', { params: { path: { id } }, signal })),
  placeholderData: (before?: Readiness) => before,
  refetchInterval: (q: { state: { data?: Readiness } }) =>
    q.state.data && q.state.data.lacks.length === 0 && q.state.data.done < q.state.data.all ? AGAIN_AFTER : (false as const),
});

/** What a run still needs before it can be cut; asked for again until all of its pieces were looked at. */
export const useReadiness = (id: string) => useQuery(queryOf(id)).data;

/** What each of some runs still needs. */
export const useReadinessOf = (ids: readonly string[]) => useQueries({ queries: ids.map(queryOf) }).map((q) => q.data);

/** The next of some ids after one; the first where it is none of them, or the last. */
export const nextOf = (ids: readonly string[], at: string | undefined): string | undefined =>
  ids[(at === undefined ? 0 : ids.indexOf(at) + 1) % Math.max(ids.length, 1)];

/** What one run or several need, counted: what a set-up lacks counts as one thing to mend. */
export function counted(all: readonly (Readiness | undefined)[]): { mend: number; decide: number; ready: number } {
  return all.reduce(
    (sum, r) => ({
      mend: sum.mend + (r?.pieces.toMend.length ?? 0) + (r?.lacks.length ? 1 : 0),
      decide: sum.decide + (r?.pieces.toDecide.length ?? 0),
      ready: sum.ready + (r?.pieces.ready ?? 0),
    }),
    { mend: 0, decide: 0, ready: 0 },
  );
}

/** What a run needs in a few words. */
export function needsSaid(of: Readiness): string {
  const { mend, decide, ready } = counted([of]);
  const said = [mend > 0 && `${mend} to mend`, decide > 0 && `${decide} to decide`, `${ready} ready`].filter(Boolean).join(', ');
  return of.done < of.all && of.lacks.length === 0 ? `${said}; ${of.done} of ${of.all} looked at` : said;
}
