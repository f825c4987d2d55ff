import type { Schemas } from '../api/client';

export type Archived = Schemas['ArchivedDocument'];

/** How a document of an archive stands to what is here. */
export const STANDING: Record<Archived['standing'], string> = {
  new: 'not here yet',
  same: 'the same here',
  differs: 'different here',
  removed: 'removed here',
};

/** What is chosen of an archive, by key: whether what differs takes the place of what is here. */
export type Chosen = ReadonlyMap<string, boolean>;

export const keyOf = (d: Pick<Archived, 'kind' | 'id'>) => `${d.kind} ${d.id}`;

/** Chosen or not any more; what differs and is chosen takes the place of what is here, unless said otherwise. */
export function toggled(chosen: Chosen, document: Archived): Chosen {
  const next = new Map(chosen);
  if (!next.delete(keyOf(document))) next.set(keyOf(document), document.standing === 'differs');
  return next;
}

/** Which of two that differ it is to be. */
export const taking = (chosen: Chosen, document: Archived, takes: boolean): Chosen => new Map(chosen).set(keyOf(document), takes);

/** All that is not here, of documents that can be taken. */
export const allNew = (documents: readonly Archived[]): Chosen =>
  new Map(documents.filter((d) => d.problem === null && (d.standing === 'new' || d.standing === 'removed')).map((d) => [keyOf(d), false]));

/** What is asked for. */
export const wantedOf = (chosen: Chosen): Schemas['ArchiveChoice'][] =>
  [...chosen].map(([key, takes]) => {
    const at = key.indexOf(' ');
    return { kind: key.slice(0, at), id: key.slice(at + 1), takes };
  });

/** Documents by kind, in the order they came. */
export function byKind(documents: readonly Archived[]): [string, Archived[]][] {
  const groups = new Map<string, Archived[]>();
  for (const d of documents) groups.set(d.kind, [...(groups.get(d.kind) ?? []), d]);
  return [...groups];
}
