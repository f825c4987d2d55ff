import type { Schemas } from '../api/client';

/** In what one state differs from another, in words. */
export function DifferencesList({ of, none }: { of: Schemas['Differences']; none: string }) {
  if (of.told.length === 0) return <p className="soft">{none}</p>;
  return (
    <ul className="differences">
      {of.told.map((d, i) => (
        <li key={i}>
          <span className="soft">{d.where || 'it'}:</span>{' '}
          {d.before && d.after ? (
            <>
              {d.before} <span aria-label="became">→</span> <strong>{d.after}</strong>
            </>
          ) : d.after ? (
            <>
              added <strong>{d.after}</strong>
            </>
          ) : (
            <>taken away {d.before}</>
          )}
        </li>
      ))}
      {of.beyond > 0 && <li className="soft">and {of.beyond} more</li>}
    </ul>
  );
}
