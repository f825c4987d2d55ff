import { useQuery } from '@tanstack/react-query';
import { Link } from 'react-router';
import { answer, api, type Schemas } from '../api/client';
import { InkPicture } from '../board/InkPicture';
import { Check } from '../fields/Choice';
import { Words } from '../units/Words';
import { NewBlank } from '../shelf/NewBlank';
import { LayersCard } from './LayersCard';
import { PinChoice } from './PinChoice';
import { SidesCard } from './SidesCard';
import { SizingFields } from './SizingFields';
import type { EditSetUp, SetUp } from './useRun';
import { ZoneChoice } from './ZoneChoice';

interface Props {
  view: Schemas['RunView'];
  setUp: SetUp;
  /** The fields that columns of its list are; those an order may fill, of an offer. */
  columns: readonly string[];
  edit: EditSetUp;
  editRun: (change: (run: Schemas['Run']) => Schemas['Run']) => void;
}

/** How things are made, of a run or an offer: on what, what, cut from what, how large, on which sides. */
export function SetUpCards({ view, setUp, columns, edit, editRun }: Props) {
  const blanks = useQuery({ queryKey: ['blanks'], queryFn: () => answer(api.GET('/api/blanks')), select: (l) => l.cards });
  const motifs = useQuery({ queryKey: ['motifs'], queryFn: () => answer(api.GET('/api/motifs')), select: (l) => l.cards });
  const films = useQuery({ queryKey: ['films'], queryFn: () => answer(api.GET('/api/films')), select: (l) => l.cards });
  const cutters = useQuery({ queryKey: ['cutters'], queryFn: () => answer(api.GET('/api/cutters')), select: (l) => l.cards });
  const motif = motifs.data?.find((m) => m.id === setUp.motif?.id);
  const lack = (field: string) => view.lacks.find((l) => l.fields.includes(field))?.message;
  const pin = (what: 'motif' | 'film' | 'cutter') => (value: Schemas['Pin'] | null) => edit((r) => ({ ...r, [what]: value }));
  return (
    <div className="column">
      <section className="card" aria-label="Goods">
        <h2>On what</h2>
        <PinChoice
          label="Blank"
          pin={setUp.blank}
          view={view.blank}
          lack={lack('blank')}
          choices={blanks.data
            ?.filter((b) => b.id === setUp.blank?.id || (!b.retired && (!b.jobId || b.jobId === setUp.jobId)))
            .map((b) => ({ id: b.id, revision: b.revision, name: b.name }))}
          onChange={(value) => edit((r) => ({ ...r, blank: value, ...(value?.id === r.blank?.id ? {} : { zone: '', size: '' }) }))}
        />
        <ZoneChoice view={view} run={setUp} edit={edit} />
        {view.room && (
          <p className="soft small">
            <Words of={view.room} />
          </p>
        )}
        {blanks.data?.length === 0 && (
          <p className="soft">
            <Link to="/shelf">Measure a blank first</Link>
          </p>
        )}
        {!setUp.blank && <NewBlank jobId={setUp.jobId} />}
      </section>
      <section className="card" aria-label="Artwork">
        <h2>What</h2>
        <PinChoice
          label="Motif"
          pin={setUp.motif}
          view={view.motif}
          lack={lack('motif')}
          choices={motifs.data?.map((m) => ({ id: m.id, revision: m.revision, name: m.name }))}
          onChange={pin('motif')}
        />
        {motif?.inkBox && <InkPicture className="set-up-ink" label={motif.name} box={motif.inkBox} inks={motif.inks} />}
        {motifs.data?.length === 0 && (
          <p className="soft">
            <Link to="/motifs">Compose a motif first</Link>
          </p>
        )}
      </section>
      <section className="card" aria-label="Cutting">
        <h2>Cut from</h2>
        <PinChoice
          label="Film"
          pin={setUp.film}
          view={view.film}
          lack={lack('film')}
          choices={films.data?.map((f) => ({ id: f.id, revision: f.revision, name: f.film.name }))}
          onChange={pin('film')}
        />
        {view.mirror && (
          <p className="soft small">
            <Words of={view.mirror} />
          </p>
        )}
        {(view.material?.material.opacity === 'clear' || setUp.seenThrough) && (
          <Check
            label="It lies behind the clear goods and is seen through them"
            value={setUp.seenThrough}
            onChange={(seenThrough) => edit((r) => ({ ...r, seenThrough }))}
          />
        )}
        {view.films.length > 0 && (
          <p className="soft small">
            Parts of the motif are of films of their own: {view.films.map((f) => f.name || 'one that is not here any more').join(', ')}.
          </p>
        )}
        {view.films
          .filter((f) => f.newer !== null)
          .map((f) => (
            <p key={f.id} className="soft small">
              {f.name} was changed in the stock since.{' '}
              <button
                type="button"
                className="quiet"
                onClick={() =>
                  edit((r) => ({ ...r, films: r.films.map((x) => (x.id === f.id ? { id: f.id, revision: f.newer ?? x.revision } : x)) }))
                }
              >
                Take the newer one
              </button>
            </p>
          ))}
        {view.material?.notes.map((n, i) => (
          <p key={i} className="finding">
            <Words of={n} />
          </p>
        ))}
        <PinChoice
          label="Cutter"
          pin={setUp.cutter}
          view={view.cutter}
          choices={cutters.data?.map((c) => ({ id: c.id, revision: c.revision, name: c.cutter.name }))}
          onChange={pin('cutter')}
        />
        {(films.data?.length === 0 || cutters.data?.length === 0) && (
          <p className="soft">
            <Link to="/stock">Add what you cut, and with what, to the stock</Link>
          </p>
        )}
      </section>
      <LayersCard view={view} run={setUp} edit={edit} />
      <SizingFields view={view} run={setUp} columns={columns} edit={edit} lack={lack('scale')} />
      <SidesCard view={view} run={setUp} edit={editRun} motifs={motifs.data ?? []} lack={lack('sides')} />
    </div>
  );
}
