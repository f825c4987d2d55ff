import type { Schemas } from '../api/client';
import { figure, isSmall, length } from './units';
import { useUnits } from './UnitsContext';

/** A sentence of the server; its lengths are shown in the reader's unit. In sums (`bare`) the unit is left out. */
export function Words({ of, bare = false }: { of: Schemas['Phrase']; bare?: boolean }) {
  const { units } = useUnits();
  return (
    <>
      {of.parts.map((part, i) => {
        const digits = part.fine || (!bare && isSmall(part.millimetres ?? 0)) ? 2 : 1;
        const text = typeof part.millimetres === 'number' ? (bare ? figure : length)(part.millimetres, units, digits) : part.text;
        return part.strong ? <strong key={i}>{text}</strong> : <span key={i}>{text}</span>;
      })}
    </>
  );
}

/** A length in the reader's unit. */
export function Figure({ mm, bare = false, digits }: { mm: number; bare?: boolean; digits?: number }) {
  const { units } = useUnits();
  return <>{(bare ? figure : length)(mm, units, digits)}</>;
}
