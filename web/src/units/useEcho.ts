import { useQuery } from '@tanstack/react-query';
import { answer, api, type Schemas } from '../api/client';

/** How the server reads a typed length. */
export function useReading(typed: Schemas['TypedLength'], range: Schemas['RangeName']): Schemas['LengthEcho'] {
  const { data } = useQuery({
    queryKey: ['length', typed.text, typed.unit, range],
    queryFn: () => answer(api.POST('/api/lengths', { body: { typed, range } })),
    staleTime: Infinity,
  });
  return data ?? { millimetres: null, problem: null };
}

/** What a typed length means to the server, where what is wrong with it is known from its document. */
export function useEcho(typed: Schemas['TypedLength'], range: Schemas['RangeName'], problem?: Schemas['Phrase']): Schemas['LengthEcho'] {
  return { millimetres: useReading(typed, range).millimetres, problem: problem ?? null };
}
