import type { Schemas } from './client';

/** A finding of which a test says only what it is about. */
export const testFinding = (of: Partial<Schemas['Finding']> & { words?: string }): Schemas['Finding'] => {
  const { words = '', ...rest } = of;
  return {
    rule: 'unusable',
    severity: 'look',
    message: testPhrase(words),
    piece: '',
    side: '',
    part: '',
    fields: [],
    line: 0,
    places: [],
    figure: null,
    limit: null,
    weight: 0,
    remedies: [],
    kept: '',
    mayBeKept: false,
    ...rest,
  };
};

export const testPhrase = (text: string): Schemas['Phrase'] => ({ parts: [{ text, strong: false, fine: false, millimetres: null }] });
