import { answer, api, made, type Schemas } from '../api/client';

type Run = Schemas['Run'];
type Piece = Pick<Schemas['ProofPieceView'], 'id' | 'seen'>;

/** The run with what the customer asks for instead, in their words; null takes back what was said. Approving is the server's. */
export function withWords(run: Run, id: string, words: string | null): Run {
  const said = words === null ? null : { approved: false, words, inkHash: '', blankRevision: 0, seen: '' };
  return { ...run, pieces: run.pieces.map((p) => (p.id === id ? { ...p, verdict: said } : p)) };
}

/** Approves pieces as they are seen here; refused where one is not so any more. */
export const approve = (id: string, pieces: readonly Piece[]) => (madeFrom: number) =>
  answer(
    api.POST('/api/runs/{id}/approval', {
      params: { path: { id }, ...made(madeFrom) },
      body: { pieces: pieces.map((p) => ({ pieceId: p.id, seen: p.seen })) },
    }),
  );

/** Notes that the set was shown to the customer as it is now. */
export const markShown = (id: string) => (madeFrom: number) =>
  answer(api.POST('/api/runs/{id}/shown', { params: { path: { id }, ...made(madeFrom) } }));
