/** What a thing of each kind is called, and where its page is. */
export const KINDS: Record<string, { one: string; page?: (id: string) => string }> = {
  blank: { one: 'blank', page: (id) => `/shelf/${id}` },
  motif: { one: 'motif', page: (id) => `/motifs/${id}` },
  graphic: { one: 'graphic' },
  film: { one: 'film', page: () => '/stock' },
  cutter: { one: 'cutter', page: (id) => `/stock/cutters/${id}` },
  press: { one: 'press', page: () => '/stock' },
  job: { one: 'job', page: (id) => `/jobs/${id}` },
  run: { one: 'run', page: (id) => `/runs/${id}/set-up` },
  offer: { one: 'offer', page: (id) => `/jobs/offers/${id}` },
  order: { one: 'order', page: (id) => `/jobs/orders/${id}` },
  workshop: { one: 'workshop', page: () => '/stock' },
  load: { one: 'released load', page: (id) => `/cutting/loads/${id}` },
};

/** Where the page of a thing is. */
export const pageOf = (kind: string, id: string) => KINDS[kind]?.page?.(id) ?? '/jobs';
