import { useInfiniteQuery, useQuery } from '@tanstack/react-query';
import { useEffect, useState } from 'react';
import { answer, api, type Schemas } from '../api/client';

/** The first page is short, so that there is something to see at once. */
const AT_FIRST = 2;
const AT_ONCE = 12;

/** The pieces of a run, fetched a page after another so that the first can be seen while the others are being set. */
export function usePieces(id: string, ready: boolean) {
  const [stopped, setStopped] = useState(false);
  const query = useInfiniteQuery({
    queryKey: ['pieces', id],
    enabled: ready,
    initialPageParam: 0,
    queryFn: ({ pageParam, signal }) => answer(api.GET('/api/runs/{id}/pieces', { params: { path: { id }, query: { from: pageParam, count: pageParam === 0 ? AT_FIRST : AT_ONCE } }, signal })),
    getNextPageParam: (page) => (page.from + page.pieces.length < page.of && page.pieces.length > 0 ? page.from + page.pieces.length : undefined),
    placeholderData: (before) => before,
  });
  const { hasNextPage, isFetching, fetchNextPage } = query;
  useEffect(() => {
    if (hasNextPage && !isFetching && !stopped) void fetchNextPage();
  }, [hasNextPage, isFetching, stopped, fetchNextPage]);
  const pieces: Schemas['PieceView'][] = query.data?.pages.flatMap((p) => p.pieces) ?? [];
  const of = query.data?.pages[0]?.of ?? 0;
  return { pieces, of, done: !!query.data && !hasNextPage && !query.isPlaceholderData, error: query.error, stopped, stop: () => setStopped(true), goOn: () => setStopped(false) };
}

/** The pieces as one set, once all of them are there. */
export function useSet(id: string, ready: boolean) {
  return useQuery({
    queryKey: ['set', id],
    enabled: ready,
    queryFn: ({ signal }) => answer(api.GET('/api/runs/{id}/set', { params: { path: { id } }, signal })),
  });
}
