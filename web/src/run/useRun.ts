import { answer, api, type Schemas } from '../api/client';
import { useDocument } from '../api/useDocument';

/** A run, saved as it is typed. What is derived from it is asked for anew after each save. */
export function useRun(id: string) {
  const params = { path: { id } };
  return useDocument<Schemas['RunView'], Schemas['Run']>({
    key: ['run', id],
    load: () => answer(api.GET('/api/runs/{id}', { params })),
    save: (body, madeFrom) => answer(api.PUT('/api/runs/{id}', { params: { ...params, header: { 'If-Match': madeFrom } }, body })),
    undo: () => answer(api.POST('/api/runs/{id}/undo', { params })),
    redo: () => answer(api.POST('/api/runs/{id}/redo', { params })),
    of: (v) => v.run,
    touches: [['jobs'], ['job'], ['ground', id], ['pieces', id], ['set', id], ['proof', id], ['loads', id], ['bench', id]],
  });
}

export type RunDocument = ReturnType<typeof useRun>;
