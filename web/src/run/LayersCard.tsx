import type { Schemas } from '../api/client';
import { Check, Choice } from '../fields/Choice';
import { untyped } from '../units/units';
import { useUnits } from '../units/UnitsContext';
import { UsualLength } from '../units/UsualLength';
import type { SetUp } from './useRun';

type Under = Schemas['FilmUnder'];

const WAYS = [
  ['stacked', 'stacked, one on the other'],
  ['knockedOut', 'knocked out of it'],
  ['setIn', 'set into it'],
] as const;

interface Props {
  view: Schemas['RunView'];
  run: SetUp;
  edit: (change: (r: SetUp) => SetUp) => void;
}

/** How films lie that cross one another: what a lower one loses to those over it, and marks to lay them by. */
export function LayersCard({ view, run, edit }: Props) {
  const { units } = useUnits();
  const films = [...(run.film && view.film ? [{ id: run.film.id, name: view.film.name }] : []), ...view.films].filter(
    (f, i, all) => all.findIndex((o) => o.id === f.id) === i,
  );
  if (films.length < 2) return null;
  const of = (filmId: string): Under =>
    run.layers.find((l) => l.filmId === filmId) ?? {
      filmId,
      way: 'stacked',
      overlap: untyped(units),
    };
  const set = (filmId: string, to: Partial<Under>) =>
    edit((r) => ({ ...r, layers: [...r.layers.filter((l) => l.filmId !== filmId), { ...of(filmId), ...to }] }));
  return (
    <section className="card" aria-label="Films over one another">
      <h2>Films over one another</h2>
      <p className="soft small">Where another film lies over it, the one beneath is cut whole, or loses what is covered.</p>
      {films.map((f) => {
        const under = of(f.id);
        return (
          <div key={f.id} className="layer-row">
            <Choice
              label={`What lies over ${f.name || 'one that is gone'} is`}
              value={under.way}
              of={WAYS}
              onChange={(way) => set(f.id, { way })}
            />
            {under.way === 'setIn' && (
              <UsualLength
                label={`Overlap on ${f.name}`}
                value={under.overlap}
                usual="1 mm"
                onChange={(overlap) => set(f.id, { overlap })}
              />
            )}
          </div>
        );
      })}
      <Check
        label="Cut three marks with every film, to lay them on one another by"
        value={run.layerMarks}
        onChange={(layerMarks) => edit((r) => ({ ...r, layerMarks }))}
      />
    </section>
  );
}
