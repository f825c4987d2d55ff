import { useQuery } from '@tanstack/react-query';
import { answer, api } from '../api/client';
import { figure, length } from '../units/units';
import { useUnits } from '../units/UnitsContext';

interface Props {
  id: string;
  revision: number;
  film?: string;
  onFilm: (id: string) => void;
}

const percent = (share: number) => `${(100 * share).toFixed(1)} %`;

/** How much of a bellied wall each film may cover around the zone's middle before it shows. */
export function StrainCard({ id, revision, film, onFilm }: Props) {
  const { units } = useUnits();
  const { data } = useQuery({
    queryKey: ['blank', id, 'strain', revision, film],
    queryFn: () => answer(api.GET('/api/blanks/{id}/strain', { params: { path: { id }, query: film ? { film } : {} } })),
    placeholderData: (before) => before,
    retry: false,
  });
  if (!data) return null;
  const inHand = film ?? data.films[0]?.filmId;
  return (
    <section className="card" aria-label="What a film may cover">
      <h2>
        What a film may cover<span className="hint">around {length(data.at, units)} up the wall</span>
      </h2>
      <table className="figures films">
        <thead>
          <tr>
            <th scope="col">Film</th>
            <th scope="col">gives</th>
            <th scope="col" className="end">
              band, all round
            </th>
            <th scope="col" className="end">
              patch
            </th>
          </tr>
        </thead>
        <tbody>
          {data.films.map((f) => (
            <tr key={f.filmId} className={f.filmId === inHand ? 'lit' : ''}>
              <th scope="row">
                <button type="button" className="quiet" aria-pressed={f.filmId === inHand} onClick={() => onFilm(f.filmId)}>
                  {f.film}
                </button>
              </th>
              <td className="soft">
                {percent(f.stretch)} / {percent(f.gather)}
              </td>
              <td>{figure(f.band, units)}</td>
              <td>{figure(f.patch, units)}</td>
            </tr>
          ))}
        </tbody>
      </table>
      {data.films.length === 0 && <p className="soft">There is no film in the stock yet.</p>}
    </section>
  );
}
