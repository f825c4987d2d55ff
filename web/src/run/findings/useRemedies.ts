import { useQuery } from '@tanstack/react-query';
import { answer, api, made, type Schemas } from '../../api/client';

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

const inSet = ({ rule, side, part }: Schemas['Finding']) => ({ rule, side, part });

/** What would mend the same finding in all pieces of a set, tried on each of them once it is asked for. */
export function useSetRemedies(id: string, finding: Schemas['Finding'], revision: number | undefined, asked: boolean) {
  return useQuery({
    queryKey: ['set-remedies', id, inSet(finding), finding.figure, revision],
    enabled: asked,
    queryFn: ({ signal }) => answer(api.GET('/api/runs/{id}/set/remedies', { params: { path: { id }, query: inSet(finding) }, signal })),
    staleTime: Infinity,
  });
}

/** Has the server make a remedy of a set: in the motif, or in each of the pieces. */
export const mendSet = (id: string, finding: Schemas['Finding'], remedy: string) => (madeFrom: number) =>
  answer(
    api.POST('/api/runs/{id}/set/remedies', {
      params: { path: { id }, query: inSet(finding), ...made(madeFrom) },
      body: { remedies: [remedy] },
    }),
  );
