import { useQueryClient } from '@tanstack/react-query';
import type { Schemas } from '../api/client';
import { documentSource } from '../api/documents';
import { useDocument } from '../api/useDocument';

export type SetUp = Schemas['RunSetUp'];
export type NamesList = Schemas['RunList'];
export type EditSetUp = (change: (setUp: SetUp) => SetUp) => void;

/** A run, saved as it is typed: of its parts those that were changed. What is derived from it is asked for anew after each save. */
export function useRun(id: string) {
  const key = ['run', id];
  const cache = useQueryClient();
  const changes = (document: Schemas['Run']) => changedParts(document, cache.getQueryData<Schemas['RunView']>(key)?.run);
  const source = documentSource('runs', id, {
    key,
    of: (v) => v.run,
    sent: changes,
    touches: [
      ['jobs'],
      ['job'],
      ['ground', id],
      ['pieces', id],
      ['set', id],
      ['readiness', id],
      ['motif'],
      ['motifs'],
      ['proof', id],
      ['plan'],
      ['cutting'],
      ['bench', id],
      ['making', id],
      ['cost', id],
      ['quotation'],
      ['day'],
    ],
    previews: true,
  });
  const run = useDocument({
    ...source,
    // A long list is read once the hand rests, not with every stroke.
    preview: async (document) => (changes(document).list === null ? source.preview?.(document) : undefined),
  });
  const { edit } = run;
  const editList = (change: (list: NamesList) => NamesList) => edit((r) => ({ ...r, list: change(r.list) }));
  return {
    ...run,
    editSetUp: (change: Parameters<EditSetUp>[0]) => edit((r) => ({ ...r, setUp: change(r.setUp) })),
    editList,
    editPiece: (pieceId: string, change: (piece: Schemas['Piece']) => Schemas['Piece']) =>
      editList((l) => ({ ...l, pieces: l.pieces.map((p) => (p.id === pieceId ? change(p) : p)) })),
  };
}

/** The parts of a run that are not as the server has them; what it says of pieces is changed by commands alone. */
export function changedParts(document: Schemas['Run'], kept: Schemas['Run'] | undefined): Schemas['RunDraft'] {
  return {
    setUp: same(document.setUp, kept?.setUp) ? null : document.setUp,
    list: same(document.list, kept?.list) ? null : document.list,
  };
}

function same(a: unknown, b: unknown): boolean {
  return a === b || JSON.stringify(a) === JSON.stringify(b);
}

export type RunDocument = ReturnType<typeof useRun>;
