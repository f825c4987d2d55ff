import type { Schemas } from '../api/client';

type Face = Schemas['TypefaceView'];
type Result = Schemas['TriedFaceView'];

export type SortBy = 'letterHeight' | 'thinnestStroke' | 'smallestCounter' | 'minutes' | 'findings' | 'name';

interface Row {
  face: Face;
  result?: Result;
}

/**
 * Faces in the order of what the maker cares about, the best first; those not tried yet come last, faces that stop a piece after those that
 * do not.
 */
export function sorted(rows: readonly Row[], by: SortBy): Row[] {
  const worth = (r: Result): number => {
    switch (by) {
      case 'letterHeight':
        return -r.letterHeight;
      case 'thinnestStroke':
        return -(r.thinnestStroke ?? 0);
      // No counter at all is as good as a large one.
      case 'smallestCounter':
        return -(r.smallestCounter ?? Number.MAX_VALUE);
      case 'minutes':
        return r.minutes;
      case 'findings':
        return r.findings;
      case 'name':
        return 0;
    }
  };
  return [...rows].sort((a, b) => {
    if (by !== 'name') {
      if (!a.result || !b.result) return Number(!a.result) - Number(!b.result) || a.face.name.localeCompare(b.face.name);
      const stopped = Number(a.result.stops > 0) - Number(b.result.stops > 0);
      if (stopped !== 0) return stopped;
      const order = worth(a.result) - worth(b.result);
      if (order !== 0) return order;
    }
    return a.face.name.localeCompare(b.face.name);
  });
}
