/** What a thing of each kind is called, and where its page is. */
export const KINDS: Record<string, { one: string; many: string; page?: (id: string) => string }> = {
  blank: { one: 'blank', many: 'Blanks', page: (id) => `/shelf/${id}` },
  motif: { one: 'motif', many: 'Motifs', page: (id) => `/motifs/${id}` },
  graphic: { one: 'graphic', many: 'Graphics' },
  film: { one: 'film', many: 'Films', page: () => '/stock' },
  cutter: { one: 'cutter', many: 'Cutters', page: (id) => `/stock/cutters/${id}` },
  press: { one: 'press', many: 'Presses', page: () => '/stock' },
  job: { one: 'job', many: 'Jobs', page: (id) => `/jobs/${id}` },
  run: { one: 'run', many: 'Runs', page: (id) => `/runs/${id}/set-up` },
  offer: { one: 'offer', many: 'Offers', page: (id) => `/jobs/offers/${id}` },
  order: { one: 'order', many: 'Orders', page: (id) => `/jobs/orders/${id}` },
  workshop: { one: 'workshop', many: 'The workshop', page: () => '/stock' },
  load: { one: 'released load', many: 'Released loads', page: (id) => `/cutting/loads/${id}` },
};

/** Where the page of a thing is. */
export const pageOf = (kind: string, id: string) => KINDS[kind]?.page?.(id) ?? '/jobs';
