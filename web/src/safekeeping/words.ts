import type { Schemas } from '../api/client';

export type Copy = Schemas['CopyView'];

/** A size as people say it: 812 kB, 4.2 MB, 1.6 GB. */
export function sizeSaid(bytes: number): string {
  if (bytes < 1000) return `${bytes} bytes`;
  if (bytes < 999_500) return `${Math.round(bytes / 1000)} kB`;
  const [value, unit] = bytes < 999_500_000 ? [bytes / 1e6, 'MB'] : [bytes / 1e9, 'GB'];
  return `${value < 10 ? value.toFixed(1) : Math.round(value)} ${unit}`;
}

/** How long ago something was, as people say it. */
export function agoSaid(at: string, now: Date): string {
  const minutes = Math.round((now.getTime() - Date.parse(at)) / 60_000);
  if (minutes < -5) return 'by a clock that was ahead';
  if (minutes < 2) return 'just now';
  if (minutes < 90) return `${minutes} min ago`;
  const hours = Math.round(minutes / 60);
  if (hours < 36) return `${hours} h ago`;
  const days = Math.round(hours / 24);
  if (days < 60) return `${days} days ago`;
  return `${Math.round(days / 30)} months ago`;
}

/** Why a copy was made. */
export const OCCASIONS: Record<Copy['occasion'], string> = {
  start: 'at a start',
  day: 'once a day',
  asked: 'asked for',
  upgrade: 'before a newer version',
  restore: 'before a copy was brought back',
};
