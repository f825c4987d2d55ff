import type { Schemas } from '../api/client';

type Alternate = Schemas['Alternate'];
export type Scope = Schemas['AlternateScope'];

export const SCOPES: readonly (readonly [Scope, string])[] = [
  ['place', 'for this place in this name'],
  ['letter', 'for this letter everywhere'],
  ['last', 'for the last letter of every name'],
  ['first', 'for the first letter of every name'],
  ['face', 'for the face as a whole'],
];

/** Whether it is the letter as the face draws it. */
export const isPlain = (form: Pick<Alternate, 'feature' | 'glyph'>) => form.feature === '' && form.glyph === 0;

/**
 * Forms with another one chosen for a letter: it takes the place of what was chosen for the same; the plain one takes away what was
 * chosen for that letter or for all, and a rule only where it is chosen for the same end of every name.
 */
export function withChoice(
  now: readonly Alternate[],
  of: Pick<Schemas['LetterForms'], 'letter' | 'words' | 'index'>,
  form: Alternate,
  scope: Scope,
): Alternate[] {
  const isHere = (a: Alternate) => {
    switch (scope) {
      case 'place':
        return a.scope === 'place' && a.words === of.words && a.index === of.index;
      case 'letter':
        return (a.scope === 'place' || a.scope === 'letter') && a.letter === of.letter;
      case 'face':
        return a.scope === 'face' && a.feature === form.feature;
      default:
        return a.scope === scope;
    }
  };
  const plain = isPlain(form);
  const kept = now.filter(
    (a) =>
      !(plain && (scope === 'place' || scope === 'letter')
        ? a.scope === 'face' || ((a.scope === 'place' || a.scope === 'letter') && a.letter === of.letter)
        : isHere(a)),
  );
  return plain
    ? kept
    : [...kept, { ...form, scope, letter: of.letter, words: scope === 'place' ? of.words : '', index: scope === 'place' ? of.index : 0 }];
}

/** Where a form that was chosen is used. */
export function scopeSaid(a: Alternate): string {
  switch (a.scope) {
    case 'place':
      return `in “${a.words}”`;
    case 'letter':
      return 'everywhere';
    case 'face':
      return 'with all letters';
    case 'first':
      return 'by rule';
    case 'last':
      return 'by rule';
  }
}

/** What a form was chosen for: a letter, or the first or last of every name. */
export const forSaid = (a: Alternate): string => (a.scope === 'first' ? 'first letter' : a.scope === 'last' ? 'last letter' : a.letter);
