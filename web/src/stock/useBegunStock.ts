import { useQuery } from '@tanstack/react-query';
import { answer, api } from '../api/client';

/** What there is of a film, begun when it is first looked at. */
export const useBegunStock = (filmId: string) =>
  useQuery({
    queryKey: ['stock-begun', filmId],
    queryFn: () => answer(api.POST('/api/stock/{filmId}', { params: { path: { filmId } } })),
    staleTime: Infinity,
  });
