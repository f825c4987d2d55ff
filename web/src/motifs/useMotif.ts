import { documentSource } from '../api/documents';
import { useDocument } from '../api/useDocument';

/** A motif that is saved as it is changed, and drawn as it is typed. */
export function useMotif(id: string) {
  return useDocument(
    documentSource('motifs', id, {
      key: ['motif', id],
      of: (view) => view.motif,
      touches: [['motifs'], ['forms', id], ['trial', id]],
      previews: true,
    }),
  );
}

export type MotifDocument = ReturnType<typeof useMotif>;
