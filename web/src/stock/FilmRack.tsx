import { useState } from 'react';
import type { Schemas } from '../api/client';
import { figure } from '../units/units';
import { useUnits } from '../units/UnitsContext';
import { FilmCard } from './FilmCard';
import { scaleOf, StockDrawing } from './StockDrawing';
import { StockItems } from './StockItems';

interface Props {
  films: readonly Schemas['FilmView'][];
  stock: readonly Schemas['FilmStockView'][];
}

/** The rack: a row for each film with what there is of it, drawn to one scale; opened to change it. */
export function FilmRack({ films, stock }: Props) {
  const [open, setOpen] = useState<string>();
  const { units } = useUnits();
  const scale = scaleOf(stock);
  return (
    <ul className="rack" aria-label="Films">
      {films.map(({ id, film, problems }) => {
        const there = stock.find((s) => s.id === id);
        const isOpen = open === id;
        return (
          <li key={id} className={isOpen ? 'open' : ''}>
            <button type="button" className="rack-row" aria-expanded={isOpen} onClick={() => setOpen(isOpen ? undefined : id)}>
              <i className="swatch" style={{ background: film.colour }} />
              <b>{film.name}</b>
              <StockDrawing film={film} stock={there} scale={scale} />
              <span className="rack-words">{there ? wordsOf(there, units) : 'nothing noted'}</span>
              {film.mirrored && <small className="mirrored">mirrored</small>}
              {problems.length + (there?.problems.length ?? 0) > 0 && <small className="over">look</small>}
              <small className="soft rack-supplier">{there?.stock.supplierName}</small>
            </button>
            {isOpen && (
              <div className="rack-open">
                <FilmCard id={id} />
                <StockItems filmId={id} />
              </div>
            )}
          </li>
        );
      })}
      {films.length === 0 && <li className="empty">No film yet. Add the one that lies on your bench.</li>}
    </ul>
  );
}

/** What there is of a film, in a few words. */
function wordsOf({ stock, shapes }: Schemas['FilmStockView'], units: Parameters<typeof figure>[1]): string {
  const words = stock.items
    .filter((i) => i.form !== 'offCut')
    .map((i) => {
      const shape = shapes.find((s) => s.id === i.id);
      const [width, length] = [shape?.width ?? 0, shape?.length ?? 0];
      return i.form === 'roll'
        ? `${figure(length, units, 0)} of a roll ${figure(width, units, 0)} wide`
        : `${i.count} × ${figure(width, units, 0)} × ${figure(length, units, 0)}`;
    });
  const offCuts = stock.items.filter((i) => i.form === 'offCut').reduce((n, i) => n + i.count, 0);
  if (offCuts > 0) words.push(offCuts === 1 ? 'one off-cut' : `${offCuts} off-cuts`);
  return words.join(', ') || 'nothing left';
}
