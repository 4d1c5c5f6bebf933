import { describe, expect, it } from 'vitest';
import type { Schemas } from '../api/client';
import { standing } from './live.svelte';

const value = (v: number): Schemas['LiveValue'] => ({
  name: 'tacho',
  word: 'rpm',
  value: v,
  unit: 'rpm',
  typed: `${v} rpm`,
  at: ''
});

describe('a live value', () => {
  it('is steady since it last moved by more than a hundredth', () => {
    let s = standing(undefined, value(100), 0);
    s = standing(s, value(100.5), 1000);
    expect(s.steadySince).toBe(0);
    s = standing(s, value(140), 2000);
    expect(s.steadySince).toBe(2000);
    expect(standing(s, value(140.1), 3000)).toMatchObject({ steadySince: 2000, came: 3000, value: 140.1 });
  });
});
