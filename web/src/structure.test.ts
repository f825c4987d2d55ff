import { expect, test } from 'vitest';

/** Every source file with its text; folders are features. */
const files = import.meta.glob<string>(['./**/*.ts', './**/*.tsx', '!./**/*.test.*', '!./api/generated/**'], {
  query: '?raw',
  import: 'default',
  eager: true,
});

test('no feature imports another that imports it, however long the way round', () => {
  const imports = new Map<string, Set<string>>();
  for (const [path, text] of Object.entries(files)) {
    const [, feature, rest] = /^\.\/([^/]+)\/(.+)$/.exec(path) ?? [];
    if (!feature || rest === undefined) continue;
    const known = imports.get(feature) ?? new Set<string>();
    imports.set(feature, known);
    for (const [, to = ''] of text.matchAll(/from '((?:\.\.?\/)[^']*)'/g)) {
      const target = new URL(to, `http://src/${path.slice(2)}`).pathname.split('/')[1] ?? '';
      if (target !== feature) known.add(target);
    }
  }
  expect(imports.size).toBeGreaterThan(8);
  expect(imports.get('run')).toContain('board');
  const round = [...imports.keys()].flatMap((start) => {
    const [seen, open] = [new Set<string>(), [...(imports.get(start) ?? [])]];
    for (let at = open.pop(); at !== undefined; at = open.pop()) {
      if (seen.has(at)) continue;
      seen.add(at);
      open.push(...(imports.get(at) ?? []));
    }
    return seen.has(start) ? [start] : [];
  });
  expect(round).toEqual([]);
});
