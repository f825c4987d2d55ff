import { useQueries, useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { Form } from 'react-bootstrap';
import { Link, useNavigate, useParams } from 'react-router';
import { answer, api } from '../api/client';
import { TitleRow, Waiting } from '../frame/TitleRow';

import { useUnits } from '../units/UnitsContext';
import { ANY, found } from '../typefaces/faces';
import { useFavourites } from '../typefaces/favourites';
import { Favourite, TypefaceFilter } from '../typefaces/TypefaceFilter';
import { Choice } from '../fields/Choice';
import { changed } from './parts';
import { sorted, type SortBy } from './trial';
import { Tried } from './Tried';
import { useMotif } from './useMotif';

const SORTS: readonly (readonly [SortBy, string])[] = [
  ['letterHeight', 'letter height'],
  ['thinnestStroke', 'thinnest stroke'],
  ['smallestCounter', 'smallest counter'],
  ['minutes', 'weeding minutes'],
  ['findings', 'findings'],
  ['name', 'name'],
];

/** The motif's real words in every typeface side by side, each at the size it would get; one is chosen and applied. */
export function TrialPage() {
  const { id = '', partId = '' } = useParams();
  const { units } = useUnits();
  const go = useNavigate();
  const motif = useMotif(id);
  const trial = useQuery({
    queryKey: ['trial', id],
    queryFn: () => answer(api.GET('/api/motifs/{id}/trial', { params: { path: { id } } })),
  });
  const letters = trial.data?.letters ?? '';
  const typefaces = useQuery({
    queryKey: ['typefaces', 'lacking', letters],
    queryFn: () => answer(api.GET('/api/typefaces', { params: { query: { letters } } })),
    enabled: !!trial.data,
    staleTime: Infinity,
  });
  const { favourites, toggle } = useFavourites();
  const [wanted, setWanted] = useState(ANY);
  const films = useQuery({ queryKey: ['films'], queryFn: () => answer(api.GET('/api/films')), select: (l) => l.cards });
  const [typed, setTyped] = useState<string>();
  const [by, setBy] = useState<SortBy>('letterHeight');
  const [film, setFilm] = useState('');
  const [left, setLeft] = useState<readonly string[]>([]);
  const names = (typed ?? trial.data?.names.join('\n') ?? '')
    .split('\n')
    .map((n) => n.trim())
    .filter(Boolean)
    .slice(0, 6);
  const matching = found(typefaces.data ?? [], wanted, favourites);
  const faces = matching.filter((t) => !left.includes(t.id));
  const tried = useQueries({
    queries: faces.map((t) => ({
      queryKey: ['trial', id, partId, t.id, names, film],
      queryFn: ({ signal }: { signal: AbortSignal }) =>
        answer(
          api.GET('/api/motifs/{id}/trial/{partId}/{typefaceId}', {
            params: { path: { id, partId, typefaceId: t.id }, query: { names, film } },
            signal,
          }),
        ),
      enabled: names.length > 0 && !!trial.data,
      staleTime: Infinity,
    })),
  });
  const part = motif.view?.parts.find((p) => p.partId === partId);
  if (!motif.view || !motif.document || !trial.data) return <Waiting error={motif.error ?? trial.error} />;
  const done = tried.filter((t) => t.data).length;
  const rows = sorted(
    faces.map((face, i) => ({ face, result: tried[i]?.data })),
    by,
  );
  const now = motif.document.parts.flatMap((p) => (p.kind === 'group' ? p.parts : [p])).find((p) => p.id === partId);
  const choose = (typefaceId: string) => {
    motif.edit((m) => ({ ...m, parts: changed(m.parts, partId, (p) => (p.kind === 'lettering' ? { ...p, typefaceId } : p)) }));
    void go(`/motifs/${id}`);
  };
  return (
    <div className="page">
      <TitleRow
        title={`Typefaces for ${part?.words ?? 'a line'}`}
        about={`${motif.document.name}, ${trial.data.zone ? `each as large as ${trial.data.ground} allows` : 'each as large as the motif is now; choose a ground to see what a blank allows'}`}
      >
        <Link to={`/motifs/${id}`} className="btn btn-sm btn-line">
          Back to the motif
        </Link>
      </TitleRow>
      <section className="card trial-fields" aria-label="What is tried">
        <label>
          Names, one a line
          <Form.Control
            as="textarea"
            rows={3}
            size="sm"
            value={typed ?? trial.data.names.join('\n')}
            onChange={(e) => setTyped(e.target.value)}
          />
        </label>
        <Choice label="Sorted by" value={by} of={SORTS} onChange={setBy} />
        <Choice
          label="Judged by the limits of"
          value={film}
          of={[
            ['', films.data?.[0]?.film.name ?? 'the first film'],
            ...(films.data ?? []).slice(1).map((f) => [f.id, f.film.name] as const),
          ]}
          onChange={setFilm}
        />
        <p className="soft" role="status">
          {done < faces.length ? `${done} of ${faces.length} typefaces tried` : `${faces.length} typefaces tried on ${trial.data.from}`}
        </p>
        {left.length > 0 && (
          <button type="button" className="quiet" onClick={() => setLeft([])}>
            Bring back the {left.length} set aside
          </button>
        )}
      </section>
      {typefaces.data && (
        <TypefaceFilter
          faces={typefaces.data}
          wanted={wanted}
          onChange={setWanted}
          shown={matching.length}
          letters="All letters of the list"
        />
      )}
      {typefaces.data && matching.length === 0 && (
        <p className="soft">No typeface is like that. Ask for less, or add one on the Stock page.</p>
      )}
      <div className="trial">
        {rows.map(({ face, result }) => (
          <article
            key={face.id}
            className={now?.kind === 'lettering' && now.typefaceId === face.id ? 'slip trial-face here' : 'slip trial-face'}
            aria-label={face.name}
          >
            <header>
              <Favourite face={face} liked={favourites.includes(face.id)} onToggle={toggle} />
              <strong>{face.name}</strong>
              <span className="soft">{now?.kind === 'lettering' && now.typefaceId === face.id ? 'in the motif now' : face.kind}</span>
              <button type="button" className="quiet" onClick={() => setLeft([...left, face.id])}>
                Set aside
              </button>
              <button type="button" className="btn btn-sm btn-line" aria-label={`Choose ${face.name}`} onClick={() => choose(face.id)}>
                Choose
              </button>
            </header>
            {face.lacks.length > 0 && (
              <p className="finding">
                It lacks {face.lacks.slice(0, 12).join(' ')}
                {face.lacks.length > 12 ? ` and ${face.lacks.length - 12} more` : ''}.
              </p>
            )}
            {result ? <Tried result={result} zone={trial.data.zone} units={units} /> : <p className="soft trial-waiting">being set …</p>}
          </article>
        ))}
      </div>
    </div>
  );
}
