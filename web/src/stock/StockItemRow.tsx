import { useState } from 'react';
import { Form } from 'react-bootstrap';
import type { Schemas } from '../api/client';
import { NumberField } from '../fields/Choice';
import { figure, length } from '../units/units';
import { useUnits } from '../units/UnitsContext';
import { UsualLength } from '../units/UsualLength';
import { Words } from '../units/Words';
import { cornersSaid, readCorners } from './corners';

type Item = Schemas['StockItem'];

interface Props {
  item: Item;
  shape?: Schemas['StockShape'];
  problems: readonly Schemas['Finding'][];
  set: (change: Partial<Item>) => void;
  remove: () => void;
}

const FORMS: Record<Item['form'], string> = { sheet: 'Sheets', roll: 'Roll', offCut: 'Off-cut' };

/** A stock item: its size, or the outline of an off-cut; how many, what it cost, where it comes from. */
export function StockItemRow({ item, shape, problems, set, remove }: Props) {
  const { units } = useUnits();
  const isShaped = item.outline.length > 0;
  return (
    <div className="stock-item">
      <div className="stock-item-head">
        <b>{FORMS[item.form]}</b>
        {item.form === 'offCut' && (
          <button
            type="button"
            className="quiet"
            onClick={() => set({ outline: isShaped ? [] : rectangle(shape?.width ?? 150, shape?.length ?? 150) })}
          >
            {isShaped ? 'As a rectangle' : 'By its corners'}
          </button>
        )}
        <button type="button" className="quiet" aria-label={`Take away ${FORMS[item.form].toLowerCase()}`} onClick={remove}>
          ✕
        </button>
      </div>
      {isShaped && shape?.path && (
        <svg
          className="stock-outline"
          viewBox={`-4 ${-(shape.length ?? 0) - 4} ${(shape.width ?? 0) + 8} ${(shape.length ?? 0) + 8}`}
          role="img"
          aria-label="Its shape"
        >
          <path d={shape.path} transform="scale(1 -1)" fillRule="evenodd" className="stock-shape" vectorEffect="non-scaling-stroke" />
        </svg>
      )}
      {isShaped ? (
        <CornersField item={item} set={set} />
      ) : (
        <div className="stock-fields">
          <UsualLength label="Width" value={item.width} onChange={(width) => set({ width })} />
          <UsualLength label={item.form === 'roll' ? 'Left of it' : 'Length'} value={item.length} onChange={(length) => set({ length })} />
          <NumberField
            label="How many"
            value={item.count}
            min={0}
            max={10000}
            onChange={(count) => set({ count: Math.max(0, Math.round(count)) })}
          />
          <label>
            Price
            <Form.Control size="sm" inputMode="decimal" value={item.price} onChange={(e) => set({ price: e.target.value })} />
          </label>
        </div>
      )}
      {item.liesAt && (
        <p className="soft small">
          Lies on its carrier as it was scanned, {figure(item.liesAt.x, units)} across and {length(item.liesAt.y, units)} up from the
          loading corner.{' '}
          <button type="button" className="quiet" onClick={() => set({ liesAt: null })}>
            It was taken off
          </button>
        </p>
      )}
      {problems.map((p, i) => (
        <p key={i} className="echo problem">
          <Words of={p.message} />
        </p>
      ))}
      <Form.Control
        size="sm"
        aria-label={`Where it comes from, ${FORMS[item.form].toLowerCase()}`}
        placeholder="Where it comes from"
        value={item.note}
        onChange={(e) => set({ note: e.target.value })}
      />
    </div>
  );
}

/** The corners of an off-cut, ring by ring; kept once they can be read. */
function CornersField({ item, set }: Pick<Props, 'item' | 'set'>) {
  const [typed, setTyped] = useState<string>();
  const read = typed === undefined ? undefined : readCorners(typed);
  return (
    <label className="corners">
      Corners, across and up in mm; a line for each ring, holes after the outline
      <Form.Control
        as="textarea"
        rows={Math.min(5, item.outline.length + 1)}
        size="sm"
        value={typed ?? cornersSaid(item.outline)}
        isInvalid={read?.problem !== undefined}
        onChange={(e) => {
          setTyped(e.target.value);
          const rings = readCorners(e.target.value).rings;
          if (rings) set({ outline: rings });
        }}
        onBlur={() => read?.problem === undefined && setTyped(undefined)}
      />
      {read?.problem && <span className="echo problem">{read.problem}</span>}
    </label>
  );
}

const rectangle = (width: number, length: number): Item['outline'] => [
  {
    points: [
      { x: 0, y: 0 },
      { x: width, y: 0 },
      { x: width, y: length },
      { x: 0, y: length },
    ],
  },
];
