import { useQuery } from '@tanstack/react-query';
import { answer, api } from '../api/client';
import { minutesSaid } from '../making/minutes';

interface Props {
  id: string;
  /** The lines of the care note. */
  care: readonly string[];
}

/** The steps of a run on its card, in order, with what they take and how long things rest after them; and the note that is packed. */
export function CardSteps({ id, care }: Props) {
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
      {care.length > 0 && (
        <p>
          <b>Care note, packed with it:</b> {care.join(' ')}
        </p>
      )}
    </section>
  );
}
