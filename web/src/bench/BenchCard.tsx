import type { Schemas } from '../api/client';
import { due } from '../jobs/due';
import { useUnits } from '../units/UnitsContext';
import { Words } from '../units/Words';
import { BenchWeeding } from '../weeding/BenchWeeding';
import { CardCode } from './CardCode';
import { CardSteps } from './CardSteps';
import { JoiningMaps } from './JoiningMaps';
import { PressTable } from './PressTable';
import { SmallBits } from './SmallBits';
import { placedAlike } from './placed';
import { Surface } from './Surface';

const SETTINGS: [keyof Schemas['CutSettings'], string][] = [
  ['blade', 'blade'],
  ['depth', 'depth'],
  ['pressure', 'pressure'],
  ['speed', 'speed'],
  ['passes', 'passes'],
];

const MIRRORED = { all: 'MIRRORED', some: 'PARTLY MIRRORED' };

interface Props {
  id: string;
  name: string;
  job: Pick<Schemas['Job'], 'name' | 'customer' | 'due'>;
  card: Schemas['BenchView'];
}

/** The card of a run, in the order in which it is done: load, cut, weed, lift, place, press, steps, care note. */
export function BenchCard({ id, name, job, card }: Props) {
  const { units } = useUnits();
  return (
    <article className="bench-card" aria-label="Bench card">
      <header>
        <div>
          <h2>{name}</h2>
          <p>
            {job.name} · {job.customer} · {due(job.due)}
          </p>
          <p>
            {card.blank} · {card.motif} · lengths in {units.unit === 'mm' ? 'millimetres' : 'inches'}, of the finished piece
          </p>
        </div>
        {card.code && <CardCode code={card.code} />}
      </header>
      <div className="card-row">
        <h3>Load</h3>
        <ul className="bench-loads">
          {card.loads.map((l) => (
            <li key={l.number}>
              <i className="swatch" style={{ background: card.films.find((f) => f.name === l.film)?.colour }} />
              Load {l.number}: {l.film}, in {card.cutter}, {l.pieces} {l.pieces === 1 ? 'piece' : 'pieces'},{' '}
              {l.mirroring === 'none' ? 'not mirrored' : <strong className="mirrored">{MIRRORED[l.mirroring]}</strong>}
              {l.releasedAt && `, released ${l.releasedAt}`} <code>{l.fileName}</code>
            </li>
          ))}
        </ul>
      </div>
      <div className="card-row">
        <h3>Cut</h3>
        {card.films.map((f) => (
          <p key={f.name}>
            <b>{f.name}:</b>{' '}
            {SETTINGS.filter(([k]) => f.settings[k])
              .map(([k, label]) => `${label} ${f.settings[k]}`)
              .join(' · ') || 'no settings are noted for this film.'}
          </p>
        ))}
        {card.sizes.map((s, i) => (
          <p key={i}>
            <Words of={s} />
          </p>
        ))}
        <p>
          Test cut first, in a corner that stays free: a square with a triangle in it. Both come out whole, and the backing shows a line and
          no cut.
        </p>
      </div>
      {card.loads.length > 0 && (
        <div className="card-row sided">
          <div>
            <BenchWeeding loads={card.loads} />
          </div>
          <div>
            {card.bits.map((b) => (
              <SmallBits key={b.film} of={b} />
            ))}
          </div>
        </div>
      )}
      <div className="card-row">
        <h3>Lift</h3>
        {card.transfer.map((t, i) => (
          <p key={i}>
            <Words of={t} />
          </p>
        ))}
        {card.layers.map((l, i) => (
          <p key={i}>
            <Words of={l} />
          </p>
        ))}
        {card.films
          .filter((f) => f.note)
          .map((f) => (
            <p key={f.name}>
              <b>{f.name}:</b> {f.note}
            </p>
          ))}
      </div>
      {card.maps.length > 0 && <JoiningMaps maps={card.maps} />}
      {placedAlike(card.surfaces).map((s) => (
        <Surface
          key={s.size}
          of={s}
          round={card.isRound}
          goods={card.goods}
          pressed={card.press?.artwork.filter((a) => a.size === s.sizeDrawn || s.sizes.includes(a.size)) ?? []}
        />
      ))}
      {card.held.length > 0 && (
        <div className="bench-held">
          <h3>Held back</h3>
          {card.held.map((h) => (
            <p key={h.why.piece}>
              {h.why.message.parts[0]?.text !== h.name && (
                <>
                  <b>{h.name}</b>:{' '}
                </>
              )}
              <Words of={h.why.message} />
            </p>
          ))}
        </div>
      )}
      {card.press && <PressTable press={card.press} />}
      <CardSteps id={id} care={card.care} />
    </article>
  );
}
