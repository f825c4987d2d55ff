import { Link } from 'react-router';
import type { Schemas } from '../api/client';

/** Released loads, the newest first. */
export function ReleasedList({ released, of }: { released: readonly Schemas['ReleasedCard'][]; of: number }) {
  if (released.length === 0) return null;
  return (
    <>
      <h2>
        Released<span className="count">{of}</span>
      </h2>
      <ul className="released-loads">
        {released.map((l) => (
          <li key={l.id}>
            <Link to={`/cutting/loads/${l.id}`}>
              <i className="swatch" style={{ background: l.colour }} />
              <span>
                <b>{l.name}</b>
                <small>
                  load {l.number} of {l.of}, {l.pieces} {l.pieces === 1 ? 'piece' : 'pieces'}, {l.releasedAt}
                  {l.cuts > 0 ? `, cut${l.cuts > 1 ? ` ${l.cuts} times` : ''}` : ', not cut yet'}
                </small>
              </span>
            </Link>
          </li>
        ))}
      </ul>
    </>
  );
}
