import createClient from 'openapi-fetch';
import type { components, paths } from './generated/schema';

export type Schemas = components['schemas'];

export const api = createClient<paths>({ baseUrl: '/' });

/** An answer of the server that says what is wrong (RFC 9457). */
export class Problem extends Error {
  readonly status: number;
  readonly title: string;

  constructor(status: number, title: string, detail: string) {
    super(detail);
    this.status = status;
    this.title = title;
  }
}

/** The data of an answer, or the problem it tells of. */
export async function answer<T>(call: Promise<{ data?: T; error?: unknown; response: Response }>): Promise<T> {
  const { data, error, response } = await call;
  if (response.ok) return data as T;
  const told = (error ?? {}) as { title?: string; detail?: string };
  throw new Problem(response.status, told.title ?? 'Something went wrong', told.detail ?? `The server answered ${response.status}.`);
}
