import { useSearchParams } from 'react-router';
import { PIECE } from '../readiness/pathOf';

/** The piece at hand, named in the address: what leads to a piece is a link to it. */
export function useChosen() {
  const [query, setQuery] = useSearchParams();
  return {
    chosen: query.get(PIECE) ?? undefined,
    choose: (id: string) => setQuery((q) => ({ ...Object.fromEntries(q), [PIECE]: id }), { replace: true }),
  };
}
