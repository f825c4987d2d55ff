import type { Schemas } from '../api/client';

/** The forms of a letter, drawn large in their word, of which one is chosen. */
export function LetterForms({ forms, onChoose }: { forms: Schemas['LetterForms']; onChoose: (form: Schemas['LetterForm']) => void }) {
  return (
    <>
      <div className="letter-forms">
        {[forms.asDrawn, ...forms.others].map((f) => (
          <button
            key={`${f.form.feature} ${f.form.value} ${f.form.glyph}`}
            type="button"
            className={f.isChosen ? 'letter-form here' : 'letter-form'}
            aria-pressed={f.isChosen}
            onClick={() => onChoose(f)}
          >
            <FormPicture form={f} />
            <span>
              {f.name}
              {f.isChosen ? ' · chosen' : ''}
              {f.uses > 0 && <span className="soft"> · used in {f.uses === 1 ? 'one motif' : `${f.uses} motifs`}</span>}
            </span>
          </button>
        ))}
      </div>
      {forms.others.length === 0 && (
        <p className="soft">
          {forms.face} has no other form for this letter here. Some faces keep forms without saying for which letter: look through all
          glyphs of the face, or try another typeface.
        </p>
      )}
    </>
  );
}

/** The letter large, with as much of its neighbours as there is room for. */
function FormPicture({ form }: { form: Schemas['LetterForm'] }) {
  const b = form.letterBox;
  const h = Math.max(form.box.maxY - form.box.minY, 60);
  const w = Math.max(b.maxX - b.minX + 60, h * 1.2);
  const x = (b.minX + b.maxX) / 2 - w / 2;
  return (
    <svg viewBox={`${x} ${-form.box.maxY - 6} ${w} ${h + 12}`} aria-hidden="true">
      <rect x={b.minX} y={-b.maxY} width={b.maxX - b.minX} height={b.maxY - b.minY} className="letter-at-hand" />
      <path d={form.path} transform="scale(1 -1)" className="ink" fillRule="evenodd" />
    </svg>
  );
}
