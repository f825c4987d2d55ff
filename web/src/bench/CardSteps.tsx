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
      <ol className="card-steps">
        {data.steps.map((s) => (
          <li key={s.step.id} className={s.isOpen ? '' : 'soft'}>
            <i className={s.isOpen ? 'card-box' : 'card-box ticked'} aria-hidden="true" /> <b>{s.called}</b>
            {s.hands > 0 && ` ${minutesSaid(s.hands)}`}
            {s.wait > 0 && `, rests ${minutesSaid(s.wait)}`}
            {!s.isOpen && ` (done${s.doneOn ? ` ${s.doneOn}` : ''})`}
          </li>
        ))}
      </ol>
    </section>
  );
}
