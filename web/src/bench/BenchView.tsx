import { useQuery } from '@tanstack/react-query';
import { answer, api, type Schemas } from '../api/client';
import { due } from '../jobs/due';
import { useUnits } from '../units/UnitsContext';
import { Words } from '../units/Words';
import { Lacks } from '../readiness/Lacks';
import { Choice } from '../fields/Choice';
import { JoiningMaps } from './JoiningMaps';
import { PressTable } from './PressTable';
import { Surface } from './Surface';
import { BenchWeeding } from '../weeding/BenchWeeding';

const SETTINGS: [keyof Schemas['CutSettings'], string][] = [
  ['blade', 'blade'],
  ['depth', 'depth'],
  ['pressure', 'pressure'],
  ['speed', 'speed'],
  ['passes', 'passes'],
];

const MIRRORED = { all: 'MIRRORED', some: 'PARTLY MIRRORED' };

interface Props {
  id: string;
  job: Schemas['Job'];
  name: string;
  /** Has the run pressed by another press. */
  onPress: (pressId: string) => void;
}

/** The card that goes to the bench: one page with what to load, how to cut it, and where to place it. */
export function BenchView({ id, job, name, onPress }: Props) {
  const { units } = useUnits();
  const { data, error } = useQuery({
    queryKey: ['bench', id],
    queryFn: () => answer(api.GET('/api/runs/{id}/bench', { params: { path: { id } } })),
  });
  if (!data)
    return (
      <p className="page soft" role="status">
        {error ? error.message : 'Writing the card …'}
      </p>
    );
  if (data.lacks.length > 0 || data.films.length === 0) return <Lacks id={id} lacks={data.lacks} />;
  return (
    <>
      <div className="bench-deeds no-print">
        {data.press && data.press.choices.length > 0 && (
          <Choice
            label="Press"
            value={data.press.pressId}
            of={[...(data.press.pressId ? [] : [['', 'choose one'] as const]), ...data.press.choices.map((c) => [c.id, c.name] as const)]}
            onChange={onPress}
          />
        )}
        <button type="button" className="btn btn-sm btn-main" onClick={() => window.print()}>
          Print the card
        </button>
      </div>
      <article className="bench-card" aria-label="Bench card">
        <header>
          <h2>{name}</h2>
          <span>
            {job.name} · {job.customer} · {due(job.due)}
          </span>
          <span>
            {data.blank} · {data.motif}
          </span>
        </header>
        <div className="bench-body">
          <div>
            <h3>Load</h3>
            {data.films.map((f) => (
              <p key={f.name} className="bench-film">
                <i className="swatch" style={{ background: f.colour }} />
                {f.name}, in {data.cutter}
              </p>
            ))}
            <ul className="bench-loads">
              {data.loads.map((l) => (
                <li key={l.number}>
                  Load {l.number}: {data.films.length > 1 && `${l.film}, `}
                  {l.pieces} {l.pieces === 1 ? 'piece' : 'pieces'},{' '}
                  {l.mirroring === 'none' ? 'not mirrored' : <strong className="mirrored">{MIRRORED[l.mirroring]}</strong>}
                  {l.releasedAt && `, released ${l.releasedAt}`} · <code>{l.fileName}</code>
                </li>
              ))}
            </ul>
            <h3>Cut</h3>
            {data.films.map((f) => (
              <p key={f.name}>
                {data.films.length > 1 && <b>{f.name}: </b>}
                {SETTINGS.filter(([k]) => f.settings[k])
                  .map(([k, label]) => `${label} ${f.settings[k]}`)
                  .join(' · ') || 'no settings noted for this film.'}
              </p>
            ))}
            {data.loads.length > 0 && <BenchWeeding loads={data.loads} />}
            {data.layers.length > 0 && <h3>Lay over one another</h3>}
            {data.layers.map((l, i) => (
              <p key={i}>
                <Words of={l} />
              </p>
            ))}
            {data.films.some((f) => f.note) && <h3>Know</h3>}
            {data.films
              .filter((f) => f.note)
              .map((f) => (
                <p key={f.name}>
                  {data.films.length > 1 && <b>{f.name}: </b>}
                  {f.note}
                </p>
              ))}
          </div>
        </div>
        {data.maps.length > 0 && <JoiningMaps maps={data.maps} />}
        {data.press && <PressTable press={data.press} />}
        {data.surfaces.map((s) => (
          <Surface
            key={s.size}
            of={s}
            round={data.isRound}
            goods={data.goods}
            pressed={data.press?.artwork.filter((a) => a.size === s.size) ?? []}
          />
        ))}
        {data.held.length > 0 && (
          <div className="bench-held">
            <h3>Held back</h3>
            {data.held.map((h) => (
              <p key={h.why.piece}>
                {h.why.message.parts[0]?.text !== h.name && (
                  <>
                    <b>{h.name}</b>:{' '}
                  </>
                )}
                <Words of={h.why.message} />
              </p>
            ))}
          </div>
        )}
        <footer>All lengths in {units.unit === 'mm' ? 'millimetres' : 'inches'}, of the finished piece.</footer>
      </article>
    </>
  );
}
