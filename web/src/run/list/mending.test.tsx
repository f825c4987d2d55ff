import { renderToStaticMarkup } from 'react-dom/server';
import { describe, expect, it, vi } from 'vitest';
import type { Schemas } from '../../api/client';
import { ListNotes } from './ListNotes';
import { mended, withColumn } from './mending';

vi.stubGlobal('localStorage', { getItem: () => null, setItem: () => undefined });
const note = (line: number, instead: string | null, kind: Schemas['NoteKind'] = 'suspicious'): Schemas['NameNote'] => ({
  line,
  kind,
  stops: false,
  message: { parts: [{ text: `Line ${line} is odd.`, strong: false, fine: false, millimetres: null }] },
  remedy: { label: `Make it ${instead}`, instead },
});

describe('mending a list', () => {
  it('changes the lines that are meant and no other', () => {
    expect(mended('Bram\r\nMART1N\tguard\n\nSiân', [note(2, 'Martin\tguard')])).toBe('Bram\nMartin\tguard\n\nSiân');
  });

  it('takes several lines away without mixing up their numbers', () => {
    expect(mended('a\nb\nc\nd', [note(2, null), note(4, 'D'), note(1, null)])).toBe('c\nD');
  });

  it('leaves a list alone whose line is gone', () => {
    expect(mended('a', [note(9, 'x')])).toBe('a');
  });
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
      notes: [note(1, null, 'wrong'), note(2, 'b', 'cleaned'), note(3, 'c', 'cleaned')],
      beyond: 7,
      missing: [],
      groups: [],
    };
    const html = renderToStaticMarkup(<ListNotes list={list} typed={'a\n b\n c'} onMend={() => undefined} />);
    expect(html).toContain('makes no piece');
    expect(html).toContain('Write all 2 cleaned lines so');
    expect(html).toContain('And 7 more like these.');
  });
});
