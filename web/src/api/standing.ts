import { useSyncExternalStore } from 'react';

/** The header by which server and page tell each other along which line the library goes: another once a copy was brought back. */
export const LINE = 'Cabida-Line';

/** How the library stands, as answers told last. */
export interface Standing {
  /** It is not open, and every question is answered by that. */
  held: boolean;
  /** A copy was brought back since this page was opened. */
  broughtBack: boolean;
}

const listeners = new Set<() => void>();
let standing: Standing = { held: false, broughtBack: false };
let line = '';

function set(next: Standing) {
  if (next.held === standing.held && next.broughtBack === standing.broughtBack) return;
  standing = next;
  for (const tell of listeners) tell();
}

/** The line that this page was opened on; empty before the first answer. */
export const lineOfPage = () => line;

/** Takes in what an answer tells of the library beside what was asked. */
export async function heard(response: Response) {
  const told = response.headers.get(LINE);
  if (told !== null && line === '') line = told;
  if (response.status === 503) {
    const problem = (await response
      .clone()
      .json()
      .catch(() => ({}))) as { held?: boolean };
    if (problem.held) set({ ...standing, held: true });
  } else if (told !== null) {
    set({ held: false, broughtBack: told !== line });
  }
}

/** Called where the library is open again. */
export const opened = () => set({ ...standing, held: false });

/** How the library stands. */
export const useStanding = () =>
  useSyncExternalStore(
    (tell) => {
      listeners.add(tell);
      return () => listeners.delete(tell);
    },
    () => standing,
  );
