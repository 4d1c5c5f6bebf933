import { expect, it } from 'vitest';

const found = import.meta.glob<string>(['../**/*.{svelte,ts}', '!../**/*.test.ts', '!../**/*.d.ts'], {
  query: '?raw',
  import: 'default',
  eager: true
});
/** Every source by its path below src, however the glob has written it. */
const sources = new Map(
  Object.entries(found).map(([at, text]) => [new URL(at, 'file:///lib/imports.test.ts').pathname.slice(1), text])
);

/** The file an import names, from the file it stands in; nothing for a package's. */
function target(from: string, named: string): string[] {
  if (!named.startsWith('.')) return [];
  const path = new URL(named, `file:///${from}`).pathname.slice(1);
  return [path, `${path}.ts`, `${path}.svelte`].filter((p) => sources.has(p)).slice(0, 1);
}

const imports = new Map(
  [...sources].map(([file, text]) => [
    file,
    [...text.matchAll(/from '([^']+)'/g)].flatMap(([, named = '']) => target(file, named))
  ])
);

it('no file of the interface imports itself by way of others', () => {
  const circles: string[] = [];
  const done = new Set<string>();
  const walk = (file: string, trail: string[]) => {
    if (trail.includes(file)) circles.push([...trail.slice(trail.indexOf(file)), file].join(' → '));
    else if (!done.has(file)) for (const next of imports.get(file) ?? []) walk(next, [...trail, file]);
    done.add(file);
  };
  for (const file of imports.keys()) walk(file, []);
  expect([...imports.values()].flat().length).toBeGreaterThan(250);
  expect(circles).toEqual([]);
});
