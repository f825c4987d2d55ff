import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { answer, api, Problem, type Schemas } from '../../api/client';

type Wanted = Omit<Schemas['CutWanted'], 'load'>;

/** How often a cutter is looked at while it cuts, and otherwise; milliseconds. */
const [WHILE_IT_CUTS, ELSE] = [500, 3000];

/** The cutters that loads can be sent to. */
export const useMachines = () =>
  useQuery({ queryKey: ['machines'], queryFn: ({ signal }) => answer(api.GET('/api/machines', { signal })), staleTime: Infinity });

/** A cutter, looked at as it works; what it is told, and what it answered to that. */
export function useMachine(id: string) {
  const cache = useQueryClient();
  const queryKey = ['machine', id];
  const { data: view, error } = useQuery({
    queryKey,
    queryFn: ({ signal }) => answer(api.GET('/api/machines/{id}', { params: { path: { id } }, signal })),
    enabled: id !== '',
    refetchInterval: (q) => (q.state.data?.answer?.state === 'cutting' ? WHILE_IT_CUTS : ELSE),
  });
  const [problem, setProblem] = useState<Problem>();
  const [isAsking, setAsking] = useState(false);
  const ask = (call: Promise<Schemas['MachineView']>) => {
    setAsking(true);
    setProblem(undefined);
    return call
      .then(
        (v) => cache.setQueryData(queryKey, v),
        (e: unknown) => setProblem(e instanceof Problem ? e : new Problem(0, '', String(e))),
      )
      .then(() => cache.invalidateQueries({ queryKey }))
      .finally(() => setAsking(false));
  };
  const send = (load: string, wanted: Wanted) =>
    ask(answer(api.POST('/api/machines/{id}/cuts', { params: { path: { id } }, body: { load, ...wanted } })));
  const tell = (body: Schemas['OrderWanted']) => ask(answer(api.POST('/api/machines/{id}/orders', { params: { path: { id } }, body })));
  return { view, error, problem, isAsking, send, tell };
}

export type Machine = ReturnType<typeof useMachine>;

/** What the cutter cuts of a load, in its order. */
export const useSheet = (machine: string, job?: Schemas['JobInCutter']) =>
  useQuery({
    queryKey: ['cut-sheet', machine, job?.id, job?.lines],
    queryFn: ({ signal }) =>
      answer(api.GET('/api/machines/{id}/sheets/{jobId}', { params: { path: { id: machine, jobId: job?.id ?? '' } }, signal })),
    enabled: job !== undefined,
    staleTime: Infinity,
    retry: false,
  }).data;

/** The jobs of a released load: the one that is cut or waits, the last that was done, the last test cut. */
export function jobsOf(loadId: string, view?: Schemas['MachineView']) {
  const own = view?.answer?.jobs.filter((j) => j.id.startsWith(`${loadId}.`)) ?? [];
  const isOn = (j: Schemas['JobInCutter']) => j.state === 'first' || j.state === 'queued';
  return {
    now: own.find((j) => isOn(j)),
    done: own.find((j) => !j.isTest && j.state === 'done'),
    test: own.find((j) => j.isTest && j.state === 'done'),
    left: view?.unfinished.find((j) => j.id.startsWith(`${loadId}.`)),
  };
}
