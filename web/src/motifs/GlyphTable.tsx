import { useInfiniteQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { answer, api, type Schemas } from '../api/client';
import { Choice } from '../fields/Choice';

type Which = 'like' | 'forms' | 'all';

const PAGE = 120;

interface Props {
  faceId: string;
  letter: string;
  onChoose: (glyph: Schemas['GlyphView']) => void;
}

/** Every glyph of a face, those for the letter at hand first: what faces keep outside their features is found by eye. */
export function GlyphTable({ faceId, letter, onChoose }: Props) {
  const [which, setWhich] = useState<Which>('like');
  const query = { letter: which === 'like' ? letter : undefined, kind: which === 'all' ? undefined : 'forms' };
  const { data, error, hasNextPage, fetchNextPage, isFetching } = useInfiniteQuery({
    queryKey: ['glyphs', faceId, query],
    queryFn: ({ pageParam, signal }) =>
      answer(
        api.GET('/api/typefaces/{id}/glyphs', {
          params: { path: { id: faceId }, query: { ...query, from: pageParam, count: PAGE } },
          signal,
        }),
      ),
    initialPageParam: 0,
    getNextPageParam: (last) => (last.from + last.glyphs.length < last.all ? last.from + last.glyphs.length : undefined),
    staleTime: Infinity,
  });
  const glyphs = data?.pages.flatMap((p) => p.glyphs) ?? [];
  const all = data?.pages[0]?.all ?? 0;
  return (
    <>
      <div className="part-fields glyph-filter">
        <Choice
          label="Shown"
          value={which}
          onChange={setWhich}
          of={[
            ['like', `for ${letter}, or unknown`],
            ['forms', 'all other forms'],
            ['all', 'every glyph'],
          ]}
        />
        <span className="soft small" role="status">
          {data ? (all === 0 ? 'none' : `${glyphs.length} of ${all}`) : 'being read …'}
        </span>
      </div>
      {error && <p className="finding stop">{error.message}</p>}
      {data && all === 0 && (
        <p className="soft">The face keeps no other form of {letter} in its table. Look at all other forms: a flourish may fit, too.</p>
      )}
      <div className="glyphs">
        {glyphs.map((g) => (
          <button key={g.glyph} type="button" className="glyph" title={said(g)} aria-label={said(g)} onClick={() => onChoose(g)}>
            <svg viewBox={around(g.box)} aria-hidden="true">
              <path d={g.path} transform="scale(1 -1)" className="ink" fillRule="evenodd" />
            </svg>
            <span>
              {g.letter}
              {g.family !== '' || g.how === 'not' ? ` ${g.name}` : ''}
            </span>
          </button>
        ))}
      </div>
      {hasNextPage && (
        <button type="button" className="btn btn-sm btn-line" disabled={isFetching} onClick={() => void fetchNextPage()}>
          More of them
        </button>
      )}
    </>
  );
}

/** What a glyph is, and how that is known. */
function said(g: Schemas['GlyphView']): string {
  if (g.how === 'character') return g.letter;
  if (g.how === 'not') return `${g.name}: it is not known for which letter`;
  return `${g.letter}, ${g.name}${g.how === 'byLikeness' ? ', by its looks' : ''}`;
}

/** The same scale for all, as far as they are not larger than two em. */
function around(b: Schemas['Box']): string {
  const side = Math.max(b.maxX - b.minX, b.maxY - b.minY, 90) + 16;
  return `${(b.minX + b.maxX - side) / 2} ${-(b.minY + b.maxY + side) / 2} ${side} ${side}`;
}
