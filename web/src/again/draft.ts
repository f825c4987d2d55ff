import { useEffect, useState } from 'react';
import type { Schemas } from '../api/client';

/** What is chosen and typed of a run that is taken up again. */
export interface RunDraft {
  isTaken: boolean;
  names: string;
  /** What is used as it was, by id. */
  asItWas: readonly string[];
}

/** What is chosen and typed of a job that is taken up again. */
export interface Draft {
  name: string;
  customer: string;
  due: string;
  runs: Readonly<Record<string, RunDraft>>;
}

/** What the page begins with: all runs or the one it was asked for, with no names but the line that names the columns. */
export function fresh(view: Schemas['AgainView'], only: string | null): Draft {
  return {
    name: view.name,
    customer: view.job.customer,
    due: '',
    runs: Object.fromEntries(
      view.runs.map((r) => [r.id, { isTaken: !only || r.id === only, names: r.heading ? `${r.heading}\n` : '', asItWas: [] }]),
    ),
  };
}

/** What is sent. */
export function sent(draft: Draft, view: Schemas['AgainView']): Schemas['JobTakenAgain'] {
  return {
    name: draft.name.trim(),
    customer: draft.customer,
    due: draft.due,
    runs: view.runs.flatMap((r) => {
      const d = draft.runs[r.id];
      return d?.isTaken ? [{ runId: r.id, names: d.names, asItWas: [...d.asItWas] }] : [];
    }),
  };
}

/** How many names were typed; a line that names the columns is none. */
export const namesIn = (run: Schemas['AgainRun'], draft: RunDraft) =>
  Math.max(0, draft.names.split('\n').filter((l) => l.trim()).length - (run.heading ? 1 : 0));

/** A draft that is still there when one comes back to the page from elsewhere. */
export function useDraft(key: string) {
  const [draft, setDraft] = useState<Draft | undefined>(() => read(key));
  useEffect(() => {
    if (draft) sessionStorage.setItem(key, JSON.stringify(draft));
  }, [key, draft]);
  return [draft, setDraft, () => sessionStorage.removeItem(key)] as const;
}

function read(key: string): Draft | undefined {
  try {
    return (JSON.parse(sessionStorage.getItem(key) ?? 'null') as Draft | null) ?? undefined;
  } catch {
    return undefined;
  }
}
