import { useQuery } from '@tanstack/react-query';
import { answer, api } from '../api/client';

/** The typefaces there are, to be chosen by name; none until they are there. */
export function useTypefaceNames() {
  const { data = [] } = useQuery({
    queryKey: ['typefaces', 'names'],
    queryFn: () => answer(api.GET('/api/typefaces/names')),
    staleTime: Infinity,
  });
  return data;
}
