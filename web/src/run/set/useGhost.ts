import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { answer, api, type Schemas } from '../../api/client';

/** Another way of placing a piece, looked at before it is chosen. */
export interface Ghost {
  centring?: Schemas['Centring'];
  taper?: Schemas['TaperWay'];
  placing?: Schemas['Placing'];
  /** The side that is asked for; the first when none is. */
  side?: string;
  /** How far it would be moved by hand. */
  movedRight?: number;
  movedUp?: number;
  /** A remedy of its findings that would be made; nothing else is looked at then. */
  remedy?: string;
}

/** The piece as that way would have it; none while nothing is pointed at. */
export function useGhost(id: string, pieceId: string | undefined, revision: number | undefined, ghost: Ghost | undefined) {
  return useQuery({
    queryKey: ['ghost', id, pieceId, revision, ghost],
    enabled: !!ghost && !!pieceId,
    queryFn: ({ signal }) =>
      answer(api.GET('/api/runs/{id}/pieces/{pieceId}/ghost', { params: { path: { id, pieceId: pieceId ?? '' }, query: ghost }, signal })),
    staleTime: Infinity,
    // While something is dragged the figures before stay until the next are there.
    placeholderData: ghost?.movedRight === undefined ? undefined : keepPreviousData,
  }).data;
}
