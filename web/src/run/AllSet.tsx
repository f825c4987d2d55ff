import { useQuery } from '@tanstack/react-query';
import type { ReactNode } from 'react';
import { answer, api } from '../api/client';
import { usePieces } from './usePieces';

/** Shows how far the setting of the names is, and what follows once all are set. */
export function AllSet({ id, children }: { id: string; children: ReactNode }) {
  const ground = useQuery({
    queryKey: ['ground', id],
    queryFn: () => answer(api.GET('/api/runs/{id}/ground', { params: { path: { id } } })),
  });
  const lacking = !!ground.data && ground.data.lacks.length > 0;
  const { pieces, of, done, error, stopped, stop, goOn } = usePieces(id, !!ground.data && !lacking);
  if (lacking || done) return children;
  const wrong = ground.error ?? error;
  return (
    <p className="soft" role="status">
      {wrong ? (
        wrong.message
      ) : (
        <>
          {pieces.length} of {of || ground.data?.pieces || '…'} names set
        </>
      )}{' '}
      {stopped ? (
        <button type="button" className="quiet" onClick={goOn}>
          Go on
        </button>
      ) : (
        <button type="button" className="quiet" onClick={stop}>
          Stop
        </button>
      )}
    </p>
  );
}
