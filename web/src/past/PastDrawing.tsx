import type { Schemas } from '../api/client';
import { InkPicture } from '../board/InkPicture';

/** A thing as it was. */
export function PastDrawing({ of, label }: { of: Schemas['PastPicture'] | null; label: string }) {
  if (!of) return null;
  return (
    <figure className="past-drawing">
      <InkPicture
        className={of.goods.isDark ? 'run-picture on-dark' : 'run-picture'}
        goods={of.goods.colour}
        label={label}
        box={of}
        paths={of.paths.map((p) => ({ d: p.path, className: p.kind ? `stroke-${p.kind}` : undefined, fill: p.colour || undefined }))}
        inks={of.inks}
      />
      <figcaption className="soft small">{label}</figcaption>
    </figure>
  );
}
