import type { Schemas } from '../api/client';

export type Point = Schemas['PlanePoint'];

/** How millimetres (y up) become pixels (y down). */
export interface Scale {
  k: number;
  x: (mm: number) => number;
  y: (mm: number) => number;
  /** For a group whose children are path data in millimetres. */
  transform: string;
}

/** A frame that a box stands in at a scale, no smaller than the one there is. */
export function frameFor(
  box: Schemas['Box'],
  frame: { width: number; height: number },
  pad: Pad,
  k: number,
): { width: number; height: number } {
  return {
    width: Math.max(frame.width, pad.left + pad.right + k * (box.maxX - box.minX)),
    height: Math.max(frame.height, pad.top + pad.bottom + k * (box.maxY - box.minY)),
  };
}

export interface Pad {
  top: number;
  right: number;
  bottom: number;
  left: number;
}

/** The largest scale at which a box stands within a frame less its padding, or the one given; in the middle of it. */
export function scaleFor(box: Schemas['Box'], width: number, height: number, pad: Pad, given?: number): Scale {
  const [w, h] = [Math.max(1, width - pad.left - pad.right), Math.max(1, height - pad.top - pad.bottom)];
  const k = given ?? Math.min(w / Math.max(box.maxX - box.minX, 1), h / Math.max(box.maxY - box.minY, 1));
  const left = pad.left + (w - k * (box.maxX - box.minX)) / 2;
  const top = pad.top + (h - k * (box.maxY - box.minY)) / 2;
  const [dx, dy] = [left - k * box.minX, top + k * box.maxY];
  return { k, x: (mm) => dx + k * mm, y: (mm) => dy - k * mm, transform: `matrix(${k} 0 0 ${-k} ${dx} ${dy})` };
}
