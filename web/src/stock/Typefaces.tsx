import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { Form } from 'react-bootstrap';
import { answer, api, sendFile, type Schemas } from '../api/client';
import { useRemoval } from '../api/useRemoval';
import { InkPicture } from '../board/InkPicture';
import { ANY, found } from '../typefaces/faces';
import { useFavourites } from '../typefaces/favourites';
import { Favourite, TypefaceFilter } from '../typefaces/TypefaceFilter';

/** The typefaces at hand, seen with words of the maker's own; more can be added from files. */
export function Typefaces() {
  const [words, setWords] = useState('');
  const cache = useQueryClient();
  const { data } = useQuery({
    queryKey: ['typefaces', 'seen', words.trim()],
    queryFn: () => answer(api.GET('/api/typefaces', { params: { query: { words: words.trim(), letters: words.trim() } } })),
    placeholderData: (before) => before,
  });
  const add = useMutation({
    mutationFn: (file: File) => sendFile<Schemas['TypefaceView'][]>(`/api/typefaces?name=${encodeURIComponent(file.name)}`, file),
    onSuccess: () => cache.invalidateQueries({ queryKey: ['typefaces'] }),
  });
  const { favourites, toggle, error } = useFavourites();
  const [wanted, setWanted] = useState(ANY);
  const shown = found(data ?? [], wanted, favourites);
  return (
    <>
      <div className="filter typeface-words">
        <label htmlFor="typeface-words">Seen with</label>
        <Form.Control id="typeface-words" size="sm" placeholder="Fernhollow" value={words} onChange={(e) => setWords(e.target.value)} />
      </div>
      {data && (
        <TypefaceFilter
          faces={data}
          wanted={wanted}
          onChange={setWanted}
          shown={shown.length}
          letters={words.trim() ? 'All letters of these words' : undefined}
        />
      )}
      {error && (
        <p className="finding stop" role="alert">
          {error.message}
        </p>
      )}
      <div className="typefaces">
        {shown.map((t) => (
          <Typeface key={t.id} face={t} liked={favourites.includes(t.id)} onLike={toggle} />
        ))}
        <label className="new-card">
          <strong>Add a typeface</strong>
          <span className="soft small">A file on this computer: TTF, OTF, or a collection. Mind its licence.</span>
          <Form.Control
            type="file"
            size="sm"
            aria-label="Typeface file"
            accept=".ttf,.otf,.ttc,.otc"
            disabled={add.isPending}
            onChange={(e) => {
              const file = (e.target as HTMLInputElement).files?.[0];
              if (file) add.mutate(file);
            }}
          />
          {add.error && (
            <span className="echo problem" role="alert">
              {add.error.message}
            </span>
          )}
          {add.data && (
            <span className="echo" role="status">
              Added {add.data.map((f) => f.name).join(', ')}.
            </span>
          )}
        </label>
      </div>
    </>
  );
}

function Typeface({ face, liked, onLike }: { face: Schemas['TypefaceView']; liked: boolean; onLike: (id: string) => void }) {
  const cache = useQueryClient();
  const remove = useRemoval({
    name: face.name,
    remove: () => answer(api.DELETE('/api/typefaces/{id}', { params: { path: { id: face.id } } })),
    undo: () => answer(api.POST('/api/typefaces/{id}/undo', { params: { path: { id: face.id } } })),
    onGone: () => void cache.invalidateQueries({ queryKey: ['typefaces'] }),
  });
  return (
    <div className="slip typeface">
      {face.sampleBox ? (
        <InkPicture label={`Words in ${face.name}`} box={face.sampleBox} paths={[{ d: face.samplePath, className: 'ink' }]} />
      ) : (
        <span className="soft">It lacks these letters.</span>
      )}
      <span className="typeface-name">
        <strong>{face.name}</strong>
        <Favourite face={face} liked={liked} onToggle={onLike} />
      </span>
      <span className="soft">
        {face.script && `${face.script}, `}
        {face.kind}
        {face.added && ', added'} · <a href={`/api/typefaces/${face.id}/licence`}>{face.hasLicence ? 'licence' : 'no licence stated'}</a>
        {face.added && (
          <button type="button" className="quiet" aria-label={`Take away ${face.name}`} onClick={() => remove.mutate()}>
            ✕
          </button>
        )}
      </span>
    </div>
  );
}
