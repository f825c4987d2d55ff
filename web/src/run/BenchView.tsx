import { useQuery } from '@tanstack/react-query';
import { answer, api, type Schemas } from '../api/client';
import { Board } from '../board/Board';
import { due } from '../jobs/due';
import { figure } from '../units/units';
import { useUnits } from '../units/UnitsContext';
import { Words } from '../units/Words';
import { Lacks } from './Lacks';
import { StateMark } from './state';

const SETTINGS: [keyof Schemas['CutSettings'], string][] = [['blade', 'blade'], ['depth', 'depth'], ['pressure', 'pressure'], ['speed', 'speed'], ['passes', 'passes']];

/** The card that goes to the bench: one page with what to load, how to cut it, and where to place it. */
export function BenchView({ id, job, name }: { id: string; job: Schemas['Job']; name: string }) {
  const { units } = useUnits();
  const { data, error } = useQuery({ queryKey: ['bench', id], queryFn: () => answer(api.GET('/api/runs/{id}/bench', { params: { path: { id } } })) });
  if (!data) return <p className="page soft" role="status">{error ? error.message : 'Writing the card …'}</p>;
  if (data.lacks.length > 0 || !data.film) return <Lacks id={id} lacks={data.lacks} />;
  const { first } = data;
  return (
    <>
      <div className="bench-deeds no-print"><button type="button" className="btn btn-sm btn-main" onClick={() => window.print()}>Print the card</button></div>
      <article className="bench-card" aria-label="Bench card">
        <header>
          <h2>{name}</h2>
          <span>{job.name} · {job.customer} · {due(job.due)}</span>
          <span>{data.blank} · {data.motif}</span>
        </header>
        <div className="bench-body">
          <div>
            <h3>Load</h3>
            <p className="bench-film"><i className="swatch" style={{ background: data.film.colour }} />{data.film.name}{data.mirrored ? <strong className="mirrored">MIRRORED</strong> : ', not mirrored'}, in {data.cutter}</p>
            <ul className="bench-loads">{data.loads.map((l) => <li key={l.number}>Load {l.number}: {l.pieces} {l.pieces === 1 ? 'piece' : 'pieces'} · <code>{l.fileName}</code></li>)}</ul>
            <h3>Cut</h3>
            <p>{SETTINGS.filter(([k]) => data.film?.settings[k]).map(([k, label]) => `${label} ${data.film?.settings[k]}`).join(' · ') || 'No settings noted for this film.'}</p>
            <h3>Place</h3>
            <p><Words of={data.place} /></p>
            {data.film.note && <p>{data.film.note}</p>}
          </div>
          {data.flat && first && (
            <Board label={`${first.name} laid flat`} drawing={data.flat} dimensions={false} pad={{ top: 8, right: 8, bottom: 8, left: 8 }}>
              {(scale) => <g transform={scale.transform}><path d={first.inkPath} fill={first.colour} className="ink" fillRule="evenodd" /></g>}
            </Board>
          )}
        </div>
        <table className="bench-pieces">
          <thead><tr><th>Name</th><th>Load</th><th className="end">Width</th><th className="end">Height</th><th className="end">Letters</th><th className="end">Top below {data.isRound ? 'rim' : 'edge'}</th><th className="end">Foot above {data.isRound ? 'base' : 'edge'}</th><th>State</th></tr></thead>
          <tbody>
            {data.pieces.map((p, i) => (
              <tr key={i} className={p.load === null ? 'held' : ''}>
                <th scope="row">{p.name}</th>
                <td>{p.load ?? 'held back'}</td>
                {[p.width, p.height, p.letterHeight, p.belowRim, p.aboveBase].map((mm, j) => <td key={j} className="end">{typeof mm === 'number' ? figure(mm, units) : 'not known'}</td>)}
                <td><StateMark piece={{ state: p.state, mayBeCut: p.load !== null }} /></td>
              </tr>
            ))}
          </tbody>
        </table>
        {data.held.length > 0 && <div className="bench-held"><h3>Held back</h3>{data.held.map((h) => <p key={h.pieceId}>{h.why.parts[0]?.text !== h.name && <><b>{h.name}</b>: </>}<Words of={h.why} /></p>)}</div>}
        <footer>All lengths in {units.unit === 'mm' ? 'millimetres' : 'inches'}, of the finished piece.</footer>
      </article>
    </>
  );
}
