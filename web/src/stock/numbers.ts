import type { Schemas } from '../api/client';

/** What a program may take the numbers of an SVG for, with how they are asked for in an address. */
export const NUMBERS: readonly (readonly [Schemas['SvgNumbers'], string, string])[] = [
  ['millimetres', 'millimetres', 'mm'],
  ['per96', '96 to the inch', '96'],
  ['per90', '90 to the inch', '90'],
  ['per72', '72 to the inch', '72'],
];
