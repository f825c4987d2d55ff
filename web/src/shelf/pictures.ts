import { answer, type Schemas } from '../api/client';

/** Brings a picture or scan into the library; what it is is found out by the server. */
export function sendPicture(file: Blob): Promise<Schemas['PictureView']> {
  const response = fetch('/api/pictures', { method: 'POST', body: file, headers: { 'Content-Type': 'application/octet-stream' } });
  return answer<Schemas['PictureView']>(response.then(async (r) => (r.ok ? { data: (await r.json()) as Schemas['PictureView'], response: r } : { error: await r.json(), response: r })));
}
