import type { Schemas } from '../api/client';

export type State = Schemas['PastState'];

/** States that came soon after one another, as while somebody typed: the last of them, and what stood before the first. */
export interface Sitting {
  last: State;
  /** The revision that stood before; 0 where there was none. */
  before: number;
  from: string;
  /** Its states, the newest first. */
  states: readonly State[];
  /** What was done, each kind of deed once. */
  words: readonly string[];
}

const PAUSE_MS = 15 * 60_000;

/** One state of a sitting, by itself. */
export function aloneIn(sitting: Sitting, state: State): Sitting {
  const next = sitting.states[sitting.states.indexOf(state) + 1];
  return { last: state, before: next?.revision ?? sitting.before, from: state.at, states: [state], words: [state.words] };
}

/** The states of a document, the newest first, as sittings. */
export function sittingsOf(states: readonly State[]): Sitting[] {
  const all: Sitting[] = [];
  states.forEach((state, i) => {
    const before = states[i + 1]?.revision ?? 0;
    const open = all[all.length - 1];
    const [later, at] = [states[i - 1], Date.parse(state.at)];
    // What took it away or brought it into being stands by itself.
    const isAlone = state.isGone || before === 0;
    const goesOn = open && later && !isAlone && !later.isGone && Math.abs(Date.parse(later.at) - at) < PAUSE_MS;
    if (goesOn) {
      open.before = before;
      open.from = state.at;
      open.states = [...open.states, state];
      if (!open.words.includes(state.words)) open.words = [state.words, ...open.words];
    } else all.push({ last: state, before, from: state.at, states: [state], words: [state.words] });
  });
  return all;
}
