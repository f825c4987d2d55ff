import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useSaving } from './saving';

interface Removal {
  /** What is removed, as the note calls it. */
  name: string;
  /** The revision it stands at; what has none is removed whatever it is. */
  settled?: () => Promise<number>;
  remove: (madeFrom: number) => Promise<unknown>;
  undo: (madeFrom: number) => Promise<unknown>;
  /** Where to go once it is gone. */
  onGone?: () => void;
}

/** Removes something at once and offers to bring it back. */
export function useRemoval({ name, settled, remove, undo, onGone }: Removal) {
  const cache = useQueryClient();
  const saving = useSaving();
  return useMutation({
    mutationFn: async () => {
      const madeFrom = (await settled?.()) ?? 0;
      await remove(madeFrom);
      return madeFrom;
    },
    onError: (e) => saving.say(e.message),
    onSuccess: (madeFrom) => {
      void cache.invalidateQueries();
      onGone?.();
      saving.say(`Removed ${name}.`, () => {
        // Its removal is one revision more.
        undo(madeFrom + 1).then(
          () => {
            void cache.invalidateQueries();
            saving.say(`${name} is back.`);
          },
          (e: unknown) => saving.say(e instanceof Error ? e.message : String(e)),
        );
      });
    },
  });
}
