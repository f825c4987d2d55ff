import { renderToStaticMarkup } from 'react-dom/server';
import { testFinding, testPhrase } from '../../api/testFinding';
import { describe, expect, it, vi } from 'vitest';
import type { Schemas } from '../../api/client';
import { ListNotes } from './ListNotes';
import { withColumn } from './columns';

vi.stubGlobal('localStorage', { getItem: () => null, setItem: () => undefined });
const note = (line: number, instead: string | null, severity: Schemas['Severity']) =>
  testFinding({
    rule: 'listLine',
    severity,
    line,
    words: `Line ${line} is odd.`,
    remedies:
      instead === null
        ? []
        : [{ id: `${line} ${instead}`, words: testPhrase(`Make it ${instead}`), scope: 'document', effect: null, refused: null }],
  });

describe('columns', () => {
  it('are never taken twice for the same field', () => {
    expect(withColumn(['name', 'role', ''], 1, 'name')).toEqual(['', 'name', '']);
    expect(withColumn(['name', ''], 0, '')).toEqual(['', '']);
  });
});

describe('notes of a list', () => {
  it('say what they are in a word and offer all cleaned lines at once', () => {
    const list = {
      lines: 3,
      pieces: 3,
      made: 3,
      fields: ['name'],
      head: [],
      notes: [note(1, null, 'stop'), note(2, 'b', 'told'), note(3, 'c', 'told')],
      beyond: 7,
      missing: [],
      groups: [],
    };
    const html = renderToStaticMarkup(<ListNotes list={list} onMend={() => undefined} />);
    expect(html).toContain('makes no piece');
    expect(html).toContain('Write all 2 cleaned lines so');
    expect(html).toContain('And 7 more like these.');
  });
});
