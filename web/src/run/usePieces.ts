import { useQuery } from '@tanstack/react-query';
import { answer, api } from '../api/client';
import { usePages } from './usePages';

/** The pieces of a run, as they are set. */
export function usePieces(id: string, ready: boolean) {
  return usePages(['pieces', id], ready, (from, count, signal) =>
    answer(api.GET('/api/runs/{id}/pieces', { params: { path: { id }, query: { from, count } }, signal })),
  );
}

/** The pieces as one set, as far as they are fitted. */
export function useSet(id: string, ready: boolean) {
  return useQuery({
    queryKey: ['set', id],
    enabled: ready,
    queryFn: ({ signal }) => answer(api.GET('/api/runs/{id}/set', { params: { path: { id } }, signal })),
    placeholderData: (before) => before,
  });
}
