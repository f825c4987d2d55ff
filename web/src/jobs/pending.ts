import type { Schemas } from '../api/client';

/** Whether a run's picture is still to be worked out; it comes when it is asked for again. */
export const isPending = (run: Schemas['RunCard']) => run.pieces === null && run.todo === '';

/** How many names a run has, in words; nothing while that is not known. */
export const namesOf = ({ pieces }: Schemas['RunCard']) =>
  typeof pieces === 'number' ? `${pieces} ${pieces === 1 ? 'name' : 'names'}` : '';
