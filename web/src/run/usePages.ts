import { useInfiniteQuery } from '@tanstack/react-query';
import { useEffect, useState } from 'react';

/** The first page is short, so that there is something to see at once. */
const AT_FIRST = 2;
/** Answers are short rather than late, so that this many come only of what is fitted already. */
const AT_ONCE = 50;

interface Page<T> {
  from: number;
  of: number;
  pieces: T[];
}

/** Pieces fetched a page after another, so that the first can be seen while the others are being set. */
export function usePages<T>(
  key: readonly string[],
  ready: boolean,
  fetchPage: (from: number, count: number, signal: AbortSignal) => Promise<Page<T>>,
) {
  const [stopped, setStopped] = useState(false);
  const query = useInfiniteQuery({
    queryKey: key,
    enabled: ready,
    initialPageParam: 0,
    queryFn: ({ pageParam, signal }) => fetchPage(pageParam, pageParam === 0 ? AT_FIRST : AT_ONCE, signal),
    getNextPageParam: (page) =>
      page.from + page.pieces.length < page.of && page.pieces.length > 0 ? page.from + page.pieces.length : undefined,
    placeholderData: (before) => before,
  });
  const { hasNextPage, isFetching, fetchNextPage } = query;
  useEffect(() => {
    if (hasNextPage && !isFetching && !stopped) void fetchNextPage();
  }, [hasNextPage, isFetching, stopped, fetchNextPage]);
  const pieces = query.data?.pages.flatMap((p) => p.pieces) ?? [];
  const of = query.data?.pages[0]?.of ?? 0;
  return {
    pieces,
    of,
    done: !!query.data && !hasNextPage && !query.isPlaceholderData,
    error: query.error,
    stopped,
    stop: () => setStopped(true),
    goOn: () => setStopped(false),
  };
}
