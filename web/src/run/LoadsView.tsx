import { Fragment } from 'react';
import { useQuery } from '@tanstack/react-query';
import { answer, api, type Schemas } from '../api/client';
import { figure, length } from '../units/units';
import { useUnits } from '../units/UnitsContext';
import { Words } from '../units/Words';
import { Lacks } from './Lacks';
import { LoadSheet } from './LoadSheet';
import { LoadWeeding } from './weeding/LoadWeeding';

/** What goes in the cutter, a sheet per load, each with its file. */
export function LoadsView({ id }: { id: string }) {
  const { units } = useUnits();
  const { data, error } = useQuery({
    queryKey: ['loads', id],
    queryFn: ({ signal }) => answer(api.GET('/api/runs/{id}/loads', { params: { path: { id } }, signal })),
  });
  if (!data)
    return (
      <p className="page soft" role="status">
        {error ? error.message : 'Setting the names and laying them out …'}
      </p>
    );
  if (data.lacks.length > 0) return <Lacks id={id} lacks={data.lacks} />;
  return (
    <div className="loads">
      <section className="card loads-about" aria-label="How they are laid">
        <table className="figures">
          <tbody>
            <tr>
              <th scope="row">Cutter</th>
              <td>{data.cutter}</td>
            </tr>
            <tr>
              <th scope="row">Scissors room</th>
              <td>{length(data.scissorsRoom, units)}</td>
            </tr>
            {films(data.loads).map((l) => (
              <Fragment key={l.film}>
                <tr>
                  <th scope="row">Film</th>
                  <td>
                    <i className="swatch" style={{ background: l.colour }} />
                    {l.film}
                  </td>
                </tr>
                <tr>
                  <th scope="row">Reaches of a sheet</th>
                  <td>
                    {figure(l.reachWidth, units)} × {length(l.reachHeight, units)}
                  </td>
                </tr>
                <tr>
                  <th scope="row">Cut</th>
                  <td>{l.mirrored ? <strong className="mirrored">MIRRORED, from the back</strong> : 'as it reads'}</td>
                </tr>
              </Fragment>
            ))}
          </tbody>
        </table>
        {data.held.length > 0 && <Held held={data.held} />}
      </section>
      <div className="load-cards">
        {data.loads.map((l) => (
          <section key={l.number} className="card load" aria-label={`Load ${l.number} of ${data.loads.length}`}>
            <h2>
              Load {l.number} of {data.loads.length}
              <span className="hint">
                {films(data.loads).length > 1 && `${l.film}: `}
                {l.pieces.length} {l.pieces.length === 1 ? 'piece' : 'pieces'}, {figure(l.used.maxX - l.used.minX, units)} ×{' '}
                {length(l.used.maxY - l.used.minY, units)}
              </span>
            </h2>
            <LoadSheet load={l} />
            <LoadWeeding id={id} load={l} />
            <p className="file">
              <a className="btn btn-sm btn-main" href={`/api/runs/${id}/loads/${l.number}/file`} download={l.fileName}>
                Cut file, SVG
              </a>
              <span className="file-name">{l.fileName}</span>
              <span className="soft small">
                Read back: {figure(l.fileWidth, units)} × {length(l.fileHeight, units)}, {l.outlines} closed outlines
                {l.weeds.boxes.length > 0 && ', weed box and breaks'}
              </span>
            </p>
          </section>
        ))}
        {data.loads.length === 0 && <p className="empty">No piece may be cut as it stands. See why at the left.</p>}
      </div>
    </div>
  );
}

/** One load of each film. */
function films(loads: readonly Schemas['LoadView'][]): Schemas['LoadView'][] {
  return loads.filter((l, i) => loads.findIndex((o) => o.film === l.film) === i);
}

function Held({ held }: { held: readonly Schemas['HeldPiece'][] }) {
  return (
    <>
      <h2>
        Held back<span className="count over">{held.length}</span>
      </h2>
      {held.map((h) => (
        <p key={h.why.piece} className="finding stop">
          {h.why.message.parts[0]?.text !== h.name && (
            <>
              <b>{h.name}</b>:{' '}
            </>
          )}
          <Words of={h.why.message} />
        </p>
      ))}
    </>
  );
}
