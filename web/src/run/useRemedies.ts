import { useQuery } from '@tanstack/react-query';
import { answer, api, made, type Schemas } from '../api/client';

/** What would mend a piece, worked out when it is looked at: its findings, each with its remedies. */
export function useRemedies(id: string, piece: Schemas['PieceView'], revision: number | undefined, set: Schemas['RunSet'] | undefined) {
  return useQuery({
    // A set that is not fitted whole yet has other remedies once it is.
    queryKey: ['remedies', id, piece.id, piece.inkHash, revision, set?.done],
    enabled: piece.findings.length > 0,
    queryFn: ({ signal }) =>
      answer(api.GET('/api/runs/{id}/pieces/{pieceId}/remedies', { params: { path: { id, pieceId: piece.id } }, signal })),
    staleTime: Infinity,
  }).data;
}

/** Has the server make a remedy of a piece. */
export const mendPiece = (id: string, pieceId: string, remedy: string) => (madeFrom: number) =>
  answer(
    api.POST('/api/runs/{id}/pieces/{pieceId}/remedies', {
      params: { path: { id, pieceId }, ...made(madeFrom) },
      body: { remedies: [remedy] },
    }),
  );
