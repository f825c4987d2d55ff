import { useState } from 'react';
import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { answer, api, type Schemas } from '../../api/client';

/** A piece as waste, film by film; worked out once it is looked at. */
export function useWaste(id: string, piece: Schemas['PieceView'] | undefined, revision: number | undefined, looked: boolean) {
  const [at, setAt] = useState(0);
  const [lit, setLit] = useState<number>();
  const { data, error } = useQuery({
    queryKey: ['waste', id, piece?.id, piece?.inkHash, revision],
    enabled: looked && !!piece,
    queryFn: ({ signal }) =>
      answer(api.GET('/api/runs/{id}/pieces/{pieceId}/waste', { params: { path: { id, pieceId: piece?.id ?? '' } }, signal })),
    placeholderData: keepPreviousData,
  });
  const films = data ?? [];
  return {
    films,
    error,
    asked: data !== undefined,
    /** The film that is shown. */
    shown: films[Math.min(at, films.length - 1)],
    show: (film: number) => {
      setAt(film);
      setLit(undefined);
    },
    /** The bit that is pointed at, by its number. */
    lit,
    light: setLit,
  };
}

export type Waste = ReturnType<typeof useWaste>;
