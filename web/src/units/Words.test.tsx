import { renderToStaticMarkup } from 'react-dom/server';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import { LengthField } from './LengthField';
import { UnitsProvider } from './UnitsContext';
import { Figure, Words } from './Words';

const kept = new Map<string, string>();
vi.stubGlobal('localStorage', { getItem: (k: string) => kept.get(k) ?? null, setItem: (k: string, v: string) => kept.set(k, v) });
const sentence = {
  parts: [
    { text: 'Siân', strong: true, fine: false },
    { text: ' is ', strong: false, fine: false },
    { text: '', millimetres: 4.08, strong: true, fine: false },
    { text: ' wider; stroke ', strong: false, fine: false },
    { text: '', millimetres: 0.625, strong: false, fine: true },
  ],
};
const read = (node: React.ReactNode) => renderToStaticMarkup(<UnitsProvider>{node}</UnitsProvider>).replace(/<[^>]*>/g, '');

beforeEach(() => kept.clear());

describe('a sentence with lengths', () => {
  it('is read in millimetres, small figures to a hundredth', () => {
    expect(read(<Words of={sentence} />)).toBe('Siân is 4.08 mm wider; stroke 0.63 mm');
    expect(read(<Words of={sentence} bare />)).toBe('Siân is 4.1 wider; stroke 0.63');
  });

  it('is read in inches by who prefers them', () => {
    kept.set('cabida.units', JSON.stringify({ unit: 'in', fraction: 0 }));
    expect(read(<Words of={sentence} />)).toBe('Siân is 0.161 in wider; stroke 0.025 in');
    kept.set('cabida.units', JSON.stringify({ unit: 'in', fraction: 16 }));
    expect(read(<Figure mm={219.075} />)).toBe('8 5/8 in');
  });
});

describe('a field for a length', () => {
  const field = (text: string, unit: 'millimetre' | 'inch', echo: object) =>
    renderToStaticMarkup(
      <UnitsProvider>
        <LengthField label="Rim" value={{ text, unit }} echo={echo as never} onChange={() => undefined} />
      </UnitsProvider>,
    );

  it('echoes what was understood unless that is plainly what was typed', () => {
    expect(field('219', 'millimetre', { millimetres: 219 })).not.toContain('>= ');
    expect(field('8 5/8', 'millimetre', { millimetres: 219.075 })).toContain('= 219.1 mm');
    expect(field('8.5', 'inch', { millimetres: 215.9 })).toContain('= 215.9 mm');
  });

  it('tells what is wrong beneath the field and keeps what was typed', () => {
    const html = field('wide', 'millimetre', {
      millimetres: null,
      problem: { parts: [{ text: 'cannot be read', strong: false, fine: false }] },
    });
    expect(html).toContain('value="wide"');
    expect(html).toContain('is-invalid');
    expect(html).toContain('cannot be read');
  });

  it('is quiet about a field that is still empty', () => {
    expect(field('', 'millimetre', { millimetres: null, problem: { parts: [{ text: 'Nothing typed yet.' }] } })).not.toContain(
      'Nothing typed',
    );
  });
});
