import { answer, api, made, type Schemas } from '../../api/client';

type Piece = Pick<Schemas['ProofPieceView'], 'id' | 'seen'>;

/** Says what the customer asks for instead, in their words; null takes back what was said. */
export const correct = (id: string, pieceId: string, words: string | null) => (madeFrom: number) =>
  answer(api.POST('/api/runs/{id}/correction', { params: { path: { id }, ...made(madeFrom) }, body: { pieceId, words } }));

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

/** Takes what the customer sent back into the verdicts; what of it changed since stays as it was. */
export const takeAnswer = (id: string, text: string) => (madeFrom: number) =>
  answer(api.POST('/api/runs/{id}/answer', { params: { path: { id }, ...made(madeFrom) }, body: { text } }));
