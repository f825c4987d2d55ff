import type { Schemas } from '../api/client';
import type { Scale } from '../board/scale';

/** Every letter as something to point at: it opens the letter's other forms. */
export function LetterMarks({
  parts,
  scale,
  onLetter,
}: {
  parts: readonly Schemas['SetPartView'][];
  scale: Scale;
  onLetter: (partId: string, index: number) => void;
}) {
  return (
    <>
      {parts.flatMap((p) =>
        p.letters.map((l) => (
          <rect
            key={`${p.partId} ${l.index}`}
            className="letter-mark"
            tabIndex={0}
            role="button"
            aria-label={`Other forms of ${l.letter}, letter ${l.index + 1} of ${p.words}`}
            x={scale.x(l.box.minX)}
            y={scale.y(l.box.maxY)}
            width={scale.k * (l.box.maxX - l.box.minX)}
            height={scale.k * (l.box.maxY - l.box.minY)}
            onClick={() => onLetter(p.partId, l.index)}
            onKeyDown={(e) => {
              if (e.key === 'Enter' || e.key === ' ') {
                e.preventDefault();
                onLetter(p.partId, l.index);
              }
            }}
          />
        )),
      )}
    </>
  );
}
