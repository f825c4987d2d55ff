import { useQuery } from '@tanstack/react-query';
import { answer, api, type Schemas } from '../../api/client';
import { figure, length } from '../../units/units';
import { useUnits } from '../../units/UnitsContext';
import { MotifLengthField } from '../MotifLengthField';
import type { Graphic } from '../parts';
import { Check, Choice } from '../../fields/Choice';
import { PieceChoice } from './PieceChoice';
import type { FieldsOf } from './context';

interface Props extends FieldsOf<Graphic> {
  films: readonly Schemas['FilmView'][];
  set?: Schemas['SetPartView'];
  lettering: readonly Schemas['SetPartView'][];
}

/** A graphic as a part: its size, its pieces kept or dropped by pointing, its colours by film, and how it is cleaned. */
export function GraphicFields({ part, films, set: drawn, lettering, problem, onChange }: Props) {
  const { units } = useUnits();
  const { data } = useQuery({
    queryKey: ['graphic', part.graphicId],
    queryFn: () => answer(api.GET('/api/graphics/{id}', { params: { path: { id: part.graphicId } } })),
  });
  const set = (to: Partial<Graphic>) => onChange({ ...part, ...to });
  const colours = data?.graphic.colours ?? [];
  const usedAs = (colour: string) => part.films.find((f) => f.colour === colour) ?? { colour, use: 'cut' as const, filmId: '' };
  const change = (colour: string, to: Partial<Schemas['ColourFilm']>) =>
    set({ films: [...part.films.filter((f) => f.colour !== colour), { ...usedAs(colour), ...to }] });
  const open = data?.pieces.some((p) => p.lines) ?? false;
  return (
    <>
      <div className="part-fields">
        <Choice
          label="Sized by"
          value={part.sizedBy}
          of={[
            ['width', 'width of ink'],
            ['height', 'height of ink'],
            ['asFile', `its file: ${data ? length(data.graphic.width * part.fileScale, units) : '…'} wide`],
          ]}
          onChange={(sizedBy) => set({ sizedBy })}
        />
        {part.sizedBy !== 'asFile' && (
          <MotifLengthField label="Size" range="artwork" value={part.size} problem={problem('size')} onChange={(size) => set({ size })} />
        )}
        <MotifLengthField
          label="Strengthened, a side"
          value={part.strengthen}
          problem={problem('strengthen')}
          onChange={(strengthen) => set({ strengthen })}
        />
        {data && data.graphic.scale !== part.fileScale && (
          <span className="part-fields-row">
            <button type="button" className="btn btn-sm btn-line" onClick={() => set({ fileScale: data.graphic.scale })}>
              Take its size as it is known now
            </button>
          </span>
        )}
      </div>
      {data && <PieceChoice graphic={data} dropped={part.dropped} onChange={(dropped) => set({ dropped })} />}
      <div className="part-fields">
        <Check label="Holes filled" value={part.holesFilled} onChange={(holesFilled) => set({ holesFilled })} />
        <Check label="Only one of doubled outlines" value={part.doubledRemoved} onChange={(doubledRemoved) => set({ doubledRemoved })} />
        {part.doubledRemoved && (
          <MotifLengthField
            label="Doubled within"
            value={part.doubledWithin}
            problem={problem('doubledWithin')}
            onChange={(doubledWithin) => set({ doubledWithin })}
          />
        )}
        {open && (
          <Choice
            label="Open outlines"
            value={part.open}
            of={[
              ['strokes', 'become strokes'],
              ['closed', 'are closed'],
              ['leftOut', 'are left out'],
            ]}
            onChange={(o) => set({ open: o })}
          />
        )}
        {open && part.open === 'strokes' && (
          <MotifLengthField
            label="Stroke"
            value={part.strokeWidth}
            problem={problem('strokeWidth')}
            onChange={(strokeWidth) => set({ strokeWidth })}
          />
        )}
      </div>
      {colours.length > 1 &&
        colours.map((c) => {
          const now = usedAs(c);
          return (
            <div key={c} className="part-fields">
              <i className="swatch" style={{ background: c }} title={c} />
              <Choice
                label={`Colour ${c}`}
                value={now.use}
                of={[
                  ['cut', 'is cut'],
                  ['cutsThrough', 'cuts through what is below'],
                  ['leftOut', 'is left out'],
                ]}
                onChange={(use) => change(c, { use })}
              />
              {now.use === 'cut' && (
                <Choice
                  label="From"
                  value={now.filmId}
                  of={[['', 'the part’s film'], ...films.map((f) => [f.id, f.film.name] as const)]}
                  onChange={(filmId) => change(c, { filmId })}
                />
              )}
            </div>
          );
        })}
      {drawn && drawn.weight > 0 && (
        <p className="soft small">
          Strokes of about {length(drawn.weight, units, 2)}
          {lettering
            .filter((l) => l.weight > 0)
            .map((l) => `; ${l.words}: ${figure(l.weight, units, 2)}`)
            .join('')}
        </p>
      )}
      {data && (
        <p className="soft small">
          {data.graphic.origin ? `From ${data.graphic.origin}` : 'Where it comes from is not noted'};{' '}
          {data.graphic.terms || 'terms not noted'}.
        </p>
      )}
    </>
  );
}
