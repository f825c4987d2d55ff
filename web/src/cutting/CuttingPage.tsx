import { useQuery } from '@tanstack/react-query';
import { useEffect, useState } from 'react';
import { useParams } from 'react-router';
import { answer, api } from '../api/client';
import { TitleRow, Waiting } from '../frame/TitleRow';
import { MachineLines } from './machine/MachineLines';
import { PlanDesk } from './PlanDesk';
import { ReleasedList } from './ReleasedList';
import { WaitingList } from './WaitingList';

/** What waits to be cut, of all jobs, by film; the plan of the film that is chosen; and what was released. */
export function CuttingPage() {
  const { filmId } = useParams();
  const { data, error } = useQuery({
    queryKey: ['cutting'],
    queryFn: ({ signal }) => answer(api.GET('/api/cutting', { signal })),
    // While names are still being set there is more to come.
    refetchInterval: (q) => (q.state.data?.waiting.some((w) => w.runs.some((r) => r.unset > 0)) ? 3000 : false),
  });
  const film = filmId ?? data?.waiting.find((w) => w.pieces > 0)?.filmId ?? data?.waiting[0]?.filmId;
  const plan = useFilmPlan(film);
  if (!data) return <Waiting error={error} />;
  return (
    <div className="page fill cutting">
      <TitleRow title="Cutting" about="What waits to be cut, of all jobs, and how it lies in the cutter" />
      <div className="cutting-layout">
        <nav className="cutting-list" aria-label="Films that wait">
          <MachineLines />
          <WaitingList waiting={data.waiting} here={film} />
          <ReleasedList released={data.released} of={data.allReleased} />
        </nav>
        {plan && plan === film ? (
          <PlanDesk id={plan} />
        ) : (
          <div className="board empty-board">
            <p className="empty">
              {film ? 'One moment …' : 'Nothing waits to be cut. Runs come here by themselves once their names are set.'}
            </p>
          </div>
        )}
      </div>
    </div>
  );
}

/** The plan of a film, begun when it is first looked at. */
function useFilmPlan(filmId?: string) {
  const [plan, setPlan] = useState<string>();
  useEffect(() => {
    let left = false;
    if (!filmId) return;
    void answer(api.POST('/api/cutting/{filmId}', { params: { path: { filmId } } })).then(
      (p) => !left && setPlan(p.id),
      () => undefined,
    );
    return () => {
      left = true;
    };
  }, [filmId]);
  return plan;
}
