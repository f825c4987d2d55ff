import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { answer, api, type Schemas } from '../../api/client';
import { Words } from '../../units/Words';
import { MotifLengthField } from '../MotifLengthField';
import { ACTIONS, type Part } from '../parts';
import { Check, Choice, NumberField } from './Choice';
import type { FieldsOf } from './context';

/** What a part is cut from, what it does to the parts before it, and how it is turned. */
export function CutFields({ part, films, problem, onChange }: FieldsOf<Part> & { films: readonly Schemas['FilmView'][] }) {
  const [before, setBefore] = useState<string>();
  const set = (to: Partial<Part>) => onChange({ ...part, ...to } as Part);
  const known = part.filmId === '' || films.some((f) => f.id === part.filmId);
  return (
    <div className="part-fields">
      <Choice
        label="Film" value={part.filmId} wrong={!known}
        of={[['', 'as the run chooses'], ...films.map((f) => [f.id, f.film.name] as const), ...(known ? [] : [[part.filmId, 'one that is gone'] as const])]}
        onChange={(filmId) => { setBefore(part.filmId); set({ filmId }); }}
      />
      {part.kind !== 'mat' && <NumberField label="Ply" value={part.ply} min={1} max={9} wrong={!!problem('ply')} onChange={(ply) => set({ ply })} />}
      {part.kind !== 'backing' && part.kind !== 'mat' && (
        <>
          <Choice label="It" value={part.action} of={Object.entries(ACTIONS) as [Part['action'], string][]} onChange={(action) => set({ action })} />
          {part.action === 'clearsAround' && <MotifLengthField label="Clearance" value={part.clearance} problem={problem('clearance')} onChange={(clearance) => set({ clearance })} />}
          <NumberField label="Turned left, °" value={part.turn} step={5} wrong={!!problem('turn')} onChange={(turn) => set({ turn })} />
          <span className="part-fields-row">
            <button type="button" className="quiet" aria-label="A quarter to the left" title="A quarter to the left" onClick={() => set({ turn: turned(part.turn, 90) })}>↺</button>
            <button type="button" className="quiet" aria-label="A quarter to the right" title="A quarter to the right" onClick={() => set({ turn: turned(part.turn, -90) })}>↻</button>
          </span>
          <Check label="Flipped, left for right" value={part.flipped} onChange={(flipped) => set({ flipped })} />
        </>
      )}
      {before !== undefined && before !== part.filmId && <FilmChanges from={before} to={part.filmId} onUndo={() => { setBefore(undefined); set({ filmId: before }); }} />}
    </div>
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
      {from === '' || to === '' ? 'A run chooses this film; its limits and its heat are known only then.' : data?.length === 0 ? 'Nothing else changes.' : data?.map((p, i) => <p key={i}><Words of={p} /></p>)}
      <button type="button" className="quiet" onClick={onUndo}>Take the film before</button>
    </div>
  );
}
