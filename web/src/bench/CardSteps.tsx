import { useQuery } from '@tanstack/react-query';
import { answer, api } from '../api/client';
import { minutesSaid } from '../making/minutes';

/** The steps of a run on its card, in order, with what they take and how long things rest after them. */
export function CardSteps({ id }: { id: string }) {
  const { data } = useQuery({
    queryKey: ['making', id],
    queryFn: () => answer(api.GET('/api/runs/{id}/making', { params: { path: { id } } })),
  });
  if (!data || data.steps.length === 0) return null;
  return (
    <section className="card-row" aria-label="Steps on the card">
      <h3>Steps</h3>
      <table className="bench-pieces card-steps">
        <tbody>
          {data.steps.map((s) => (
            <tr key={s.step.id} className={s.isOpen ? '' : 'soft'}>
              <td>
                <i className={s.isOpen ? 'card-box' : 'card-box ticked'} aria-hidden="true" />
              </td>
              <th scope="row">
                {s.called[0]?.toUpperCase()}
                {s.called.slice(1)}
              </th>
              <td className="end">{s.hands > 0 ? minutesSaid(s.hands) : '–'}</td>
              <td>{s.wait > 0 ? `then it rests ${minutesSaid(s.wait)}` : ''}</td>
              <td>{s.isOpen ? '' : `done${s.doneOn ? ` ${s.doneOn}` : ''}`}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  );
}
