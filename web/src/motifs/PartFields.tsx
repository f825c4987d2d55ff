import { Form } from 'react-bootstrap';
import type { Schemas } from '../api/client';
import { CutFields } from './fields/CutFields';
import { BackingFields, GroupFields } from './fields/GroupFields';
import { GraphicFields } from './fields/GraphicFields';
import { LetteringFields } from './fields/LetteringFields';
import { MendFields } from './fields/MendFields';
import { NumberField } from '../fields/Choice';
import { Tabs } from '../frame/Tabs';
import { PlaceFields } from './fields/PlaceFields';
import { RuleFields, ShapeFields } from './fields/ShapeFields';
import { flat, layersOf, type Motif, type Part } from './parts';
import { sectionsOf, type Section } from './sections';

/** What the fields of a part are given. */
export interface PartFieldsProps {
  part: Part;
  motif: Motif;
  first: boolean;
  typefaces: readonly Schemas['TypefaceName'][];
  films: readonly Schemas['FilmView'][];
  set: readonly Schemas['SetPartView'][];
  problems: readonly Schemas['Finding'][];
  onChange: (part: Part | readonly Part[]) => void;
  onTry: () => void;
  onLetter: (index: number) => void;
  section: Section;
  onSection: (section: Section) => void;
}

/** The thinnest stroke of a film: as typed, or the usual of its material. */
function strokeLimit(film: Schemas['FilmView'] | undefined): Schemas['TypedLength'] | undefined {
  if (!film) return undefined;
  return film.film.thinnestStroke.text.trim() === '' ? { text: String(film.usualStroke), unit: 'millimetre' } : film.film.thinnestStroke;
}

/** The fields of a part: what it is, where it stands, how it is cut. */
export function PartFields({
  part,
  motif,
  first,
  typefaces,
  films,
  set,
  problems,
  onChange,
  onTry,
  onLetter,
  section,
  onSection,
}: PartFieldsProps) {
  const of = { problem: (field: string) => problems.find((p) => p.fields.includes(field))?.message, onChange };
  const fellows = flat(motif.parts).find((p) => p.part.kind === 'group' && p.part.parts.some((x) => x.id === part.id))?.part;
  const among = fellows?.kind === 'group' ? fellows.parts : motif.parts;
  const shown = sectionsOf(part);
  const here = shown.some(([key]) => key === section) ? section : (shown[0]?.[0] ?? 'what');
  return (
    <Tabs label="Fields shown" tabs={shown} here={here} onHere={onSection} className="part-sections">
      {part.kind === 'lettering' && here !== 'place' && here !== 'cut' && (
        <LetteringFields
          part={part}
          motif={motif}
          typefaces={typefaces}
          section={here}
          drawn={set.find((p) => p.partId === part.id)}
          filmLimit={strokeLimit(films.find((f) => f.id === part.filmId) ?? films[0])}
          onTry={onTry}
          onLetter={onLetter}
          {...of}
        />
      )}
      {here === 'what' &&
        (part.kind === 'graphic' ? (
          <GraphicFields
            part={part}
            films={films}
            set={set.find((p) => p.partId === part.id)}
            lettering={set.filter((p) => p.words)}
            {...of}
          />
        ) : (
          <OwnFields part={part} among={among} {...of} />
        ))}
      {here === 'place' && <PlaceFields part={part} first={first} fellows={among} drawn={set} {...of} />}
      {here === 'cut' && (
        <>
          <CutFields part={part} films={films} layers={layersOf(motif)} {...of} />
          <div className="part-fields">
            {(part.kind === 'lettering' || part.kind === 'graphic') && <MendFields part={part} {...of} />}
            <label>
              Called
              <Form.Control
                size="sm"
                className="sample-field"
                placeholder="a name of your own"
                value={part.label}
                onChange={(e) => onChange({ ...part, label: e.target.value } as Part)}
              />
            </label>
          </div>
        </>
      )}
    </Tabs>
  );
}

/** What the part is: its own lengths and choices. */
function OwnFields({
  part,
  among,
  problem,
  onChange,
}: {
  part: Part;
  among: readonly Part[];
  problem: (field: string) => Schemas['Phrase'] | undefined;
  onChange: (part: Part | readonly Part[]) => void;
}) {
  const of = { problem, onChange };
  switch (part.kind) {
    case 'lettering':
      return null;
    case 'rule':
      return <RuleFields part={part} {...of} />;
    case 'shape':
      return <ShapeFields part={part} {...of} />;
    case 'group':
      return <GroupFields part={part} {...of} onUngroup={() => onChange(part.parts)} />;
    case 'backing':
      return <BackingFields part={part} parts={among} {...of} />;
    case 'graphic':
      return null;
    case 'mat':
      return (
        <div className="part-fields">
          <NumberField
            label="Mat, 1 on top"
            min={1}
            max={9}
            value={part.index}
            onChange={(index) => onChange({ ...part, index: Math.round(index) })}
          />
        </div>
      );
  }
}
