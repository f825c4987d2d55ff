import type { Schemas } from '../api/client';
import { dayWords } from './times';

export type Row = Schemas['JobRow'];

/** Jobs that are due together. */
export interface Group {
  key: string;
  name: string;
  jobs: Row[];
  /** Whether they are near: what is late, and what is due within a week. */
  near: boolean;
}

const NEAR_DAYS = 7;

/** Whether all that a job makes is packed. */
export const isPacked = (job: Row) => job.stages.length > 0 && job.stage === 'packed';

/** Jobs by the day they are due: what is late first, each day of the next seven, what is later, what has no day, what is packed. */
export function groupsOf(jobs: readonly Row[], today: string): Group[] {
  const groups = new Map<string, Group>();
  const add = (key: string, name: string, near: boolean, job: Row) => {
    const group = groups.get(key) ?? { key, name, near, jobs: [] };
    group.jobs.push(job);
    groups.set(key, group);
  };
  for (const job of jobs) {
    const days = job.due ? daysFrom(today, job.due) : undefined;
    if (isPacked(job)) add('packed', 'Packed', false, job);
    else if (days === undefined || Number.isNaN(days)) add('none', 'Without a day', false, job);
    else if (days < 0) add('late', 'Late', true, job);
    else if (days < NEAR_DAYS) add(`${job.due}`, nearWords(days, job.due), true, job);
    else add('later', 'Later', false, job);
  }
  const order = ['late', ...[...groups.keys()].filter((k) => /^\d/.test(k)).sort(), 'later', 'none', 'packed'];
  return order.flatMap((k) => groups.get(k) ?? []);
}

const nearWords = (days: number, due: string) => (days === 0 ? 'Today' : days === 1 ? `Tomorrow, ${dayWords(due)}` : dayWords(due));

/** What is to be said of the order that a job was taken from. */
export const orderSaid = (state: Row['order']) =>
  state === 'corrected' ? 'its order was corrected' : state === 'takenInPart' ? 'lines of its order are left' : '';

/** How many days one day lies after another. */
export const daysFrom = (from: string, to: string) =>
  Math.round((Date.parse(`${to}T12:00:00`) - Date.parse(`${from}T12:00:00`)) / 86_400_000);

/** What is next of a job: the step of the first run that has any left, or what its set-up waits for. */
export function nextOf(job: Row): { words: string; to: string } | undefined {
  if (job.runs.length === 0) return { words: 'Add a run', to: `/jobs/${job.id}` };
  const lacking = job.runs.find((r) => !r.isComplete && !r.isPending);
  if (lacking) return { words: `Complete ${lacking.name}`, to: `/runs/${lacking.id}/set-up` };
  const run = job.runs.find((r) => r.next !== '');
  return run && { words: `${run.next[0]?.toUpperCase() ?? ''}${run.next.slice(1)}, ${run.name}`, to: `/runs/${run.id}/bench` };
}
