import { useState } from 'react';
import { keepScreenScale, scaleFrom } from '../board/screen';
import { NumberField } from '../fields/Choice';

/** The bar that is measured, in millimetres. */
const BAR = 100;

/** A bar to hold a rule to: what it measures says how large this screen draws. Asked for once, and kept with the browser. */
export function ScreenRule({ k, measured, onMeasured }: { k: number; measured: boolean; onMeasured: (k: number) => void }) {
  const [drawn] = useState(k);
  const [reads, setReads] = useState(BAR);
  const [open, setOpen] = useState(!measured);
  if (!open)
    return (
      <p className="soft screen-rule">
        As large as it is.
        <button type="button" className="quiet" onClick={() => setOpen(true)}>
          Measure the screen again
        </button>
      </p>
    );
  return (
    <div className="screen-rule">
      <svg width={drawn * BAR + 2} height={14} role="img" aria-label={`A bar of ${BAR} millimetres, as far as this screen is known`}>
        {Array.from({ length: 11 }, (_, i) => (
          <line key={i} x1={1 + (drawn * BAR * i) / 10} x2={1 + (drawn * BAR * i) / 10} y1={i % 5 === 0 ? 2 : 7} y2={12} />
        ))}
        <line x1={1} x2={1 + drawn * BAR} y1={12} y2={12} />
      </svg>
      <NumberField
        label="By a rule this bar is, mm"
        value={reads}
        min={20}
        max={400}
        step={0.5}
        wrong={scaleFrom(drawn, BAR, reads) === undefined}
        onChange={(read) => {
          setReads(read);
          const found = scaleFrom(drawn, BAR, read);
          if (found === undefined) return;
          keepScreenScale(found);
          onMeasured(found);
        }}
      />
      <span className="soft">{measured ? 'As large as it is.' : 'Measure the bar once, to be sure.'}</span>
    </div>
  );
}
