import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useCallback, useEffect, useRef, useState } from 'react';
import { useSaving } from '../frame/saving';
import { Problem } from './client';

interface Source<V, D> {
  /** Tells the document apart in the cache. */
  key: readonly string[];
  load: () => Promise<V>;
  save: (document: D, madeFrom: number) => Promise<V>;
  undo: () => Promise<V>;
  redo: () => Promise<V>;
  /** The editable document within what the server shows of it. */
  of: (view: V) => D;
  /** What else changes when it does. */
  touches?: readonly (readonly string[])[];
}

const PAUSE = 350;
const RETRY = 3000;

/**
 * A document that is saved as it is typed. What was typed stays on screen whatever the server answers: a save that
 * fails is tried again, one that was overtaken in another window is told and waits for a choice.
 */
export function useDocument<V extends { revision: number }, D>(source: Source<V, D>) {
  const cache = useQueryClient();
  const saving = useSaving();
  const { data: view, error } = useQuery({ queryKey: source.key, queryFn: async () => newer(await source.load(), cache.getQueryData<V>(source.key)) });
  const [draft, setDraft] = useState<D>();
  // What the last answer held. The cache tells of it a moment later; until then this is the newer of the two.
  const [known, setKnown] = useState<{ revision: number; document: D }>();
  const [conflict, setConflict] = useState<string>();
  const now = useRef({ source, wanted: undefined as D | undefined, known: undefined as { revision: number; document: D } | undefined, revision: 0, busy: false, timer: 0 });
  useEffect(() => {
    now.current.source = source;
    if (view && view.revision > now.current.revision) now.current.revision = view.revision;
  });

  const show = useCallback((fresh: V) => {
    const { source } = now.current;
    now.current.revision = fresh.revision;
    now.current.known = { revision: fresh.revision, document: source.of(fresh) };
    setKnown(now.current.known);
    cache.setQueryData(source.key, fresh);
    for (const key of source.touches ?? []) void cache.invalidateQueries({ queryKey: key });
  }, [cache]);

  const flush = useCallback(async () => {
    const s = now.current;
    window.clearTimeout(s.timer);
    if (s.busy || s.wanted === undefined) return;
    const sent = s.wanted;
    s.busy = true;
    saving.began();
    try {
      const fresh = await s.source.save(sent, s.revision);
      if (s.wanted === sent) {
        s.wanted = undefined;
        setDraft(undefined);
      }
      show(fresh);
      saving.done();
    } catch (e) {
      if (e instanceof Problem && e.status === 412) setConflict(e.message);
      else s.timer = window.setTimeout(() => void flush(), RETRY);
      saving.failed(e instanceof Error ? e.message : String(e));
      return;
    } finally {
      s.busy = false;
    }
    if (s.wanted !== undefined) void flush();
  }, [saving, show]);

  // Nothing typed is lost when the page is left or hidden.
  useEffect(() => {
    const leave = () => {
      if (document.visibilityState === 'hidden') void flush();
    };
    document.addEventListener('visibilitychange', leave);
    return () => {
      document.removeEventListener('visibilitychange', leave);
      void flush();
    };
  }, [flush]);

  const edit = useCallback((change: (document: D) => D) => {
    const s = now.current;
    const base = s.wanted ?? newest(s.known, view, s.source.of);
    if (base === undefined) return;
    s.wanted = change(base);
    setDraft(s.wanted);
    window.clearTimeout(s.timer);
    s.timer = window.setTimeout(() => void flush(), PAUSE);
  }, [view, flush]);

  const travel = useCallback(async (way: 'undo' | 'redo') => {
    await flush();
    try {
      show(await now.current.source[way]());
      saving.done();
    } catch (e) {
      saving.say(e instanceof Error ? e.message : String(e));
    }
  }, [flush, saving, show]);

  const takeTheirs = useCallback(() => {
    now.current.wanted = undefined;
    setDraft(undefined);
    setConflict(undefined);
    void cache.invalidateQueries({ queryKey: now.current.source.key });
  }, [cache]);

  const keepMine = useCallback(async () => {
    setConflict(undefined);
    now.current.revision = (await now.current.source.load()).revision;
    void flush();
  }, [flush]);

  return {
    view,
    document: draft ?? newest(known, view, source.of),
    error,
    conflict,
    edit,
    undo: () => travel('undo'),
    redo: () => travel('redo'),
    takeTheirs,
    keepMine,
  };
}

/** What was loaded, unless a save that was answered meanwhile left a newer one: answers may overtake each other. */
export function newer<V extends { revision: number }>(loaded: V, held: V | undefined): V {
  return held && held.revision > loaded.revision ? held : loaded;
}

/** The document of the last answer, unless the cache holds a newer one. */
function newest<V extends { revision: number }, D>(known: { revision: number; document: D } | undefined, view: V | undefined, of: (view: V) => D): D | undefined {
  if (!view) return undefined;
  return known && known.revision >= view.revision ? known.document : of(view);
}
