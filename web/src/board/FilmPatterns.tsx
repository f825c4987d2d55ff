import type { Schemas } from '../api/client';

type Pattern = Schemas['FilmPattern'];

/** What a pattern's tile draws, in millimetres, and how large the tile is. Made up for the application. */
const TILES: Record<Exclude<Pattern, 'none'>, { size: [number, number]; turn?: number; draw: (colour: string) => React.ReactNode }> = {
  stripes: { size: [4, 4], turn: 32, draw: (c) => <rect width={1.6} height={4} fill={c} /> },
  dots: {
    size: [4.2, 4.2],
    draw: (c) => (
      <>
        <circle cx={1} cy={1} r={0.75} fill={c} />
        <circle cx={3.1} cy={3.1} r={0.75} fill={c} />
      </>
    ),
  },
  check: {
    size: [5, 5],
    draw: (c) => (
      <>
        <rect width={2.5} height={2.5} fill={c} />
        <rect x={2.5} y={2.5} width={2.5} height={2.5} fill={c} />
      </>
    ),
  },
  leaves: {
    size: [7, 6],
    draw: (c) => (
      <>
        <path d="M1 3Q2.4 .6 4 1.2Q3.4 3 1 3Z" fill={c} />
        <path d="M6.4 5.6Q4 5.4 3.8 3.6Q6 3.4 6.4 5.6Z" fill={c} />
      </>
    ),
  },
  bricks: { size: [6, 4], draw: (c) => <path d="M0 0H6M0 2H6M1.5 0V2M4.5 2V4" stroke={c} strokeWidth={0.35} fill="none" /> },
  chips: {
    size: [9, 8],
    draw: (c) => <path d="M1 1l1.6.3-.5 1.2ZM5.4.8l.9 1.1-1.5.3ZM7.4 4.2l1 .9-1.2.7ZM2.6 5.2l1.5-.4-.3 1.4ZM5.2 6.6l.8.2-.6.8Z" fill={c} />,
  },
  waves: { size: [8, 3.2], draw: (c) => <path d="M0 1.6Q2 0 4 1.6T8 1.6" stroke={c} strokeWidth={0.5} fill="none" /> },
};

export interface FilmLook {
  colour: string;
  pattern: Pattern;
  patternColour: string;
}

const idOf = (film: FilmLook) => `film-${film.pattern}-${film.colour.slice(1)}-${film.patternColour.slice(1)}`;

/** How a film fills its ink: its colour, or its pattern, which has to be defined in the same drawing. */
export function fillOf(film: FilmLook): string | undefined {
  if (!film.colour) return undefined;
  return film.pattern === 'none' || !film.patternColour ? film.colour : `url(#${idOf(film)})`;
}

/** The patterns that films of a drawing need. */
export function FilmPatterns({ films }: { films: readonly FilmLook[] }) {
  const needed = films.filter((f) => fillOf(f)?.startsWith('url'));
  if (needed.length === 0) return null;
  return (
    <defs>
      {needed.map((f, i) => {
        const tile = TILES[f.pattern as Exclude<Pattern, 'none'>];
        return (
          <pattern
            key={i}
            id={idOf(f)}
            width={tile.size[0]}
            height={tile.size[1]}
            patternUnits="userSpaceOnUse"
            patternTransform={tile.turn ? `rotate(${tile.turn})` : undefined}
          >
            <rect width={tile.size[0]} height={tile.size[1]} fill={f.colour} />
            {tile.draw(f.patternColour)}
          </pattern>
        );
      })}
    </defs>
  );
}
