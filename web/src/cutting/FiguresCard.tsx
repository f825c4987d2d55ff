import type { Schemas } from '../api/client';
import { length } from '../units/units';
import { useUnits } from '../units/UnitsContext';
import { Words } from '../units/Words';
import type { Search } from './useSearch';

/** Seconds of the search that begins by itself, and of one that is asked for. */
export const AT_FIRST = 15;
const MORE = 60;

const percent = (share: number) => `${(100 * share).toFixed(1)} %`;

function besideRows(f: NonNullable<Schemas['PlanView']['figures']>): string {
  if (f.isInRows) return ' in plain rows';
  return f.rowsLeave > 0 ? `, plain rows leave ${f.rowsLeave} out` : `, plain rows ${percent(f.rowsDensity)} on ${f.rowsLoads}`;
}

interface Props {
  view: Schemas['PlanView'];
  load?: Schemas['PlanLoadView'];
  search: Search;
}

/** What the plan comes to, beside plain rows, and the search for a better one. */
export function FiguresCard({ view, load, search }: Props) {
  const { units } = useUnits();
  const { figures: f, loads } = view;
  if (!f) return null;
  const gained = search.progress && search.progress.density - search.progress.before;
  return (
    <section className="card plan-figures" aria-label="What it comes to">
      <table className="figures">
        <tbody>
          <tr>
            <th scope="row">Loads</th>
            <td>
              <b>{loads.length}</b>
              {f.leastLoads === loads.length ? ', the fewest there can be' : `, at least ${f.leastLoads}`}
            </td>
          </tr>
          <tr>
            <th scope="row">Film used well</th>
            <td>
              <b>{percent(f.density)}</b>
              {besideRows(f)}
            </td>
          </tr>
          {load && load.cutOff > 0 && (
            <tr>
              <th scope="row">Cut off the roll</th>
              <td>
                <b>{length(load.cutOff, units)}</b>
              </td>
            </tr>
          )}
        </tbody>
      </table>
      {view.under && (
        <p className="soft">
          <Words of={view.under.said} />
        </p>
      )}
      {view.under?.thin && (
        <p className="finding look">
          <Words of={view.under.thin} />
        </p>
      )}
      {view.toBuy && (
        <p className="finding look">
          <Words of={view.toBuy} />
        </p>
      )}
      {f.isInRows && view.plan.way === 'tight' && (
        <p className="soft small">
          In rows, since a weed box goes round what shares it.
          {loads.some((l) => l.pieces.some((p) => p.marks.length > 0)) &&
            ' Marks lie within that box and go with its waste: a box round each piece leaves them.'}
        </p>
      )}
      {!f.isInRows && (
        <div className="search-row">
          {search.isOn ? (
            <>
              <progress max={search.progress?.of ?? 1} value={search.progress?.done ?? 0} aria-label="Seconds searched" />
              <span role="status">Laying tighter{gained !== undefined && gained > 0.0005 ? `: ${percent(gained)} gained` : ' …'}</span>
              <button type="button" className="btn btn-sm btn-line" onClick={search.stop}>
                Stop
              </button>
            </>
          ) : (
            <>
              <button type="button" className="btn btn-sm btn-line" onClick={() => search.begin(MORE)}>
                Lay tighter
              </button>
              <button type="button" className="quiet" onClick={() => void search.afresh()}>
                Lay afresh
              </button>
              {gained !== undefined && gained > 0.0005 && <span className="soft small">{percent(gained)} gained</span>}
            </>
          )}
        </div>
      )}
      {search.problem && <p className="echo problem">{search.problem}</p>}
    </section>
  );
}
