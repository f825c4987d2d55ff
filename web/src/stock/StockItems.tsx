import { Form } from 'react-bootstrap';
import { Link } from 'react-router';
import type { Schemas } from '../api/client';
import { documentSource } from '../api/documents';
import { useDocument } from '../api/useDocument';
import { Conflict } from '../frame/TitleRow';
import { NumberField } from '../fields/Choice';
import { typedAs, unitInForce } from '../units/units';
import { useUnits } from '../units/UnitsContext';
import { UsualLength } from '../units/UsualLength';
import { StockItemRow } from './StockItemRow';
import { useBegunStock } from './useBegunStock';

type Item = Schemas['StockItem'];

/** What there is of a film; it is begun when it is first opened. */
export function StockItems({ filmId }: { filmId: string }) {
  const begun = useBegunStock(filmId);
  if (!begun.data) return <p className="soft">{begun.error ? begun.error.message : 'One moment …'}</p>;
  return <Items filmId={filmId} />;
}

function Items({ filmId }: { filmId: string }) {
  const { units } = useUnits();
  const {
    view,
    document: stock,
    edit,
    conflict,
    takeTheirs,
    keepMine,
    undo,
  } = useDocument(
    documentSource('stock', filmId, {
      key: ['film-stock', filmId],
      of: (v) => v.stock,
      touches: [['stock'], ['plan'], ['cutting'], ['cost'], ['quotation']],
      previews: true,
    }),
  );
  if (!view || !stock) return null;
  const set = (change: Partial<Schemas['FilmStock']>) => edit((s) => ({ ...s, ...change }));
  const setItem = (id: string, change: Partial<Item>) =>
    edit((s) => ({ ...s, items: s.items.map((i) => (i.id === id ? { ...i, ...change } : i)) }));
  const length = (mm: number) => typedAs(mm, unitInForce(units));
  const add = (form: Item['form']) => {
    const id = `item-${Date.now().toString(36)}`;
    const [width, long] = form === 'roll' ? [305, 5000] : form === 'sheet' ? [305, 305] : [150, 150];
    edit((s) => ({
      ...s,
      items: [
        ...s.items,
        { id, form, width: length(width), length: length(long), count: 1, outline: [], liesAt: null, price: '', note: '' },
      ],
    }));
  };
  const problem = (field: string) => view.problems.find((p) => p.fields.includes(field))?.message;
  return (
    <section className="slip stock-items" aria-label="What there is of it">
      <Conflict words={conflict} takeTheirs={takeTheirs} keepMine={keepMine} />
      <h3>
        What there is
        <button type="button" className="quiet" onClick={undo}>
          Undo
        </button>
      </h3>
      {stock.items.length === 0 && <p className="soft">Nothing is noted. Loads are planned on sheets as they are bought.</p>}
      {stock.items.map((item, at) => (
        <StockItemRow
          key={item.id}
          item={item}
          shape={view.shapes.find((s) => s.id === item.id)}
          problems={view.problems.filter((p) => p.fields.some((f) => f.startsWith(`items.${at}.`)))}
          set={(change) => setItem(item.id, change)}
          remove={() => edit((s) => ({ ...s, items: s.items.filter((i) => i.id !== item.id) }))}
        />
      ))}
      <p className="file">
        {(
          [
            ['sheet', 'Sheets'],
            ['roll', 'A roll'],
            ['offCut', 'An off-cut'],
          ] as const
        ).map(([form, words]) => (
          <button key={form} type="button" className="btn btn-sm btn-line" onClick={() => add(form)}>
            + {words}
          </button>
        ))}
        <Link className="btn btn-sm btn-line" to={`/stock/${filmId}/scan`}>
          From the scanner …
        </Link>
      </p>
      <div className="stock-fields">
        <UsualLength
          label="Margin at edges"
          value={stock.edgeMargin}
          usual="5 mm"
          problem={problem('edgeMargin')}
          onChange={(edgeMargin) => set({ edgeMargin })}
        />
        <UsualLength
          label="Thickness"
          value={stock.thickness}
          usual="not known"
          problem={problem('thickness')}
          onChange={(thickness) => set({ thickness })}
        />
        <NumberField
          label="Keeps, months"
          value={stock.keepsMonths ?? 0}
          min={0}
          max={600}
          onChange={(m) => set({ keepsMonths: m >= 1 && m <= 600 ? Math.round(m) : null })}
        />
        <label>
          Price, m²
          <Form.Control
            size="sm"
            maxLength={20}
            placeholder={typeof view.squareMetre === 'number' ? view.squareMetre.toFixed(2) : 'not noted'}
            value={stock.perSquareMetre}
            isInvalid={!!problem('perSquareMetre')}
            onChange={(e) => set({ perSquareMetre: e.target.value })}
          />
        </label>
        <label>
          Supplier calls it
          <Form.Control size="sm" value={stock.supplierName} maxLength={200} onChange={(e) => set({ supplierName: e.target.value })} />
        </label>
      </div>
      <Form.Control
        as="textarea"
        rows={1}
        size="sm"
        aria-label="Note on what there is"
        placeholder="Anything worth remembering"
        value={stock.note}
        onChange={(e) => set({ note: e.target.value })}
      />
    </section>
  );
}
