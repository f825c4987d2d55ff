import { useQuery } from '@tanstack/react-query';
import { createContext, useContext } from 'react';
import { answer, api, type Schemas } from '../api/client';
import type { Motif } from './parts';

interface Ghosts {
  /** What would move; nothing while nothing is pointed at. */
  seen?: Schemas['MotifGhost'];
  /** Which field points at it. */
  by?: string;
  /** Points at the motif with a change from a field, or at nothing. */
  point: (by: string, change?: (motif: Motif) => Motif) => void;
}

export const GhostContext = createContext<Ghosts>({ point: () => undefined });

/** The change of a motif that is pointed at, before it is chosen. */
export const useGhosts = () => useContext(GhostContext);

/** What would move if a motif were another. */
export function useMotifGhost(id: string, revision: number | undefined, other: Motif | undefined) {
  const ghost = useQuery({
    queryKey: ['motif', id, 'ghost', revision, other],
    enabled: !!other,
    queryFn: ({ signal }) =>
      other
        ? answer(api.POST('/api/motifs/{id}/ghost', { params: { path: { id } }, body: other, signal }))
        : Promise.reject(new Error('nothing is pointed at')),
    staleTime: Infinity,
  });
  return other ? ghost.data : undefined;
}
