import type { Schemas } from '../api/client';
import { STAGES } from '../making/StageBar';
import { Words } from '../units/Words';

/** What an order says otherwise than when it was taken, before it is taken in. */
export function Corrections({ view }: { view: Schemas['OrderView'] }) {
  return (
    <section className="card corrections" aria-label="Changed since it was taken">
      <h2>
        {view.state === 'corrected' ? 'Changed since it was taken' : 'Left when it was taken'}
        <span className="look small">▲ nothing of it is in the job yet</span>
      </h2>
      {view.heads.map((h, i) => (
        <p key={i}>
          <Words of={h} />
        </p>
      ))}
      {view.corrections.length > 0 && (
        <table>
          <thead>
            <tr>
              <th scope="col">Was</th>
              <th scope="col">Is now</th>
              <th scope="col">How far it is</th>
            </tr>
          </thead>
          <tbody>
            {view.corrections.map((c, i) => (
              <tr key={i}>
                <td>{c.was ? <Words of={c.was} /> : <span className="soft">not ordered</span>}</td>
                <td>
                  {c.is ? <Words of={c.is} /> : <b className="look">▲ not ordered any more</b>}
                  {c.problem && (
                    <p className="finding">
                      <Words of={c.problem} />
                    </p>
                  )}
                </td>
                <td className={c.stage === 'taken' || c.stage === 'proofed' ? 'soft' : 'look'}>
                  {c.was && `${c.stage === 'taken' || c.stage === 'proofed' ? '' : '▲ '}${STAGES[c.stage]}`}
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
      {view.heads.length + view.corrections.length === 0 && (
        <p className="soft">Only how it is written differs: nothing that is made is another.</p>
      )}
    </section>
  );
}
