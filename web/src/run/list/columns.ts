/** The columns with one of them taken for something else; nothing but "left out" is taken twice. */
export function withColumn(columns: readonly string[], at: number, field: string): string[] {
  return columns.map((c, i) => (i === at ? field : c === field && field !== '' ? '' : c));
}
