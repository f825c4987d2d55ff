import type { Schemas } from '../api/client';

type Run = Schemas['Run'];
type Piece = Pick<Schemas['ProofPieceView'], 'id' | 'inkHash'>;

/** The run with what the customer said of a piece: approved as it is shown, corrected in words, or nothing again. */
export function withVerdict(run: Run, piece: Piece, verdict: true | string | null, blankRevision: number): Run {
  const said = verdict === null ? null : { approved: verdict === true, words: verdict === true ? '' : verdict, inkHash: piece.inkHash, blankRevision };
  return { ...run, pieces: run.pieces.map((p) => (p.id === piece.id ? { ...p, verdict: said } : p)) };
}

/** The run with several pieces approved as they are shown. */
export function approvedAll(run: Run, pieces: readonly Piece[], blankRevision: number): Run {
  return pieces.reduce((r, p) => withVerdict(r, p, true, blankRevision), run);
}

/** What is shown to the customer now, by its ink. */
export function shownNow(pieces: readonly Piece[], at: Date): Schemas['ShownProof'] {
  const two = (n: number) => String(n).padStart(2, '0');
  return { on: `${at.getFullYear()}-${two(at.getMonth() + 1)}-${two(at.getDate())} ${two(at.getHours())}:${two(at.getMinutes())}`, shown: Object.fromEntries(pieces.map((p) => [p.id, p.inkHash])) };
}
