import { useQuery } from '@tanstack/react-query';
import { answer, api, type Schemas } from '../api/client';

/** What a typed length means to the server; a problem known otherwise comes first. */
export function useEcho(typed: Schemas['TypedLength'], range: Schemas['RangeName'], problem?: Schemas['Phrase']): Schemas['LengthEcho'] {
  const { data } = useQuery({
    queryKey: ['length', typed.text, typed.unit, range],
    queryFn: () => answer(api.POST('/api/lengths', { body: { typed, range } })),
    staleTime: Infinity,
  });
  return { millimetres: data?.millimetres ?? null, problem: problem ?? null };
}
