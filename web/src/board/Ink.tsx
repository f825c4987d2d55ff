import type { Schemas } from '../api/client';
import { fillOf, FilmPatterns } from './FilmPatterns';

interface Props {
  inks: readonly Schemas['InkView'][];
  outline?: boolean;
  /** Names the ink for those who look for it. */
  piece?: string;
}

/** Ink as it will look, film over film; or its outlines. */
export function Ink({ inks, outline = false, piece }: Props) {
  return (
    <>
      {!outline && <FilmPatterns films={inks} />}
      {inks.map((i, n) => (
        <path
          key={`${i.filmId} ${i.ply} ${n}`}
          d={i.path}
          className={outline ? 'ink-outline' : 'ink'}
          fill={outline ? 'none' : fillOf(i)}
          fillRule="evenodd"
          vectorEffect="non-scaling-stroke"
          data-piece={piece}
          data-film={i.film || undefined}
        />
      ))}
    </>
  );
}
