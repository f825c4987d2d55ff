import type { Schemas } from '../api/client';

export type Request = Schemas['TraceRequest'];
type Point = Schemas['PlanePoint'];

const typed = (text: string): Schemas['TypedLength'] => ({ text, unit: 'millimetre' });

/** Programs and cameras write these when they do not know. */
const UNKNOWING = [72, 96];

/** How a picture is followed before anything is said of it: by its resolution only where that may be true. */
export function unsaid(picture: Schemas['PictureView']): Request {
  return {
    by: picture.dotsPerInch && (picture.proven || !UNKNOWING.includes(Math.round(picture.dotsPerInch))) ? 'resolution' : 'sheet',
    dotsPerInch: picture.dotsPerInch ? String(picture.dotsPerInch) : '',
    points: [],
    distance: typed(''),
    sheetWidth: typed('210'),
    sheetHeight: typed('297'),
    edge: 'inner',
    allowance: typed(''),
    smoothing: typed('0.1'),
    erased: [],
    straighten: true,
    lies: 'asSeen',
    contrast: null,
  };
}

/** How many marks a way of scaling needs. */
export const marksFor = (by: Request['by']) => (by === 'twoPoints' ? 2 : by === 'sheet' ? 4 : 0);

/** A further mark; once all are there, the nearest one moves to the place instead. */
export function marked(points: readonly Point[], by: Request['by'], at: Point): Point[] {
  if (points.length < marksFor(by)) return [...points, at];
  const far = points.map((p) => Math.hypot(p.x - at.x, p.y - at.y));
  const nearest = far.indexOf(Math.min(...far));
  return points.map((p, i) => (i === nearest ? at : p));
}

/** Whether enough is said to follow the picture. */
export function ready(r: Request): boolean {
  return r.by === 'resolution'
    ? r.dotsPerInch.trim() !== ''
    : r.points.length >= marksFor(r.by) && (r.by === 'sheet' || r.distance.text.trim() !== '');
}

/** What stands next to be done, in words. */
export function nextStep(r: Request): string {
  if (r.by === 'resolution') return r.dotsPerInch.trim() ? '' : 'Type the resolution of the scan.';
  if (r.by === 'twoPoints')
    return r.points.length < 2
      ? `Click on the ${r.points.length === 0 ? 'first' : 'second'} point of known distance.`
      : r.distance.text.trim()
        ? ''
        : 'Type how far the two points are apart.';
  return r.points.length < 4
    ? `Click on the ${['first', 'second', 'third', 'last'][r.points.length]} corner of the sheet, in any order.`
    : '';
}
