import { useQueryClient } from '@tanstack/react-query';
import { answer, api, made, type Schemas } from '../api/client';
import { useDocument } from '../api/useDocument';

export type SetUp = Schemas['RunSetUp'];
export type NamesList = Schemas['RunList'];
export type EditSetUp = (change: (setUp: SetUp) => SetUp) => void;

/** A run, saved as it is typed: of its parts those that were changed. What is derived from it is asked for anew after each save. */
export function useRun(id: string) {
  const params = { path: { id } };
  const key = ['run', id];
  const cache = useQueryClient();
  const run = useDocument<Schemas['RunView'], Schemas['Run']>({
    key,
    load: () => answer(api.GET('/api/runs/{id}', { params })),
    save: (document, madeFrom) => {
      const body = changedParts(document, cache.getQueryData<Schemas['RunView']>(key)?.run);
      return answer(api.PUT('/api/runs/{id}', { params: { ...params, ...made(madeFrom) }, body }));
    },
    undo: (madeFrom) => answer(api.POST('/api/runs/{id}/undo', { params: { ...params, ...made(madeFrom) } })),
    redo: (madeFrom) => answer(api.POST('/api/runs/{id}/redo', { params: { ...params, ...made(madeFrom) } })),
    of: (v) => v.run,
    touches: [['jobs'], ['job'], ['ground', id], ['pieces', id], ['set', id], ['proof', id], ['loads', id], ['bench', id]],
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
