import { Form } from 'react-bootstrap';
import type { Schemas } from '../api/client';
import { fillOf, FilmPatterns } from '../board/FilmPatterns';
import { documentSource, removalOf } from '../api/documents';
import { useDocument } from '../api/useDocument';
import { useRemoval } from '../api/useRemoval';
import { Choice } from '../fields/Choice';
import { Conflict } from '../frame/TitleRow';
import { FilmLimits } from './FilmLimits';
import { HeatFields } from './HeatFields';
import { StockHead } from './StockHead';
import { UsualLength } from '../units/UsualLength';

type Film = Schemas['Film'];
const PATTERNS: [Film['pattern'], string][] = [
  ['none', 'plain'],
  ['stripes', 'stripes'],
  ['dots', 'dots'],
  ['check', 'check'],
  ['leaves', 'leaves'],
  ['bricks', 'bricks'],
  ['chips', 'chips'],
  ['waves', 'waves'],
];

const SETTINGS: [keyof Schemas['CutSettings'], string][] = [
  ['blade', 'Blade'],
  ['depth', 'Depth'],
  ['pressure', 'Pressure'],
  ['speed', 'Speed'],
  ['passes', 'Passes'],
];

/** A film: its colour, sheet, limits, and how it is cut. */
export function FilmCard({ id }: { id: string }) {
  const {
    view,
    document: film,
    edit,
    conflict,
    takeTheirs,
    keepMine,
    undo,
    settled,
  } = useDocument(documentSource('films', id, { key: ['film', id], of: (v) => v.film, touches: [['films']], previews: true }));
  const remove = useRemoval({
    name: film?.name ?? '',
    settled,
    ...removalOf('films', id),
  });
  if (!view || !film) return null;
  const set = (change: Partial<Film>) => edit((f) => ({ ...f, ...change }));
  const length = (field: 'width' | 'length', label: string) => (
    <UsualLength
      label={label}
      value={film[field]}
      problem={view.problems.find((p) => p.fields.includes(field))?.message}
      onChange={(v) => set({ [field]: v })}
    />
  );
  return (
    <section className="slip stock-card" aria-label={film.name}>
      <Conflict words={conflict} takeTheirs={takeTheirs} keepMine={keepMine} />
      <StockHead
        label="Name"
        name={film.name}
        onName={(name) => set({ name })}
        undo={undo}
        past={`/past/film/${id}`}
        usedBy={view.usedBy}
        remove={() => remove.mutate()}
      >
        <input type="color" aria-label={`Colour of ${film.name}`} value={film.colour} onChange={(e) => set({ colour: e.target.value })} />
      </StockHead>
      <div className="stock-fields">
        <label>
          It is
          <Form.Select size="sm" value={film.purpose} onChange={(e) => set({ purpose: e.target.value as Film['purpose'] })}>
            <option value="stays">staying on</option>
            <option value="pulledOff">a mask</option>
            <option value="loose">a stencil</option>
          </Form.Select>
        </label>
        <label>
          It is cut
          <Form.Select size="sm" value={film.mirrored ? 'back' : 'front'} onChange={(e) => set({ mirrored: e.target.value === 'back' })}>
            <option value="front">as it reads</option>
            <option value="back">mirrored</option>
          </Form.Select>
        </label>
        <label>
          Material
          <Form.Select
            size="sm"
            aria-label={`Material of ${film.name}`}
            value={film.material}
            onChange={(e) => set({ material: e.target.value as Film['material'] })}
          >
            <option value="vinyl">vinyl</option>
            <option value="heatTransfer">heat transfer</option>
            <option value="card">card</option>
            <option value="sheet">stiff sheet</option>
          </Form.Select>
        </label>
        <Choice
          label="Pieces are turned"
          value={film.direction}
          of={[
            ['quarters', 'by quarters'],
            ['any', 'by any angle'],
            ['oneWay', 'not at all'],
          ]}
          onChange={(direction) => set({ direction })}
        />
        <label>
          Pattern
          <Form.Select
            size="sm"
            aria-label={`Pattern of ${film.name}`}
            value={film.pattern}
            onChange={(e) => set({ pattern: e.target.value as Film['pattern'], patternColour: film.patternColour || '#fffdf8' })}
          >
            {PATTERNS.map(([key, words]) => (
              <option key={key} value={key}>
                {words}
              </option>
            ))}
          </Form.Select>
        </label>
        {film.pattern !== 'none' && (
          <label>
            Drawn in
            <span className="colour-field">
              <input
                type="color"
                aria-label={`Colour of the pattern of ${film.name}`}
                value={film.patternColour || '#fffdf8'}
                onChange={(e) => set({ patternColour: e.target.value })}
              />
              <PatternSample film={film} />
            </span>
          </label>
        )}
        {length('width', 'Sheet wide')}
        {length('length', 'Sheet long')}
        {SETTINGS.map(([key, label]) => (
          <label key={key}>
            {label}
            <Form.Control
              size="sm"
              value={film.settings[key]}
              onChange={(e) => set({ settings: { ...film.settings, [key]: e.target.value } })}
            />
          </label>
        ))}
      </div>
      <FilmLimits view={view} film={film} onChange={set} />
      {film.purpose === 'stays' && <HeatFields view={view} film={film} onChange={set} />}
      <Form.Control
        as="textarea"
        rows={2}
        size="sm"
        aria-label={`How ${film.name} is applied`}
        placeholder="How it is applied"
        value={film.note}
        onChange={(e) => set({ note: e.target.value })}
      />
    </section>
  );
}

/** A scrap of a patterned film at true proportion. */
function PatternSample({ film }: { film: Film }) {
  return (
    <svg className="pattern-sample" viewBox="0 0 24 10" aria-hidden="true">
      <FilmPatterns films={[film]} />
      <rect width={24} height={10} fill={fillOf(film)} />
    </svg>
  );
}
