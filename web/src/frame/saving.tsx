import { createContext, useContext, useMemo, useState, type ReactNode } from 'react';

/** What happened to what was typed last, and a sentence to tell. */
interface SavingState {
  state: 'idle' | 'saving' | 'saved' | 'failed';
  at?: Date;
  words?: string;
}

interface Saving {
  began: () => void;
  done: () => void;
  failed: (why: string) => void;
  say: (words: string) => void;
}

const StateContext = createContext<SavingState>({ state: 'idle' });
const SavingContext = createContext<Saving>({ began() {}, done() {}, failed() {}, say() {} });

export function SavingProvider({ children }: { children: ReactNode }) {
  const [state, setState] = useState<SavingState>({ state: 'idle' });
  const saving = useMemo<Saving>(() => ({
    began: () => setState((s) => ({ ...s, state: 'saving', words: undefined })),
    done: () => setState({ state: 'saved', at: new Date() }),
    failed: (words) => setState((s) => ({ ...s, state: 'failed', words })),
    say: (words) => setState((s) => ({ ...s, words })),
  }), []);
  return (
    <SavingContext.Provider value={saving}>
      <StateContext.Provider value={state}>{children}</StateContext.Provider>
    </SavingContext.Provider>
  );
}

export const useSaving = () => useContext(SavingContext);

/** "Saved 14:06" in the header; a sentence when there is one to tell. */
export function SavedNote() {
  const { state, at, words } = useContext(StateContext);
  const time = at?.toLocaleTimeString([], { hour: '2-digit', minute: '2-digit', hour12: false });
  return (
    <span className={`saved-note ${state}`} role="status">
      {words ?? (state === 'saving' ? 'Saving …' : state === 'failed' ? 'Not saved yet, trying again' : time ? `Saved ${time}` : '')}
    </span>
  );
}
