import type { Schemas } from '../../api/client';
import type { Lettering, Motif } from '../parts';
import type { Section } from '../sections';
import type { FieldsOf } from './context';
import { LineFormFields } from './LineFormFields';
import { SpacingFields } from './SpacingFields';
import { WordsFields } from './WordsFields';

interface Props extends FieldsOf<Lettering> {
  motif: Motif;
  typefaces: readonly Schemas['TypefaceName'][];
  section: Section;
  /** The line as it is drawn. */
  drawn?: Schemas['SetPartView'];
  /** The thinnest stroke of the film it is cut from, where one is known. */
  filmLimit?: Schemas['TypedLength'];
  onTry: () => void;
  onLetter: (index: number) => void;
}

/** What a line says, in which face, how large, how spaced and along what. */
export function LetteringFields({ motif, typefaces, section, drawn, filmLimit, onTry, onLetter, ...of }: Props) {
  if (section === 'words') return <WordsFields {...of} typefaces={typefaces} onTry={onTry} />;
  if (section === 'spacing') return <SpacingFields {...of} drawn={drawn} filmLimit={filmLimit} onLetter={onLetter} />;
  return <LineFormFields {...of} motif={motif} />;
}
