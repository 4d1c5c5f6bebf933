import { describe, expect, it } from 'vitest';
import type { Schemas } from '../api/client';
import { barred } from './steps';

const step = (id: string, live: boolean) => ({ id, what: id, expect: '', measure: '', live });
const build = (mayPower: boolean) =>
  ({
    mayPower,
    blocked: mayPower ? '' : 'Guard the belt',
    powerUp: [step('a', false), step('b', false), step('c', true), step('d', true)]
  }) as unknown as Schemas['Build'];

describe('a step of the first power-up', () => {
  it('with the plug out may always be ticked', () => {
    expect(barred(build(false), () => false, 0)).toBe('');
  });

  it('with the supply on waits for the stop, for all with the plug out, and for the one before', () => {
    expect(barred(build(false), () => true, 2)).toBe('');
    expect(barred(build(false), () => false, 2)).toContain('Guard the belt');
    expect(barred(build(true), (id) => id === 'a', 2)).toContain('plug out');
    expect(barred(build(true), (id) => id !== 'c' && id !== 'd', 3)).toBe('First the step before.');
    expect(barred(build(true), (id) => id !== 'd', 3)).toBe('');
  });
});
