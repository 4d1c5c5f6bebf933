import { expect, test, vi } from 'vitest';
import { newId } from './newId';

test('an ID is a random UUID, also where the browser makes none', () => {
  vi.stubGlobal('crypto', { getRandomValues: crypto.getRandomValues.bind(crypto) });
  const ids = Array.from({ length: 500 }, newId);
  vi.unstubAllGlobals();
  for (const id of ids) expect(id).toMatch(/^[0-9a-f]{8}-[0-9a-f]{4}-4[0-9a-f]{3}-[89ab][0-9a-f]{3}-[0-9a-f]{12}$/);
  expect(new Set(ids).size).toBe(500);
  expect(new Set(ids.map((id) => id.slice(0, 8))).size).toBe(500);
});
