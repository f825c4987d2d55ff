import { useState } from 'react';
import { Form } from 'react-bootstrap';
import { useParams } from 'react-router';
import type { Schemas } from '../api/client';
import { documentSource } from '../api/documents';
import { useDocument } from '../api/useDocument';
import { Tabs } from '../frame/Tabs';
import { Conflict, TitleRow, Waiting } from '../frame/TitleRow';
import { Words } from '../units/Words';
import { BlankBoard } from './BlankBoard';
import { BlankDeeds } from './BlankDeeds';
import { FacesCard } from './FacesCard';
import { FindingsCard } from './FindingsCard';
import { GoodsCard } from './GoodsCard';
import { KeptClearCard } from './KeptClearCard';
import { MaterialCard } from './MaterialCard';
import { SURFACES } from './names';
import { ReadingsCard } from './ReadingsCard';
import { ShapeCard } from './ShapeCard';
import { StrainCard } from './StrainCard';
import { ZonesCard } from './ZonesCard';

/** A blank: its drawing and its schedule side by side. */
export function BlankPage() {
  const { id = '' } = useParams();
  return <Measuring key={id} id={id} />;
}

/** A blank that is saved as it is typed. */
export function useBlank(id: string) {
  return useDocument(documentSource('blanks', id, { key: ['blank', id], of: (view) => view.blank, touches: [['blanks']], previews: true }));
}

const TABS = [
  ['readings', 'Readings'],
  ['zones', 'Zones'],
  ['goods', 'Goods'],
] as const;

function Measuring({ id }: { id: string }) {
  const blank = useBlank(id);
  const [tab, setTab] = useState<(typeof TABS)[number][0]>('readings');
  const [lit, setLit] = useState<string>();
  const [sizeName, setSize] = useState<string>();
  const [zone, setZone] = useState<string>();
  const [film, setFilm] = useState<string>();
  const { view, document, edit } = blank;
  if (!view || !document) return <Waiting error={blank.error} undo={blank.undo} />;
  const size = view.sizes.find((s) => s.size === sizeName) ?? view.sizes[0];
  if (!size) return null;
  const used = view.jobs.length ? `used in ${view.jobs.join(', ')}` : 'not used yet';
  const shared = { view, blank: document, edit, size };
  return (
    <div className="page fill">
      <TitleRow
        title={
          <Form.Control
            className="title-field"
            aria-label="Name of the blank"
            value={document.name}
            onChange={(e) => edit((b) => ({ ...b, name: e.target.value }))}
          />
        }
        about={`${SURFACES[document.surface].toLowerCase()}${document.retired ? ', retired' : ''}${document.jobId ? ', for one job only' : ''} · ${used}`}
        undo={blank.undo}
        redo={blank.redo}
        past={`/past/blank/${id}`}
      >
        <BlankDeeds id={id} blank={document} edit={edit} inUse={view.usedBy.length > 0} settled={blank.settled} />
      </TitleRow>
      <Conflict words={blank.conflict} takeTheirs={blank.takeTheirs} keepMine={blank.keepMine} />
      <div className="measure-layout">
        <BlankBoard id={id} {...shared} onSize={setSize} zone={zone} film={film} lit={lit} onLight={setLit} />
        <div className="column">
          <Tabs label="Schedule" tabs={TABS} here={tab} onHere={setTab} className="schedule-tabs">
            {tab === 'readings' && (
              <>
                <ShapeCard id={id} {...shared} />
                <ReadingsCard {...shared} lit={lit} onLight={setLit} />
              </>
            )}
            {tab === 'zones' && (
              <>
                <ZonesCard {...shared} chosen={zone} onChoose={setZone} />
                <KeptClearCard {...shared} />
              </>
            )}
            {tab === 'goods' && (
              <>
                <MaterialCard {...shared} />
                <GoodsCard {...shared} />
              </>
            )}
            <FindingsCard findings={view.findings} />
            {tab === 'readings' && <FacesCard id={id} {...shared} />}
            {document.surface === 'bellied' && tab !== 'goods' && (
              <StrainCard id={id} revision={view.revision} film={film} onFilm={setFilm} />
            )}
            {tab !== 'goods' && <WorksOut figures={size.worksOut} />}
          </Tabs>
        </div>
      </div>
    </div>
  );
}

function WorksOut({ figures }: { figures: readonly Schemas['WorkedOut'][] }) {
  return (
    <section className="card" aria-label="Works out to">
      <h2>Works out to</h2>
      <table className="figures">
        <tbody>
          {figures.map((w) => (
            <tr key={w.name}>
              <th scope="row">{w.name}</th>
              <td>
                <Words of={w.value} />
              </td>
              <td className="soft">
                <Words of={w.from} bare />
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      {figures.length === 0 && <p className="soft">Not enough is read yet.</p>}
    </section>
  );
}
