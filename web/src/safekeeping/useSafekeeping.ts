import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { answer, api, type Schemas } from '../api/client';
import { LINE, lineOfPage } from '../api/standing';

export type Safekeeping = Schemas['SafekeepingView'];
const KEY = ['safekeeping'];

/** How the library is kept safe. */
export const useSafekeeping = (every: number | false = false) =>
  useQuery({ queryKey: KEY, queryFn: () => answer(api.GET('/api/safekeeping')), refetchInterval: every });

/** What can be done for it; each answers with how it is then. */
export function useSafekeepingDeeds() {
  const cache = useQueryClient();
  const onSuccess = (view: Safekeeping) => cache.setQueryData(KEY, view);
  return {
    make: useMutation({ mutationFn: () => answer(api.POST('/api/safekeeping/copies')), onSuccess }),
    choose: useMutation({ mutationFn: (folder: string) => answer(api.PUT('/api/safekeeping/second', { body: { folder } })), onSuccess }),
    open: useMutation({ mutationFn: () => answer(api.POST('/api/safekeeping/open')), onSuccess }),
    begin: useMutation({ mutationFn: () => answer(api.POST('/api/safekeeping/begin')), onSuccess }),
    check: useMutation({
      mutationFn: (name: string) => answer(api.POST('/api/safekeeping/copies/{name}/check', { params: { path: { name } } })),
    }),
  };
}

const BETWEEN_MS = 400;
const PATIENCE_MS = 120_000;

/** Brings a copy back: the application ends and begins anew on it, and the page with it. */
export function useBringBack() {
  const [isUnderWay, setUnderWay] = useState(false);
  const bring = useMutation({
    mutationFn: async (name: string) => {
      await answer(api.POST('/api/safekeeping/copies/{name}/bring-back', { params: { path: { name } } }));
      setUnderWay(true);
      await begunAnew();
      window.location.assign('/jobs');
    },
    onError: () => setUnderWay(false),
  });
  return { bring, isUnderWay };
}

/** Waits until the application has ended and answers again. */
async function begunAnew() {
  const until = Date.now() + PATIENCE_MS;
  for (let ended = false; Date.now() < until; await new Promise((go) => setTimeout(go, BETWEEN_MS))) {
    const response = await fetch('/api/week').catch(() => undefined);
    if (!response || response.status === 409) ended = true;
    // One that ended and began between two looks goes along another line.
    else if (response.ok && (ended || response.headers.get(LINE) !== lineOfPage())) return;
    else if (response.status === 503 && ended) return;
  }
  throw new Error('Cabida has not begun anew for two minutes. Start it again; what was asked for is done then.');
}
