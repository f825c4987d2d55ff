import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { answer, api } from '../api/client';
import { Tabs } from '../frame/Tabs';
import { Lacks } from '../readiness/Lacks';
import { PlanDesk } from './PlanDesk';
import { ReleasedList } from './ReleasedList';

/** Cutting, narrowed to one run: a plan for each of its films. */
export function RunPlans({ id }: { id: string }) {
  const [chosen, choose] = useState<string>();
  const plans = useQuery({
    queryKey: ['run-plans', id],
    queryFn: () => answer(api.POST('/api/runs/{id}/plans', { params: { path: { id } } })),
  });
  const released = useQuery({
    queryKey: ['cutting', 'of', id],
    queryFn: ({ signal }) => answer(api.GET('/api/cutting', { params: { query: { runs: id } }, signal })),
  });
  if (!plans.data)
    return (
      <p className="page soft" role="status">
        {plans.error ? plans.error.message : 'Laying the pieces out …'}
      </p>
    );
  const here = plans.data.plans.find((p) => p.id === chosen) ?? plans.data.plans[0];
  if (plans.data.lacks.length > 0 || !here) return <Lacks id={id} lacks={plans.data.lacks} />;
  return (
    <div className="run-plans">
      {plans.data.plans.length > 1 ? (
        <Tabs label="Films of the run" tabs={plans.data.plans.map((p) => [p.id, p.film] as const)} here={here.id} onHere={choose}>
          <PlanDesk id={here.id} />
        </Tabs>
      ) : (
        <PlanDesk id={here.id} />
      )}
      {released.data && <ReleasedList released={released.data.released} of={released.data.allReleased} />}
    </div>
  );
}
