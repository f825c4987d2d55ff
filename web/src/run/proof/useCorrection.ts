import { useCallback, useEffect, useRef, useState } from 'react';

/** So long a hand rests before what it typed is sent, in milliseconds. */
const PAUSE = 350;

/**
 * A correction as it is typed: sent when the hand rests, when the field is left, and when its page is. What was typed is shown whatever
 * the server says meanwhile.
 */
export function useCorrection(kept: string, onWords: (words: string) => void) {
  const [typed, setTyped] = useState<string>();
  const unsent = useRef<string>(undefined);
  const told = useRef(onWords);
  useEffect(() => {
    told.current = onWords;
  });
  const send = useCallback(() => {
    if (unsent.current !== undefined) told.current(unsent.current);
    unsent.current = undefined;
  }, []);
  useEffect(() => {
    if (typed === undefined) return;
    const timer = setTimeout(send, PAUSE);
    return () => clearTimeout(timer);
  }, [typed, send]);
  useEffect(() => send, [send]);
  return {
    open: typed !== undefined,
    typed: typed ?? kept,
    write: () => setTyped(kept),
    type: (words: string) => {
      unsent.current = words;
      setTyped(words);
    },
    send,
    done: () => {
      send();
      setTyped(undefined);
    },
  };
}
