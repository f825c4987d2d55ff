import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useCallback, useEffect, useRef, useState } from 'react';
import { useSaving } from './saving';
import { Problem } from './client';
import { Keeper, type Keeping } from './keeper';
import { Preview } from './preview';

export interface Source<V, D> extends Keeping<V, D> {
  /** Tells the document apart in the cache. */
  key: readonly string[];
  load: () => Promise<V>;
  /** The editable document within what the server shows of it. */
  of: (view: V) => D;
  /** What its page would show of a document; asked for as it is typed, where there is anything to see. */
  preview?: (document: D) => Promise<V | undefined>;
  /** What else changes when it does. */
  touches?: readonly (readonly string[])[];
}

/**
 * A document that is saved as it is typed. What was typed stays on screen whatever the server answers: a save that
 * fails is tried again, one that was overtaken in another window is told and waits for a choice.
 */
export function useDocument<V extends { revision: number }, D>(source: Source<V, D>) {
  const cache = useQueryClient();
  const saving = useSaving();
  const { data: view, error } = useQuery({
    queryKey: source.key,
    queryFn: async () => newer(await source.load(), cache.getQueryData<V>(source.key)),
  });
  const [draft, setDraft] = useState<D>();
  // What the last answer held. The cache tells of it a moment later; until then this is the newer of the two.
  const [known, setKnown] = useState<{ revision: number; document: D }>();
  const [conflict, setConflict] = useState<string>();
  const [keeper] = useState(
    () => new Keeper<V, D>(source, { draft: setDraft, began() {}, kept() {}, failed() {}, givenUp() {}, overtaken: setConflict }),
  );
  const [previewed, setPreviewed] = useState<V>();
  const [preview] = useState(() => new Preview<V, D>(setPreviewed));
  const now = useRef({ source, known });
  useEffect(() => {
    now.current.source = source;
    keeper.keeping = source;
    preview.ask = source.preview;
    keeper.told = {
      ...keeper.told,
      began: () => saving.began(keeper),
      failed: saving.failed,
      givenUp: () => {
        saving.done(keeper);
        preview.drop();
      },
      kept: (fresh) => {
        now.current.known = { revision: fresh.revision, document: source.of(fresh) };
        setKnown(now.current.known);
        cache.setQueryData(source.key, fresh);
        for (const key of source.touches ?? []) void cache.invalidateQueries({ queryKey: key });
        if (keeper.wanted !== undefined) return;
        saving.done(keeper);
        preview.drop();
      },
    };
    const at = view?.revision ?? (error instanceof Problem ? error.revision : undefined) ?? 0;
    // What is typed was made from what was there then: a newer one that is loaded meanwhile must not be overwritten by it.
    if (at > keeper.revision && keeper.wanted === undefined) keeper.revision = at;
  });

  // Nothing typed is lost when the page is left or hidden: it is saved at once, and leaving is asked about until it is.
  useEffect(() => {
    const hide = () => {
      if (document.visibilityState === 'hidden') void keeper.flush();
    };
    const leave = (e: BeforeUnloadEvent) => {
      if (keeper.wanted === undefined) return;
      void keeper.flush();
      e.preventDefault();
    };
    document.addEventListener('visibilitychange', hide);
    window.addEventListener('beforeunload', leave);
    return () => {
      document.removeEventListener('visibilitychange', hide);
      window.removeEventListener('beforeunload', leave);
      // What waits for a choice waits in vain once its page is gone; it must not keep the rest from being called saved.
      void keeper.flush().then(() => {
        if (keeper.waits) saving.forget(keeper);
      });
    };
  }, [keeper, saving]);

  const edit = useCallback(
    (change: (document: D) => D) => {
      const base = keeper.wanted ?? newest(now.current.known, view, now.current.source.of);
      if (base === undefined) return;
      const wanted = change(base);
      keeper.want(wanted);
      preview.want(wanted);
    },
    [keeper, preview, view],
  );

  const travel = useCallback(
    async (way: 'undo' | 'redo') => {
      try {
        await keeper.travel(way);
      } catch (e) {
        saving.done(keeper);
        saving.say(e instanceof Error ? e.message : String(e));
      }
    },
    [keeper, saving],
  );

  const order = useCallback(
    async (send: (madeFrom: number) => Promise<V>) => {
      try {
        await keeper.order(send);
        return true;
      } catch (e) {
        saving.done(keeper);
        saving.say(e instanceof Error ? e.message : String(e));
        // What the page shows is not what there is.
        for (const key of now.current.source.touches ?? []) void cache.invalidateQueries({ queryKey: key });
        return false;
      }
    },
    [keeper, saving, cache],
  );

  const takeTheirs = useCallback(() => {
    keeper.drop();
    preview.drop();
    saving.done(keeper);
    setConflict(undefined);
    void cache.invalidateQueries({ queryKey: now.current.source.key });
  }, [keeper, preview, saving, cache]);

  const keepMine = useCallback(async () => {
    setConflict(undefined);
    keeper.revision = (await now.current.source.load()).revision;
    void keeper.flush();
  }, [keeper]);

  /** The revision it stands at once nothing is under way. */
  const settled = useCallback(async () => {
    await keeper.flush();
    return keeper.revision;
  }, [keeper]);

  return {
    view: previewed ?? view,
    /** Whether what is shown is not kept yet, so that what is asked for by the revision would be of something older. */
    previewing: previewed !== undefined,
    document: draft ?? newest(known, view, source.of),
    error,
    conflict,
    edit,
    undo: () => travel('undo'),
    redo: () => travel('redo'),
    takeTheirs,
    keepMine,
    order,
    settled,
  };
}

/** What was loaded, unless a save that was answered meanwhile left a newer one: answers may overtake each other. */
export function newer<V extends { revision: number }>(loaded: V, held: V | undefined): V {
  return held && held.revision > loaded.revision ? held : loaded;
}

/** The document of the last answer, unless the cache holds a newer one. */
function newest<V extends { revision: number }, D>(
  known: { revision: number; document: D } | undefined,
  view: V | undefined,
  of: (view: V) => D,
): D | undefined {
  if (!view) return undefined;
  return known && known.revision >= view.revision ? known.document : of(view);
}
