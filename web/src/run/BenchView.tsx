import { useQuery } from '@tanstack/react-query';
import { answer, api, type Schemas } from '../api/client';
import { Board } from '../board/Board';
import { Ink } from '../board/Ink';
import { due } from '../jobs/due';
import { figure } from '../units/units';
import { useUnits } from '../units/UnitsContext';
import { Words } from '../units/Words';
import { Lacks } from '../readiness/Lacks';
import { BenchMaps } from './BenchMaps';
import { StateMark } from './state';
import { BenchWeeding } from '../weeding/BenchWeeding';

const SETTINGS: [keyof Schemas['CutSettings'], string][] = [
  ['blade', 'blade'],
  ['depth', 'depth'],
  ['pressure', 'pressure'],
  ['speed', 'speed'],
  ['passes', 'passes'],
];

const MIRRORED = { all: 'MIRRORED', some: 'PARTLY MIRRORED' };

/** The card that goes to the bench: one page with what to load, how to cut it, and where to place it. */
export function BenchView({ id, job, name }: { id: string; job: Schemas['Job']; name: string }) {
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
        {data.maps.length > 0 && <BenchMaps maps={data.maps} />}
        {data.surfaces.map((s) => (
          <Surface key={s.size} of={s} round={data.isRound} goods={data.goods} />
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

/** What pieces are measured in from: on a wall its rim or base, on what is flat an edge. */
function edges(round: boolean, ofWall: string, faces: readonly Pick<Schemas['FaceView'], 'isWall'>[]) {
  if (!round) return 'edge';
  return faces.some((f) => !f.isWall) ? `${ofWall}, edge` : ofWall;
}

/** What is made on one size of the blank: where its sides are placed, and its pieces. */
function Surface({ of, round, goods }: { of: Schemas['BenchSurface']; round: boolean; goods: Schemas['GoodsView'] }) {
  const { units } = useUnits();
  const sided = of.places.length > 1;
  return (
    <section className="bench-surface" aria-label={of.size ? `Size ${of.size}` : 'Pieces'}>
      <div className="bench-body">
        <div>
          <h3>{of.size ? `Place, size ${of.size}` : 'Place'}</h3>
          {of.places.map((p, i) => (
            <p key={i}>
              {p.zone && <b>{p.zone}: </b>}
              <Words of={p.place} />
            </p>
          ))}
        </div>
        <div className="bench-faces">
          {of.first &&
            of.faces.map((face) => (
              <Board
                key={face.key}
                label={`${of.first?.name}${of.faces.length > 1 ? `, ${face.name},` : ''} laid flat`}
                drawing={face.flat}
                goods={goods}
                dimensions={false}
                pad={{ top: 8, right: 8, bottom: 20, left: 8 }}
              >
                {(scale) => (
                  <g transform={scale.transform}>
                    <Ink inks={of.first?.inks ?? []} />
                  </g>
                )}
              </Board>
            ))}
        </div>
      </div>
      <table className="bench-pieces">
        <thead>
          <tr>
            <th>Name</th>
            {sided && <th>Side</th>}
            <th>Load</th>
            <th className="end">Width</th>
            <th className="end">Height</th>
            <th className="end">Letters</th>
            <th className="end">Top below {edges(round, 'rim', of.faces)}</th>
            <th className="end">Foot above {edges(round, 'base', of.faces)}</th>
            <th>State</th>
          </tr>
        </thead>
        <tbody>
          {of.pieces.map((p, i) => (
            <tr key={i} className={p.loads.length === 0 ? 'held' : ''}>
              <th scope="row">
                {p.name}
                {p.copies > 1 && <span className="hint"> × {p.copies}</span>}
              </th>
              {sided && <td>{p.zone}</td>}
              <td>{p.loads.join(', ') || 'held back'}</td>
              {[p.width, p.height, p.letterHeight || '–', p.belowRim, p.aboveBase].map((mm, j) => (
                <td key={j} className="end">
                  {typeof mm === 'number' ? figure(mm, units) : (mm ?? 'not known')}
                </td>
              ))}
              <td>
                <StateMark piece={p} />
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  );
}
