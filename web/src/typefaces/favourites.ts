import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { answer, api, made, type Schemas } from '../api/client';

/** The typefaces that the maker likes to have at hand, kept with the workshop. */
export function useFavourites(): { favourites: readonly string[]; toggle: (id: string) => void; error: Error | null } {
  const cache = useQueryClient();
  const { data } = useQuery({ queryKey: ['workshop'], queryFn: () => answer(api.GET('/api/workshops')) });
  const { mutate, error } = useMutation({
    mutationFn: async (id: string) => {
      // As it is now: the card with the workshop's name may have been typed into meanwhile.
      const now = await answer(api.GET('/api/workshops'));
      const { favourites } = now.workshop;
      const body: Schemas['Workshop'] = {
        ...now.workshop,
        favourites: favourites.includes(id) ? favourites.filter((f) => f !== id) : [...favourites, id],
      };
      return answer(api.PUT('/api/workshops/{id}', { params: { path: { id: now.id }, ...made(now.revision) }, body }));
    },
    onSuccess: (view) => cache.setQueryData(['workshop'], view),
  });
  return { favourites: data?.workshop.favourites ?? [], toggle: mutate, error };
}
