import { createContext, useContext, useMemo, useState, type ReactNode } from 'react';

/** What happened to what was typed last, and a sentence to tell. */
interface SavingState {
  state: 'idle' | 'saving' | 'saved' | 'failed';
  at?: Date;
  words?: string;
  undo?: () => void;
}

interface Saving {
  /** Something of this owner is not kept yet; until all of it is done, nothing is called saved. */
  began: (owner: object) => void;
  done: (owner: object) => void;
  /** What of this owner is not kept never will be. */
  forget: (owner: object) => void;
  failed: (why: string) => void;
  /** Tells something; with `undo`, offers to take it back. */
  say: (words: string, undo?: () => void) => void;
}

const StateContext = createContext<SavingState>({ state: 'idle' });
const SavingContext = createContext<Saving>({ began() {}, done() {}, forget() {}, failed() {}, say() {} });

export function SavingProvider({ children }: { children: ReactNode }) {
  const [state, setState] = useState<SavingState>({ state: 'idle' });
  const [open] = useState(() => new Set<object>());
  const saving = useMemo<Saving>(
    () => ({
      began: (owner) => {
        open.add(owner);
        setState((s) => ({ ...s, state: 'saving', words: undefined, undo: undefined }));
      },
      done: (owner) => {
        open.delete(owner);
        if (open.size === 0) setState({ state: 'saved', at: new Date() });
      },
      forget: (owner) => {
        open.delete(owner);
        if (open.size === 0) setState((s) => (s.state === 'failed' ? { state: 'idle' } : s));
      },
      failed: (words) => setState((s) => ({ ...s, state: 'failed', words, undo: undefined })),
      say: (words, undo) => setState((s) => ({ ...s, words, undo })),
    }),
    [open],
  );
  return (
    <SavingContext.Provider value={saving}>
      <StateContext.Provider value={state}>{children}</StateContext.Provider>
    </SavingContext.Provider>
  );
}

export const useSaving = () => useContext(SavingContext);

/** "Saved 14:06" in the header; a sentence when there is one to tell. */
export function SavedNote() {
  const { state, at, words, undo } = useContext(StateContext);
  const time = at?.toLocaleTimeString([], { hour: '2-digit', minute: '2-digit', hour12: false });
  return (
    <span className={`saved-note ${state}`} role="status">
      {words ?? (state === 'saving' ? 'Saving …' : state === 'failed' ? 'Not saved yet, trying again' : time ? `Saved ${time}` : '')}
      {undo && (
        <button type="button" className="quiet" onClick={undo}>
          Undo
        </button>
      )}
    </span>
  );
}
