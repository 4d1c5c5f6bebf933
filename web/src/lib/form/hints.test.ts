import { describe, expect, it } from 'vitest';
import { hintFor, inchHints } from './hints';

const sources = import.meta.glob<string>('../**/*.svelte', { query: '?raw', import: 'default', eager: true });
const metric = /^[\d.,]+ (mm|N·m|N|kg|kW|m|kg·[cm]*m²|m\/min|mm\/min|°C)(,|$| at | and )/;

describe('hints', () => {
  it('follow the units: every metric one has its like in inches', () => {
    const found = new Set<string>();
    for (const text of Object.values(sources)) {
      for (const [, hint = ''] of text.matchAll(/['"]([^'"\n]{2,40})['"]/g)) if (metric.test(hint)) found.add(hint);
    }
    expect(found.size).toBeGreaterThan(40);
    for (const hint of found) expect(inchHints[hint], hint).toBeDefined();
  });

  it('follow the region', () => {
    expect(hintFor('230 V', 'metric', 'north-america')).toBe('120 V');
    expect(hintFor('230 V', 'inch', 'europe')).toBe('230 V');
    expect(hintFor('160 mm', 'inch', 'europe')).toBe('6 1/4 in');
  });
});
