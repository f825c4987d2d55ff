import { Form } from 'react-bootstrap';
import type { Schemas } from '../../api/client';
import { byKind } from '../../typefaces/faces';
import { useFavourites } from '../../typefaces/favourites';

interface Props {
  value: string;
  typefaces: readonly Schemas['TypefaceName'][];
  wrong?: boolean;
  onChange: (id: string) => void;
}

/** A typeface from all at hand, favourites first, the others by kind. */
export function TypefaceChoice({ value, typefaces, wrong = false, onChange }: Props) {
  const { favourites } = useFavourites();
  const liked = typefaces.filter((t) => favourites.includes(t.id));
  return (
    <label>
      Typeface
      <Form.Select size="sm" value={value} isInvalid={wrong} onChange={(e) => onChange(e.target.value)}>
        {!typefaces.some((t) => t.id === value) && <option value={value}>one that is gone</option>}
        {liked.length > 0 && (
          <optgroup label="favourites">
            {liked.map((t) => (
              <option key={t.id} value={t.id}>
                {t.name} ({t.kind})
              </option>
            ))}
          </optgroup>
        )}
        {byKind(typefaces.filter((t) => !favourites.includes(t.id))).map(([kind, faces]) => (
          <optgroup key={kind} label={kind}>
            {faces.map((t) => (
              <option key={t.id} value={t.id}>
                {t.name} ({t.kind})
              </option>
            ))}
          </optgroup>
        ))}
      </Form.Select>
    </label>
  );
}
