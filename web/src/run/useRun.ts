import { answer, api, made, type Schemas } from '../api/client';
import { useDocument } from '../api/useDocument';

/** A run, saved as it is typed. What is derived from it is asked for anew after each save. */
export function useRun(id: string) {
  const params = { path: { id } };
  return useDocument<Schemas['RunView'], Schemas['Run']>({
    key: ['run', id],
    load: () => answer(api.GET('/api/runs/{id}', { params })),
    save: (body, madeFrom) => answer(api.PUT('/api/runs/{id}', { params: { ...params, ...made(madeFrom) }, body })),
    undo: (madeFrom) => answer(api.POST('/api/runs/{id}/undo', { params: { ...params, ...made(madeFrom) } })),
    redo: (madeFrom) => answer(api.POST('/api/runs/{id}/redo', { params: { ...params, ...made(madeFrom) } })),
    of: (v) => v.run,
    touches: [['jobs'], ['job'], ['ground', id], ['pieces', id], ['set', id], ['proof', id], ['loads', id], ['bench', id]],
  });
}

export type RunDocument = ReturnType<typeof useRun>;
