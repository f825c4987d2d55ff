import { answer, api, made, type Schemas } from '../api/client';
import { useDocument } from '../api/useDocument';
import type { Motif } from './parts';

/** A motif that is saved as it is changed. */
export function useMotif(id: string) {
  const params = { path: { id } };
  return useDocument<Schemas['MotifView'], Motif>({
    key: ['motif', id],
    load: () => answer(api.GET('/api/motifs/{id}', { params })),
    save: (body, madeFrom) => answer(api.PUT('/api/motifs/{id}', { params: { ...params, ...made(madeFrom) }, body })),
    undo: (madeFrom) => answer(api.POST('/api/motifs/{id}/undo', { params: { ...params, ...made(madeFrom) } })),
    redo: (madeFrom) => answer(api.POST('/api/motifs/{id}/redo', { params: { ...params, ...made(madeFrom) } })),
    of: (view) => view.motif,
    touches: [['motifs'], ['forms', id], ['trial', id]],
  });
}

export type MotifDocument = ReturnType<typeof useMotif>;
