import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { Form } from 'react-bootstrap';
import { Link } from 'react-router';
import { answer, api, type Schemas } from '../api/client';
import { BrokenCards } from '../frame/BrokenCards';
import { TitleRow, Waiting } from '../frame/TitleRow';
import { useUnits } from '../units/UnitsContext';
import { Words } from '../units/Words';
import { found, inReach, NONE, type Sieve } from './find';
import { shelves } from './shelves';
import { ImportBlanks } from './ImportBlanks';
import { fewOf, SURFACES } from './names';
import { NewBlank } from './NewBlank';
import { ShelfPicture } from './ShelfPicture';

/** Every blank, drawn to one common scale. */
export function ShelfPage() {
  const { units } = useUnits();
  const { data, error } = useQuery({ queryKey: ['blanks'], queryFn: () => answer(api.GET('/api/blanks')) });
  const [sieve, setSieve] = useState<Sieve>(NONE);
  if (!data) return <Waiting error={error} />;
  const here = data.cards.filter((b) => !b.jobId);
  const shown = here.filter((b) => found(b, sieve, units.unit));
  const boards = shelves(shown);
  const retired = here.filter((b) => b.retired).length;
  return (
    <div className="page">
      <TitleRow
        title="Shelf"
        about={`${here.length - retired} ${here.length - retired === 1 ? 'blank' : 'blanks'}, ${boards.length > 1 ? 'each shelf drawn' : 'drawn'} to one scale`}
      >
        <Sieves all={here} sieve={sieve} onSieve={setSieve} retired={retired} />
      </TitleRow>
      {here.length + data.broken.length === 0 && (
        <p className="empty">
          Nothing measured yet. A blank is a mug, a shirt, a board or a frame as you buy it: measure it once, and every run can use it.
        </p>
      )}
      {here.length > 0 && shown.length === 0 && (
        <p className="empty">
          No blank is like that.{' '}
          <button type="button" className="btn btn-sm btn-line" onClick={() => setSieve(NONE)}>
            Show all of them
          </button>
        </p>
      )}
      <BrokenCards kind="blanks" of={data.broken} />
      {boards.map((board) => (
        <section key={board.name} aria-label={board.name || 'Blanks'}>
          {board.name && <h2 className="section">{board.name}</h2>}
          <div className="shelf">
            {board.blanks.map((b) => (
              <ShelfBlank key={b.id} blank={b} k={board.scale} />
            ))}
          </div>
        </section>
      ))}
      <div className="shelf new-ones">
        <div className="new-card">
          <NewBlank />
          <ImportBlanks />
        </div>
      </div>
    </div>
  );
}

/** A blank as it stands on the shelf. */
function ShelfBlank({ blank: b, k }: { blank: Schemas['BlankCard']; k: number }) {
  return (
    <Link to={`/shelf/${b.id}`} className={b.retired ? 'shelf-blank retired' : 'shelf-blank'}>
      <ShelfPicture drawing={b.standing} k={k} />
      <strong>{b.name || 'Without a name'}</strong>
      <span>
        <Words of={b.room} />
      </span>
      <span className="soft">{[SURFACES[b.surface].toLowerCase(), b.material, ...b.tags].filter(Boolean).join(', ')}</span>
      <span className="soft">
        {b.retired ? 'retired' : b.usedBy.length > 0 ? `used by ${fewOf(b.usedBy)}` : 'not used yet'}
        {b.findings > 0 && <em className="look"> ▲ {b.findings} to look at</em>}
      </span>
    </Link>
  );
}

function Sieves({
  all,
  sieve,
  onSieve,
  retired,
}: {
  all: readonly Schemas['BlankCard'][];
  sieve: Sieve;
  onSieve: (s: Sieve) => void;
  retired: number;
}) {
  const { units } = useUnits();
  const tags = [...new Set(all.flatMap((b) => b.tags))].sort();
  const surfaces = (Object.keys(SURFACES) as Schemas['SurfaceKind'][]).filter((s) => all.some((b) => b.surface === s));
  return (
    <div className="filter" role="search" aria-label="Find on the shelf">
      <Form.Control
        size="sm"
        type="search"
        aria-label="Name, material or word"
        placeholder="Name, material or word"
        value={sieve.words}
        onChange={(e) => onSieve({ ...sieve, words: e.target.value })}
      />
      <Form.Select
        size="sm"
        aria-label="Surface"
        value={sieve.surface}
        onChange={(e) => onSieve({ ...sieve, surface: e.target.value as Sieve['surface'] })}
      >
        <option value="">every surface</option>
        {surfaces.map((s) => (
          <option key={s} value={s}>
            {SURFACES[s].toLowerCase()}
          </option>
        ))}
      </Form.Select>
      {tags.length > 0 && (
        <Form.Select size="sm" aria-label="Word" value={sieve.tag} onChange={(e) => onSieve({ ...sieve, tag: e.target.value })}>
          <option value="">every word</option>
          {tags.map((t) => (
            <option key={t} value={t}>
              {t}
            </option>
          ))}
        </Form.Select>
      )}
      <Form.Control
        size="sm"
        className={inReach(sieve.least, units.unit) === undefined && sieve.least ? 'least is-invalid' : 'least'}
        aria-label="At least this wide to work on"
        placeholder={`at least … ${units.unit} wide`}
        value={sieve.least}
        onChange={(e) => onSieve({ ...sieve, least: e.target.value })}
      />
      {retired > 0 && (
        <Form.Check
          id="retired"
          label={`${retired} retired`}
          checked={sieve.retired}
          onChange={(e) => onSieve({ ...sieve, retired: e.target.checked })}
        />
      )}
    </div>
  );
}
