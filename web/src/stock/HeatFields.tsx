import { Form } from 'react-bootstrap';
import type { Schemas } from '../api/client';
import { Choice } from '../fields/Choice';
import { Words } from '../units/Words';

type Film = Schemas['Film'];
type Figure = 'from' | 'to' | 'seconds' | 'tack' | 'bears' | 'bearsHeat' | 'second';

/** What a film needs of a press and bears of it. Only heat transfer asks for it at once; of another film it is opened. */
export function HeatFields({ view, film, onChange }: { view: Schemas['FilmView']; film: Film; onChange: (change: Partial<Film>) => void }) {
  const { heat } = film;
  const set = (change: Partial<Schemas['HeatPlan']>) => onChange({ heat: { ...heat, ...change } });
  const seconds = Number(heat.seconds.replace(/\D/g, ''));
  const field = (name: Figure, label: string, usual: string) => {
    const problem = view.problems.find((p) => p.fields.includes(`heat.${name}`))?.message;
    return (
      <label>
        {label}
        <Form.Control
          size="sm"
          maxLength={20}
          value={heat[name]}
          placeholder={usual}
          isInvalid={!!problem}
          onChange={(e) => set({ [name]: e.target.value })}
        />
        {problem && (
          <span className="echo problem">
            <Words of={problem} />
          </span>
        )}
      </label>
    );
  };
  const isOpen = film.material === 'heatTransfer' || [heat.from, heat.to, heat.seconds].some((t) => t.trim() !== '');
  return (
    <details className="film-heat" open={isOpen}>
      <summary>Heat plan{isOpen ? '' : ': not pressed'}</summary>
      <div className="stock-fields">
        {field('from', 'Sets from, °C', 'not noted')}
        {field('to', 'Up to, °C', heat.from || 'the same')}
        {field('seconds', 'For, seconds', 'not noted')}
        {field('tack', 'Holds after, s', heat.seconds || 'all of it')}
        {field('bears', 'Bears in all, s', seconds > 0 ? String(2 * seconds) : 'twice as long')}
        {field('bearsHeat', 'Bears, °C', heat.to || heat.from || 'as it sets')}
        {field('second', 'Then again, s', 'no')}
        <Choice
          label="Pressed"
          value={heat.pressure}
          of={[
            ['light', 'lightly'],
            ['medium', 'medium'],
            ['firm', 'firmly'],
          ]}
          onChange={(pressure) => set({ pressure })}
        />
        <Choice
          label="Peeled"
          value={heat.peel}
          of={[
            ['hot', 'hot'],
            ['warm', 'warm'],
            ['cold', 'cold'],
          ]}
          onChange={(peel) => set({ peel })}
        />
      </div>
    </details>
  );
}
