import { answer, api, type Schemas } from '../api/client';
import { useDocument } from '../api/useDocument';
import type { Motif } from './parts';

/** A motif that is saved as it is changed. */
export function useMotif(id: string) {
  const params = { path: { id } };
  return useDocument<Schemas['MotifView'], Motif>({
    key: ['motif', id],
    load: () => answer(api.GET('/api/motifs/{id}', { params })),
    save: (body, madeFrom) => answer(api.PUT('/api/motifs/{id}', { params: { ...params, header: { 'If-Match': madeFrom } }, body })),
    undo: () => answer(api.POST('/api/motifs/{id}/undo', { params })),
    redo: () => answer(api.POST('/api/motifs/{id}/redo', { params })),
    of: (view) => view.motif,
    touches: [['motifs'], ['forms', id], ['trial', id]],
  });
}

export type MotifDocument = ReturnType<typeof useMotif>;
