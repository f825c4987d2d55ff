import { useQuery } from '@tanstack/react-query';
import { lazy, Suspense, useState } from 'react';
import { answer, api, type Schemas } from '../../api/client';
import { useKeys } from '../../frame/useKeys';

const Body = lazy(() => import('./Body').then((m) => ({ default: m.Body })));

/** A piece on its blank as a body that is turned by hand, by keys or by a slider; at true proportion, with the ink of the cut file. */
export function ObjectBoard({ id, piece }: { id: string; piece: Schemas['PieceView'] }) {
  const [turned, setTurn] = useState<number>();
  const [tilt, setTilt] = useState(8);
  const { data, error } = useQuery({
    queryKey: ['pieces', id, 'object', piece.id, piece.inkHash],
    queryFn: ({ signal }) =>
      answer(api.GET('/api/runs/{id}/pieces/{pieceId}/object', { params: { path: { id, pieceId: piece.id } }, signal })),
    placeholderData: (before) => before,
    staleTime: Infinity,
  });
  // Until it is turned, its first side faces the reader.
  const turn = turned ?? Math.round(data?.facing ?? 0);
  const by = (degrees: number) => setTurn((t) => Math.round((((t ?? turn) + degrees + 540) % 360) - 180));
  useKeys({ '[': () => by(-15), ']': () => by(15) });
  return (
    <>
      <div className="board object" data-turn={turn} role="img" aria-label={`${piece.name} on the blank, turned by ${turn} degrees`}>
        {error && <p className="soft">{error.message}</p>}
        {data && (
          <Suspense
            fallback={
              <p className="soft" role="status">
                Making the blank …
              </p>
            }
          >
            <Body
              view={data}
              turn={turn}
              tilt={tilt}
              onDrag={(dx, dy) => {
                by(dx);
                setTilt((t) => Math.max(-10, Math.min(60, t + dy)));
              }}
            />
          </Suspense>
        )}
      </div>
      <div className="turn">
        <label htmlFor="turn">Turned by {String(turn).replace('-', '−')}°</label>
        <input id="turn" type="range" min={-180} max={180} step={5} value={turn} onChange={(e) => setTurn(Number(e.target.value))} />
        <button type="button" className="quiet" onClick={() => setTurn(-90)}>
          Left side
        </button>
        <button type="button" className="quiet" disabled={turn === 0} onClick={() => setTurn(0)}>
          To the front
        </button>
        <button type="button" className="quiet" onClick={() => setTurn(90)}>
          Right side
        </button>
      </div>
    </>
  );
}
