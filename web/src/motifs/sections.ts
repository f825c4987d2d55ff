import type { Part } from './parts';

/** The groups of fields of a part, of which one is shown. */
export type Section = 'words' | 'spacing' | 'line' | 'what' | 'place' | 'cut';

/** The sections that a part has, with what they are called. */
export function sectionsOf(part: Part): readonly (readonly [Section, string])[] {
  const own: readonly (readonly [Section, string])[] =
    part.kind === 'lettering'
      ? [
          ['words', 'Words'],
          ['spacing', 'Spacing'],
          ['line', 'Line'],
        ]
      : [['what', part.kind === 'group' ? 'Repeat' : part.kind === 'graphic' ? 'Graphic' : 'Shape']];
  return [...own, ...(part.kind === 'backing' || part.kind === 'mat' ? [] : [['place', 'Place'] as const]), ['cut', 'Film and cut']];
}
