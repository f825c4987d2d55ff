import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { Form } from 'react-bootstrap';
import { answer, api, type Schemas } from '../../api/client';
import { Words } from '../../units/Words';
import { MotifLengthField } from '../MotifLengthField';
import { ACTIONS, type Part } from '../parts';
import { Check, Choice, NumberField } from '../../fields/Choice';
import type { FieldsOf } from './context';

/** What a part is cut from, what it does to the parts before it, and how it is turned. */
export function CutFields({
  part,
  films,
  layers,
  problem,
  onChange,
}: FieldsOf<Part> & { films: readonly Schemas['FilmView'][]; layers: readonly Schemas['FilmPly'][] }) {
  const [before, setBefore] = useState<string>();
  const set = (to: Partial<Part>) => onChange({ ...part, ...to } as Part);
  const known = part.filmId === '' || films.some((f) => f.id === part.filmId);
  return (
    <div className="part-fields">
      <Choice
        label="Film"
        value={part.filmId}
        wrong={!known}
        of={[
          ['', 'as the run chooses'],
          ...films.map((f) => [f.id, f.film.name] as const),
          ...(known ? [] : [[part.filmId, 'one that is gone'] as const]),
        ]}
        onChange={(filmId) => {
          setBefore(part.filmId);
          set({ filmId });
        }}
      />
      {part.kind !== 'mat' && (
        <NumberField label="Ply" value={part.ply} min={1} max={9} wrong={!!problem('ply')} onChange={(ply) => set({ ply })} />
      )}
      {part.kind !== 'backing' && part.kind !== 'mat' && (
        <>
          <Choice
            label="It"
            value={part.action}
            of={Object.entries(ACTIONS) as [Part['action'], string][]}
            onChange={(action) => set({ action })}
          />
          {part.action !== 'adds' && <ActsOnFields part={part} films={films} layers={layers} onChange={onChange} />}
          {part.action === 'clearsAround' && (
            <MotifLengthField
              label="Clearance"
              value={part.clearance}
              problem={problem('clearance')}
              onChange={(clearance) => set({ clearance })}
            />
          )}
          <NumberField label="Turned left, °" value={part.turn} step={5} wrong={!!problem('turn')} onChange={(turn) => set({ turn })} />
          <span className="part-fields-row">
            <button
              type="button"
              className="quiet"
              aria-label="A quarter to the left"
              title="A quarter to the left"
              onClick={() => set({ turn: turned(part.turn, 90) })}
            >
              ↺
            </button>
            <button
              type="button"
              className="quiet"
              aria-label="A quarter to the right"
              title="A quarter to the right"
              onClick={() => set({ turn: turned(part.turn, -90) })}
            >
              ↻
            </button>
          </span>
          {part.action === 'adds' && (
            <>
              <Check label="Its layer is one piece" value={part.onePiece} onChange={(onePiece) => set({ onePiece })} />
              <Check label="Ties hold what would fall out of it" value={part.tied} onChange={(tied) => set({ tied })} />
            </>
          )}
          <Check label="Flipped, left for right" value={part.flipped} onChange={(flipped) => set({ flipped })} />
        </>
      )}
      {before !== undefined && before !== part.filmId && (
        <FilmChanges
          from={before}
          to={part.filmId}
          onUndo={() => {
            setBefore(undefined);
            set({ filmId: before });
          }}
        />
      )}
    </div>
  );
}

const REACHES: readonly (readonly [Part['actsOn'], string])[] = [
  ['own', 'its own film only'],
  ['all', 'all films, backings too'],
  ['chosen', 'these films'],
];

/** Which films a part takes away from. */
function ActsOnFields({
  part,
  films,
  layers,
  onChange,
}: Pick<FieldsOf<Part>, 'part' | 'onChange'> & { films: readonly Schemas['FilmView'][]; layers: readonly Schemas['FilmPly'][] }) {
  const chosen = (l: Schemas['FilmPly']) => part.actsOnFilms.some((f) => f.filmId === l.filmId && f.ply === l.ply);
  const others = part.actsOnFilms.filter((f) => !layers.some((l) => l.filmId === f.filmId && l.ply === f.ply));
  const several = (l: Schemas['FilmPly']) => l.ply > 1 || [...layers, ...others].some((o) => o.filmId === l.filmId && o.ply !== l.ply);
  const name = (l: Schemas['FilmPly']) =>
    `${l.filmId === '' ? 'the run’s film' : (films.find((f) => f.id === l.filmId)?.film.name ?? 'one that is gone')}${several(l) ? `, ply ${l.ply}` : ''}`;
  return (
    <>
      <Choice
        label="From"
        value={part.actsOn}
        of={REACHES}
        onChange={(actsOn) =>
          onChange({
            ...part,
            actsOn,
            actsOnFilms: actsOn === 'chosen' && part.actsOnFilms.length === 0 ? [{ filmId: part.filmId, ply: part.ply }] : part.actsOnFilms,
          } as Part)
        }
      />
      {part.actsOn === 'chosen' && (
        <fieldset className="backing-of">
          <legend>It takes from</legend>
          {[...layers, ...others].map((l) => (
            <Form.Check
              key={`${l.filmId} ${l.ply}`}
              id={`acts-${part.id}-${l.filmId}-${l.ply}`}
              label={name(l)}
              checked={chosen(l)}
              onChange={(e) =>
                onChange({
                  ...part,
                  actsOnFilms: e.target.checked
                    ? [...part.actsOnFilms, l]
                    : part.actsOnFilms.filter((f) => f.filmId !== l.filmId || f.ply !== l.ply),
                } as Part)
              }
            />
          ))}
        </fieldset>
      )}
    </>
  );
}

/** An angle after a further turn, within one turn either way. */
function turned(turn: number, by: number): number {
  const next = turn + by;
  return next > 180 ? next - 360 : next <= -180 ? next + 360 : next;
}

/** What else changes with a film, and the way back. */
function FilmChanges({ from, to, onUndo }: { from: string; to: string; onUndo: () => void }) {
  const { data } = useQuery({
    queryKey: ['film-change', from, to],
    queryFn: () => answer(api.GET('/api/films/{id}/instead-of/{other}', { params: { path: { id: to, other: from } } })),
    enabled: from !== '' && to !== '',
  });
  return (
    <div className="film-changes" role="status">
      {from === '' || to === ''
        ? 'A run chooses this film; its limits and its heat are known only then.'
        : data?.length === 0
          ? 'Nothing else changes.'
          : data?.map((p, i) => (
              <p key={i}>
                <Words of={p} />
              </p>
            ))}
      <button type="button" className="quiet" onClick={onUndo}>
        Take the film before
      </button>
    </div>
  );
}
