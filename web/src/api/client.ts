import createClient from 'openapi-fetch';
import { heard, LINE, lineOfPage } from './standing';
import type { components, paths } from './generated/schema';

export type Schemas = components['schemas'];

/** Sends a request along the line of the library that this page was opened on, and takes in what its answer tells of that. */
async function send(request: Request): Promise<Response> {
  if (lineOfPage()) request.headers.set(LINE, lineOfPage());
  const response = await sendOut(request);
  await heard(response);
  return response;
}

/** A save that leaves as its page is closed outlives it; browsers allow that for small bodies only. */
async function sendOut(request: Request): Promise<Response> {
  if (request.method !== 'PUT' || document.visibilityState === 'visible') return fetch(request);
  const again = request.clone();
  return fetch(new Request(request, { keepalive: true })).catch(() => fetch(again));
}

export const api = createClient<paths>({ baseUrl: '/', fetch: send });

/** An answer of the server that says what is wrong (RFC 9457). */
export class Problem extends Error {
  readonly status: number;
  readonly title: string;
  /** The revision of what the answer is about, where it has one. */
  readonly revision: number | undefined;

  constructor(status: number, title: string, detail: string, revision?: number) {
    super(detail);
    this.status = status;
    this.title = title;
    this.revision = revision;
  }

  /** Whether the same sent again would be refused again. */
  get isFinal() {
    return this.status >= 400 && this.status < 500 && ![401, 408, 412, 429].includes(this.status);
  }
}

/** Says which revision a change was made from: an entity tag (RFC 9110). */
export const made = (from: number) => ({ header: { 'If-Match': `"${from}"` } });

function revisionOf(response: Response) {
  const tag = /^"(\d+)"$/.exec(response.headers.get('ETag') ?? '');
  return tag ? Number(tag[1]) : undefined;
}

/** The data of an answer, or the problem it tells of. */
export async function answer<T>(call: Promise<{ data?: T; error?: unknown; response: Response }>): Promise<T> {
  const { data, error, response } = await call.catch((e: unknown) => {
    if (e instanceof TypeError)
      throw new Problem(0, 'No answer', 'Cabida does not answer. What you typed is kept here and will be sent again.');
    throw e;
  });
  if (response.ok) return data as T;
  const told = (error ?? {}) as { title?: string; detail?: string };
  throw new Problem(
    response.status,
    told.title ?? 'Something went wrong',
    told.detail ?? `The server answered ${response.status}.`,
    revisionOf(response),
  );
}

/** Sends a file as it is; the answer, or the problem it tells of. */
export function sendFile<T>(path: string, file: Blob): Promise<T> {
  const request = new Request(path, { method: 'POST', body: file, headers: { 'Content-Type': 'application/octet-stream' } });
  const sent = send(request);
  return answer<T>(
    sent.then(async (response) =>
      response.ok ? { data: (await response.json()) as T, response } : { error: await response.json().catch(() => undefined), response },
    ),
  );
}
