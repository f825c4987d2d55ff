import type { Schemas } from '../api/client';

/** What a reading is taken with, as a maker calls it. */
export const TOOLS: Record<Schemas['MeasuringTool'], string> = {
  paperStrip: 'paper strip',
  softTape: 'soft tape',
  steelRule: 'steel rule',
  calliper: 'calliper',
  printedStrip: 'printed strip',
};

/** A line with one of its readings changed; empty ones at its end go. */
export function withReading(line: Schemas['ReadingLine'], at: number, value: Schemas['TypedLength']): Schemas['ReadingLine'] {
  const readings = [...line.readings];
  readings[at] = value;
  while (readings.length > 0 && readings[readings.length - 1]?.text === '') readings.pop();
  return { ...line, readings };
}

/** A tool that none of the lines was read with. */
export const unusedTool = (lines: readonly Schemas['ReadingLine'][]): Schemas['MeasuringTool'] =>
  (Object.keys(TOOLS) as Schemas['MeasuringTool'][]).find((t) => !lines.some((l) => l.tool === t)) ?? 'steelRule';
