import type { Schemas } from '../../api/client';

/** A typed list with the remedies of some notes applied: lines exchanged or taken away, the others as they were. */
export function mended(typed: string, notes: readonly Schemas['NameNote'][]): string {
  const lines: (string | null)[] = typed.split(/\r\n|\r|\n/);
  for (const { line, remedy } of notes) if (remedy && line >= 1 && line <= lines.length) lines[line - 1] = remedy.instead;
  return lines.filter((l): l is string => l !== null).join('\n');
}

/** The columns with one of them taken for something else; nothing but "left out" is taken twice. */
export function withColumn(columns: readonly string[], at: number, field: string): string[] {
  return columns.map((c, i) => (i === at ? field : c === field && field !== '' ? '' : c));
}
