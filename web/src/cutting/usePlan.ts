import { documentSource } from '../api/documents';
import { useDocument } from '../api/useDocument';

/** A plan, saved as it is changed. */
export const usePlan = (id: string) =>
  useDocument(
    documentSource('plans', id, {
      key: ['plan', id],
      of: (v) => v.plan,
      touches: [['cutting'], ['spares', id], ['load-files'], ['bench']],
    }),
  );

export type PlanDocument = ReturnType<typeof usePlan>;
