import type { Schemas } from '../../api/client';
import type { Part } from '../parts';

/** What every group of fields of a part is given. */
export interface FieldsOf<P extends Part> {
  part: P;
  problem: (field: string) => Schemas['Phrase'] | undefined;
  onChange: (part: Part) => void;
}
