import type { Schemas } from '../../api/client';
import { Check, Choice } from '../../fields/Choice';
import { figure } from '../../units/units';
import { useUnits } from '../../units/UnitsContext';
import { UsualLength } from '../../units/UsualLength';
import type { RunDocument } from '../useRun';
import { purposeSaid } from './WeedingCard';

const BOXES: readonly (readonly [Schemas['WeedBox'], string])[] = [
  ['none', 'none'],
  ['piece', 'round each piece'],
  ['row', 'round each row of a load'],
  ['load', 'round all of a load'],
];

/** Whether and how the waste of a film is boxed in and broken, in this run; the film is cut so in the next one too. */
export function WeedSwitches({ film, run }: { film: Schemas['WasteView']; run: RunDocument }) {
  const { units } = useUnits();
  const ways = run.document?.setUp.weeding.find((w) => w.filmId === film.filmId)?.ways ?? film.ways;
  const set = (change: Partial<Schemas['WeedWays']>) =>
    run.editSetUp((s) => ({
      ...s,
      weeding: [...s.weeding.filter((w) => w.filmId !== film.filmId), { filmId: film.filmId, ways: { ...ways, ...change } }],
    }));
  const boxed = ways.box !== 'none';
  const whole = purposeSaid(film.purpose);
  return (
    <section className="card" aria-label="Weed box and breaks">
      <h2>
        Weed box<span className="hint">cut with the ink, of {film.film}</span>
      </h2>
      <div className="weed-fields">
        <Choice label="A box" value={ways.box} of={BOXES} onChange={(box) => set({ box })} />
        {boxed && (
          <>
            <UsualLength
              label="Stands out from the ink"
              value={ways.margin}
              usual={figure(Math.max(5, film.clearance), units)}
              problem={problemOf(film, 'margin')}
              onChange={(margin) => set({ margin })}
            />
            {!whole && (
              <>
                <Check label="Breaks between rows" value={ways.betweenRows} onChange={(betweenRows) => set({ betweenRows })} />
                <Check
                  label="Breaks between words and pieces"
                  value={ways.betweenWords}
                  onChange={(betweenWords) => set({ betweenWords })}
                />
                <Check label="Breaks across long waste" value={ways.longWaste} onChange={(longWaste) => set({ longWaste })} />
                <UsualLength
                  label="Breaks keep from the ink"
                  value={ways.clearance}
                  usual={figure(1, units, 2)}
                  problem={problemOf(film, 'clearance')}
                  onChange={(clearance) => set({ clearance })}
                />
                {ways.longWaste && (
                  <UsualLength
                    label="Waste is long from"
                    value={ways.longest}
                    usual={figure(150, units)}
                    problem={problemOf(film, 'longest')}
                    onChange={(longest) => set({ longest })}
                  />
                )}
              </>
            )}
          </>
        )}
      </div>
      {boxed && whole && <p className="soft small">{whole}</p>}
      {(ways.box === 'row' || ways.box === 'load') && (
        <p className="soft small">The box goes round several pieces: it is drawn where they lie, under Loads.</p>
      )}
      <p className="soft small">The next run with {film.film} begins like this.</p>
    </section>
  );
}

const problemOf = (film: Schemas['WasteView'], field: string) => film.problems.find((p) => p.fields.includes(field))?.message;
