import type { Schemas } from '../api/client';
import { Check, Choice } from '../fields/Choice';
import { among, type Wanted } from './faces';

interface Props {
  faces: readonly Schemas['TypefaceView'][];
  wanted: Wanted;
  onChange: (wanted: Wanted) => void;
  /** How many are shown. */
  shown: number;
  /** What is asked for where letters are to be there: “All letters of the list”. */
  letters?: string;
}

/** Typefaces found by kind, by script, by what they have, by the letters they lack, and by liking. */
export function TypefaceFilter({ faces, wanted, onChange, shown, letters }: Props) {
  const set = (to: Partial<Wanted>) => onChange({ ...wanted, ...to });
  const any = (words: string) => ['', words] as const;
  return (
    <div className="part-fields typeface-filter" role="group" aria-label="Which typefaces">
      <Choice
        label="Kind"
        value={wanted.kind}
        of={[any('any kind'), ...among(faces, (f) => [f.kind]).map((k) => [k, k] as const)]}
        onChange={(kind) => set({ kind })}
      />
      <Choice
        label="Made for"
        value={wanted.script}
        of={[any('any script'), ['Latin', 'Latin'], ...among(faces, (f) => [f.script]).map((s) => [s, s] as const)]}
        onChange={(script) => set({ script })}
      />
      <Choice
        label="That has"
        value={wanted.has}
        of={[any('anything'), ...among(faces, (f) => f.has).map((h) => [h, h] as const)]}
        onChange={(has) => set({ has })}
      />
      {letters && <Check label={letters} value={wanted.complete} onChange={(complete) => set({ complete })} />}
      <Check label="Favourites only" value={wanted.favourite} onChange={(favourite) => set({ favourite })} />
      <span className="soft small part-fields-row" role="status">
        {shown === faces.length ? `${faces.length} typefaces` : `${shown} of ${faces.length} typefaces`}
      </span>
    </div>
  );
}

/** A star that keeps a face among the favourites. */
export function Favourite({ face, liked, onToggle }: { face: Schemas['TypefaceView']; liked: boolean; onToggle: (id: string) => void }) {
  return (
    <button
      type="button"
      className={liked ? 'quiet favourite here' : 'quiet favourite'}
      aria-pressed={liked}
      aria-label={`${face.name} among the favourites`}
      title={liked ? 'A favourite; press to let it go' : 'Keep among the favourites'}
      onClick={() => onToggle(face.id)}
    >
      {liked ? '★' : '☆'}
    </button>
  );
}
