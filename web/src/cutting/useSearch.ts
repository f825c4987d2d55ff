import { useQueryClient } from '@tanstack/react-query';
import { useEffect, useRef, useState } from 'react';
import { answer, api, type Schemas } from '../api/client';

type Progress = Schemas['LayProgress'];

/** A search for a better layout: begun, followed as it finds one, stopped on request. What it found is shown as it comes. */
export function useSearch(planId: string) {
  const cache = useQueryClient();
  const [progress, setProgress] = useState<Progress>();
  const [problem, setProblem] = useState('');
  const [isAsked, setAsked] = useState(false);
  const source = useRef<EventSource>(undefined);
  const found = useRef(0);
  useEffect(
    () => () => {
      source.current?.close();
      source.current = undefined;
      setProgress(undefined);
    },
    [planId],
  );
  const refresh = () =>
    Promise.all([['plan', planId], ['load-files'], ['spares', planId]].map((queryKey) => cache.invalidateQueries({ queryKey })));
  const hear = (p: Progress) => {
    const isOn = p.state === 'running' || p.state === 'waiting';
    if (isOn) {
      setProgress(p);
      if (p.better !== found.current) void refresh();
      found.current = p.better;
      return;
    }
    source.current?.close();
    source.current = undefined;
    // It has not ended before what it found last is shown.
    void refresh().then(() => {
      setProgress(p);
      setProblem(p.problem);
    });
  };
  const begin = (seconds: number) => {
    found.current = 0;
    setProblem('');
    setAsked(true);
    answer(api.POST('/api/plans/{id}/search', { params: { path: { id: planId } }, body: { seconds } }))
      .then(
        (p) => {
          setProgress(p);
          source.current?.close();
          source.current = new EventSource(`/api/plans/${planId}/search/${p.workId}`);
          source.current.addEventListener('progress', (e) => hear(JSON.parse((e as MessageEvent<string>).data) as Progress));
        },
        (e: unknown) => setProblem(e instanceof Error ? e.message : String(e)),
      )
      .finally(() => setAsked(false));
  };
  const stop = () => {
    if (progress)
      void answer(api.DELETE('/api/plans/{id}/search/{workId}', { params: { path: { id: planId, workId: progress.workId } } })).then(
        refresh,
      );
  };
  const afresh = async () => {
    await answer(api.POST('/api/plans/{id}/afresh', { params: { path: { id: planId } } }));
    await refresh();
  };
  const isOn = isAsked || progress?.state === 'running' || progress?.state === 'waiting';
  return { progress, isOn, problem, begin, stop, afresh };
}

export type Search = ReturnType<typeof useSearch>;
