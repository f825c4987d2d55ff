import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useSaving } from '../frame/saving';

interface Removal {
  /** What is removed, as the note calls it. */
  name: string;
  remove: () => Promise<unknown>;
  undo: () => Promise<unknown>;
  /** Where to go once it is gone. */
  onGone?: () => void;
}

/** Removes something at once and offers to bring it back. */
export function useRemoval({ name, remove, undo, onGone }: Removal) {
  const cache = useQueryClient();
  const saving = useSaving();
  return useMutation({
    mutationFn: remove,
    onError: (e) => saving.say(e.message),
    onSuccess: () => {
      void cache.invalidateQueries();
      onGone?.();
      saving.say(`Removed ${name}.`, () => {
        undo().then(
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
