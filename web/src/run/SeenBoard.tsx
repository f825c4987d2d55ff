import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { answer, api, type Schemas } from '../api/client';
import { Board } from '../board/Board';
import { Ink } from '../board/Ink';

/** A piece on its blank as it is seen, turned by hand. */
export function SeenBoard({
  id,
  piece,
  outline,
  goods,
}: {
  id: string;
  piece: Schemas['PieceView'];
  outline: boolean;
  goods: Schemas['GoodsView'];
}) {
  const [turn, setTurn] = useState(0);
  const { data } = useQuery({
    queryKey: ['pieces', id, 'seen', piece.id, piece.inks.map((i) => i.path.length).join(), turn],
    queryFn: ({ signal }) =>
      answer(api.GET('/api/runs/{id}/pieces/{pieceId}/seen', { params: { path: { id, pieceId: piece.id }, query: { turn } }, signal })),
    placeholderData: (before) => before,
    staleTime: Infinity,
  });
  return (
    <>
      {data ? (
        <Board
          label={`${piece.name} on the blank${data.canTurn ? `, turned by ${turn} degrees` : ''}`}
          drawing={data.blank}
          goods={goods}
          dimensions={false}
          pad={{ top: 18, right: 30, bottom: 18, left: 30 }}
        >
          {(scale) => (
            <g transform={scale.transform} data-seen={piece.name}>
              <Ink inks={data.inks} outline={outline} piece={piece.name} />
            </g>
          )}
        </Board>
      ) : (
        <div className="board" />
      )}
      {data?.canTurn === false ? null : (
        <div className="turn">
          <label htmlFor="turn">Turned by {String(turn).replace('-', '−')}°</label>
          <input id="turn" type="range" min={-180} max={180} step={5} value={turn} onChange={(e) => setTurn(Number(e.target.value))} />
          <button type="button" className="quiet" disabled={turn === 0} onClick={() => setTurn(0)}>
            To the front
          </button>
        </div>
      )}
    </>
  );
}
