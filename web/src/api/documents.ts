import { answer, api, made, type Schemas } from './client';
import type { Source } from './useDocument';

/** The kinds of document: what a page shows of one, what of that is the document, and what a page sends of it. */
interface Kinds {
  blanks: { view: Schemas['BlankView']; document: Schemas['Blank']; sent: Schemas['Blank'] };
  motifs: { view: Schemas['MotifView']; document: Schemas['Motif']; sent: Schemas['Motif'] };
  graphics: { view: Schemas['GraphicView']; document: Schemas['Graphic']; sent: Schemas['Graphic'] };
  films: { view: Schemas['FilmView']; document: Schemas['Film']; sent: Schemas['Film'] };
  cutters: { view: Schemas['CutterView']; document: Schemas['Cutter']; sent: Schemas['Cutter'] };
  presses: { view: Schemas['PressView']; document: Schemas['Press']; sent: Schemas['Press'] };
  jobs: { view: Schemas['JobView']; document: Schemas['Job']; sent: Schemas['Job'] };
  runs: { view: Schemas['RunView']; document: Schemas['Run']; sent: Schemas['RunDraft'] };
  offers: { view: Schemas['OfferView']; document: Schemas['Offer']; sent: Schemas['Offer'] };
  orders: { view: Schemas['OrderView']; document: Schemas['Order']; sent: Schemas['Order'] };
  plans: { view: Schemas['PlanView']; document: Schemas['CutPlan']; sent: Schemas['CutPlan'] };
  loads: { view: Schemas['ReleasedView']; document: Schemas['ReleasedLoad']; sent: Schemas['ReleasedLoad'] };
  stock: { view: Schemas['FilmStockView']; document: Schemas['FilmStock']; sent: Schemas['FilmStock'] };
  workshops: { view: Schemas['WorkshopView']; document: Schemas['Workshop']; sent: Schemas['Workshop'] };
}

interface About<K extends keyof Kinds> {
  key: readonly string[];
  of: (view: Kinds[K]['view']) => Kinds[K]['document'];
  touches?: readonly (readonly string[])[];
  /** Whether what is typed is worked out and shown before it is saved. */
  previews?: boolean;
  /** What is sent of a document; all of it unless said otherwise. */
  sent?: (document: Kinds[K]['document']) => Kinds[K]['sent'];
}

/** A document of the library, by its kind and id: every kind is read, saved, previewed, undone and redone by the same requests. */
export function documentSource<K extends keyof Kinds>(
  kinds: K,
  id: string,
  about: About<K>,
): Source<Kinds[K]['view'], Kinds[K]['document']> {
  type View = Kinds[K]['view'];
  // The requests of all kinds are alike; the client's types know each by its own path.
  const at = `/api/${kinds}/{id}` as '/api/blanks/{id}';
  const params = { path: { id } };
  const from = (madeFrom: number) => ({ ...params, ...made(madeFrom) });
  const body = (document: Kinds[K]['document']) => (about.sent ? about.sent(document) : document) as Schemas['Blank'];
  return {
    key: about.key,
    of: about.of,
    touches: about.touches,
    load: () => answer(api.GET(at, { params })) as Promise<View>,
    save: (document, madeFrom) => answer(api.PUT(at, { params: from(madeFrom), body: body(document) })) as Promise<View>,
    undo: (madeFrom) => answer(api.POST(`${at}/undo`, { params: from(madeFrom) })) as Promise<View>,
    redo: (madeFrom) => answer(api.POST(`${at}/redo`, { params: from(madeFrom) })) as Promise<View>,
    preview: about.previews
      ? (document) => answer(api.POST(`${at}/preview`, { params, body: body(document) })) as Promise<View>
      : undefined,
  };
}

/** Has the server make remedies of what it noticed on a document, as one step. */
export const mended =
  <K extends 'motifs' | 'runs'>(kinds: K, id: string, remedies: readonly string[]) =>
  (madeFrom: number) =>
    answer(
      api.POST(`/api/${kinds}/{id}/remedies` as '/api/motifs/{id}/remedies', {
        params: { path: { id }, ...made(madeFrom) },
        body: { remedies: [...remedies] },
      }),
    ) as Promise<unknown> as Promise<Kinds[K]['view']>;

/** Takes a document away, and brings it back. */
export function removalOf(kinds: keyof Kinds, id: string) {
  const at = `/api/${kinds}/{id}` as '/api/blanks/{id}';
  const params = (madeFrom: number) => ({ path: { id }, ...made(madeFrom) });
  return {
    remove: (madeFrom: number) => answer(api.DELETE(at, { params: params(madeFrom) })),
    undo: (madeFrom: number) => answer(api.POST(`${at}/undo`, { params: params(madeFrom) })),
  };
}
