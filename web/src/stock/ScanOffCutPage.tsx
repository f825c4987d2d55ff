import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { Form } from 'react-bootstrap';
import { useNavigate, useParams } from 'react-router';
import { answer, api, type Schemas } from '../api/client';
import { documentSource } from '../api/documents';
import { useDocument } from '../api/useDocument';
import { Conflict, TitleRow, Waiting } from '../frame/TitleRow';
import { ScannerTray } from '../outline/ScannerTray';
import { figure, length, untyped } from '../units/units';
import { useUnits } from '../units/UnitsContext';
import { Words } from '../units/Words';
import { FoundOffCuts } from './FoundOffCuts';
import { useBegunStock } from './useBegunStock';

/** Off-cuts of a film, scanned as they lie on their carrier, and kept in its stock. */
export function ScanOffCutPage() {
  const { filmId = '' } = useParams();
  const begun = useBegunStock(filmId);
  return begun.data ? <Scan key={filmId} filmId={filmId} /> : <Waiting error={begun.error} />;
}

function Scan({ filmId }: { filmId: string }) {
  const go = useNavigate();
  const { units } = useUnits();
  const stock = useDocument(
    documentSource('stock', filmId, { key: ['film-stock', filmId], of: (v) => v.stock, touches: [['stock'], ['plan'], ['cutting']] }),
  );
  const [picture, setPicture] = useState<Schemas['PictureView']>();
  const [dots, setDots] = useState('');
  const [chosen, setChosen] = useState(0);
  const { data, error, isFetching } = useQuery({
    queryKey: ['off-cuts', picture?.id, dots],
    queryFn: ({ signal }) =>
      answer(api.POST('/api/pictures/{id}/off-cuts', { params: { path: { id: picture?.id ?? '' }, query: { dots } }, signal })),
    enabled: !!picture,
    retry: false,
    staleTime: Infinity,
  });
  if (!stock.view || !stock.document) return <Waiting error={stock.error} />;
  const found = error ? undefined : data;
  const offCut = found?.offCuts[chosen];
  const keep = () => {
    if (!offCut) return;
    const empty = untyped(units);
    stock.edit((s) => ({
      ...s,
      items: [
        ...s.items,
        {
          id: `scan-${Date.now().toString(36)}`,
          form: 'offCut',
          width: empty,
          length: empty,
          count: 1,
          outline: offCut.rings.map((points) => ({ points })),
          liesAt: offCut.liesAt,
          price: '',
          note: 'Scanned',
        },
      ],
    }));
    void go('/stock');
  };
  return (
    <div className="page fill">
      <TitleRow title="An off-cut from the scanner" about="as it lies on its carrier, with the mark of the loading corner beside it">
        <div className="deeds">
          <button type="button" className="btn btn-sm btn-line" onClick={() => void go('/stock')}>
            Back to the stock
          </button>
          <button type="button" className="btn btn-sm btn-main" disabled={!offCut || isFetching} onClick={keep}>
            Keep this off-cut
          </button>
        </div>
      </TitleRow>
      <Conflict words={stock.conflict} takeTheirs={stock.takeTheirs} keepMine={stock.keepMine} />
      <div className="measure-layout outline-layout">
        <FoundOffCuts found={found} chosen={chosen} onChoose={setChosen} />
        <div className="column">
          <ScannerTray
            has={!!picture}
            onPicture={(p) => {
              setPicture(p);
              setDots(p.dotsPerInch ? String(p.dotsPerInch) : '');
              setChosen(0);
            }}
          />
          <section className="card" aria-label="Off-cuts found" aria-live="polite">
            <h2>
              Off-cuts found<span className="count">{isFetching ? 'looking …' : (found?.offCuts.length ?? '')}</span>
            </h2>
            {!picture && <p className="soft">Scan the carrier with what lies on it, or choose a scan that was made.</p>}
            {picture && (
              <label>
                Dots an inch
                <Form.Control size="sm" inputMode="decimal" value={dots} onChange={(e) => setDots(e.target.value)} />
              </label>
            )}
            {error && <p className="finding stop">{error.message}</p>}
            {found?.notes.map((n, i) => (
              <p key={i} className="finding">
                <Words of={n} />
              </p>
            ))}
            {found?.offCuts.length === 0 && <p className="finding">Nothing of the size of an off-cut was found.</p>}
            <div className="found-list" role="radiogroup" aria-label="Off-cut to keep">
              {found?.offCuts.map((o, i) => (
                <label key={i} className={i === chosen ? 'found-row here' : 'found-row'}>
                  <input type="radio" name="off-cut" checked={i === chosen} onChange={() => setChosen(i)} />
                  <span>
                    <strong>
                      {figure(o.width, units)} × {length(o.height, units)}
                    </strong>
                    <span className="soft">
                      {o.holes > 0 && `, ${o.holes} ${o.holes === 1 ? 'hole' : 'holes'}`}
                      {o.liesAt && `, ${figure(o.liesAt.x, units)} across and ${length(o.liesAt.y, units)} up from the loading corner`}
                    </span>
                  </span>
                </label>
              ))}
            </div>
          </section>
        </div>
      </div>
    </div>
  );
}
