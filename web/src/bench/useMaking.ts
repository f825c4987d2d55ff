import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { answer, api, made, type Schemas } from '../api/client';

/** How far the making of a run is, with what is ticked. */
export function useMaking(id: string) {
  const cache = useQueryClient();
  const key = ['making', id];
  const params = { path: { id } };
  const making = useQuery({ queryKey: key, queryFn: () => answer(api.GET('/api/runs/{id}/making', { params })) });
  const took = (view: Schemas['MakingView']) => {
    cache.setQueryData(key, view);
    for (const touched of [['day'], ['jobs'], ['job'], ['week']]) void cache.invalidateQueries({ queryKey: touched });
  };
  const stages = useMutation({
    mutationFn: (body: Schemas['TickedPieces']) => answer(api.PUT('/api/runs/{id}/making/stages', { params, body })),
    onSuccess: took,
  });
  const step = useMutation({
    mutationFn: ({ stepId, ...body }: Schemas['TickedStep'] & { stepId: string }) =>
      answer(api.PUT('/api/runs/{id}/making/steps/{stepId}', { params: { path: { id, stepId } }, body })),
    onSuccess: took,
  });
  const undo = useMutation({
    mutationFn: () => answer(api.POST('/api/makings/{id}/undo', { params: { ...params, ...made(making.data?.revision ?? 0) } })),
    onSettled: () => void cache.invalidateQueries(),
  });
  return { making: making.data, error: making.error ?? stages.error ?? step.error ?? undo.error, stages, step, undo };
}
