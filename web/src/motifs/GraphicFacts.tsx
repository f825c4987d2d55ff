import { useState } from 'react';
import { Form } from 'react-bootstrap';
import type { Schemas } from '../api/client';
import { documentSource } from '../api/documents';
import { useDocument } from '../api/useDocument';
import { length } from '../units/units';
import { useUnits } from '../units/UnitsContext';
import { Words } from '../units/Words';
import { Distance } from './Distance';

type View = Schemas['GraphicView'];

/** Where a graphic comes from, on what terms, and how large it is. */
export function GraphicFacts({ id, onUse }: { id: string; onUse: (graphic: View) => void }) {
  const { units } = useUnits();
  const [measuring, setMeasuring] = useState(false);
  const { view, document, edit, undo } = useDocument(
    documentSource('graphics', id, { key: ['graphic', id], of: (v) => v.graphic, touches: [['graphics']] }),
  );
  if (!view || !document) return null;
  const set = (to: Partial<Schemas['Graphic']>) => edit((g) => ({ ...g, ...to }));
  const size = `${length(document.width * document.scale, units)} × ${length(document.height * document.scale, units)}`;
  const asRead = document.supposed[0]?.perUnit ?? 1;
  return (
    <section className="graphic-facts" aria-label={document.name}>
      <label>
        Called
        <Form.Control size="sm" value={document.name} onChange={(e) => set({ name: e.target.value })} />
      </label>
      <p>
        {document.sizeStated ? (
          <>
            Its file says <strong>{size}</strong>.
          </>
        ) : (
          <>
            Its file does not say how large it is. Now <strong>{size}</strong>.
          </>
        )}
      </p>
      {!document.sizeStated && (
        <fieldset className="supposed">
          <legend>How large it would be, if</legend>
          {document.supposed.map((s) => (
            <Form.Check
              key={s.assumption}
              type="radio"
              name="supposed"
              id={`supposed-${s.assumption}`}
              checked={Math.abs(document.scale - s.perUnit / asRead) < 1e-9}
              onChange={() => set({ scale: s.perUnit / asRead })}
              label={`${s.assumption}: ${length(s.width, units)} × ${length(s.height, units)}`}
            />
          ))}
        </fieldset>
      )}
      <button type="button" className="btn btn-sm btn-line" aria-expanded={measuring} onClick={() => setMeasuring(!measuring)}>
        Make a distance so long
      </button>
      {measuring && <Distance graphic={view} onScale={(by) => set({ scale: document.scale * by })} />}
      <label>
        Where it comes from
        <Form.Control
          size="sm"
          placeholder="who drew it, or where it was bought"
          value={document.origin}
          onChange={(e) => set({ origin: e.target.value })}
        />
      </label>
      <label>
        On what terms
        <Form.Control
          size="sm"
          placeholder="own drawing, bought for sale, not for sale …"
          value={document.terms}
          onChange={(e) => set({ terms: e.target.value })}
        />
      </label>
      {(!document.origin || !document.terms) && (
        <p className="finding">Note where it comes from and on what terms it may be used, while you know it.</p>
      )}
      {document.notes.map((n, i) => (
        <p key={i} className="soft small">
          <Words of={n} />
        </p>
      ))}
      {view.doubled > 0 && (
        <p className="finding">
          {view.doubled === 1 ? 'An outline in it seems' : `${view.doubled} outlines in it seem`} to be traced at both sides of a line. Once
          it is a part, “only one of doubled outlines” keeps the outer.
        </p>
      )}
      {typeof view.weight === 'number' && (
        <p className="soft small">Its strokes are about {length(view.weight, units, 2)} thick at this size.</p>
      )}
      <p className="graphic-deeds">
        <button type="button" className="btn btn-sm btn-main" onClick={() => onUse(view)}>
          Put it in the motif
        </button>
        <button type="button" className="quiet" onClick={undo}>
          Undo
        </button>
      </p>
    </section>
  );
}
