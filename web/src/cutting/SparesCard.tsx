import { useQuery } from '@tanstack/react-query';
import { Form } from 'react-bootstrap';
import { answer, api, type Schemas } from '../api/client';
import { sparesOf, withSpares, type Plan } from './edits';

interface Props {
  view: Schemas['PlanView'];
  plan: Plan;
  edit: (change: (plan: Plan) => Plan) => void;
}

/** More than was ordered, to fill the loads there are: how many more of each would fit by itself. */
export function SparesCard({ view, plan, edit }: Props) {
  const { data, error } = useQuery({
    queryKey: ['spares', view.id, view.key],
    queryFn: ({ signal }) => answer(api.GET('/api/plans/{id}/spares', { params: { path: { id: view.id } }, signal })),
  });
  if (!data) return <p className="soft small">{error ? error.message : 'Looking what else would fit …'}</p>;
  const some = data.filter((s) => s.more > 0 || sparesOf(plan, s.run, s.piece) > 0);
  if (some.length === 0) return <p className="soft small">Nothing more fits on these loads.</p>;
  return (
    <table className="figures plan-spares">
      <thead>
        <tr>
          <th scope="col">Spare</th>
          <th scope="col" className="end">
            more fit
          </th>
          <th scope="col">add</th>
        </tr>
      </thead>
      <tbody>
        {some.map((s) => (
          <tr key={`${s.run} ${s.piece}`}>
            <th scope="row">{s.name}</th>
            <td className="end">{s.more}</td>
            <td>
              <Form.Control
                size="sm"
                type="number"
                className="narrow"
                min={0}
                max={1000}
                aria-label={`Spares of ${s.name}`}
                value={sparesOf(plan, s.run, s.piece)}
                onChange={(e) => {
                  const count = Math.floor(Number(e.target.value));
                  if (Number.isFinite(count) && count >= 0 && count <= 1000) edit((p) => withSpares(p, s.run, s.piece, count));
                }}
              />
              {s.more > 0 && (
                <button
                  type="button"
                  className="quiet"
                  aria-label={`Fill in ${s.more} more of ${s.name}`}
                  onClick={() => edit((p) => withSpares(p, s.run, s.piece, sparesOf(p, s.run, s.piece) + s.more))}
                >
                  fill in
                </button>
              )}
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}
