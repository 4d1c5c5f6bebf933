import { describe, expect, it } from 'vitest';
import { ago, railState, stateOf } from './state';
import type { Trial } from './trials.svelte';

const trial = (on: string, n: number) => ({ on, readings: Array.from({ length: n }, () => ({})) }) as unknown as Trial;
const now = new Date('2026-11-27T15:00:00');

describe('the state of trials', () => {
  it('counts readings', () => {
    expect(stateOf(trial('', 0))).toBe('nothing read yet');
    expect(stateOf(trial('', 1))).toBe('1 reading');
    expect(stateOf(trial('', 5))).toBe('5 readings');
  });
  it('says when the last was, those without readings left out', () => {
    expect(railState([], now)).toBe('none yet');
    expect(railState([trial('2026-11-27', 0)], now)).toBe('none yet');
    expect(railState([trial('2026-11-25', 3), trial('2026-11-20', 2)], now)).toBe('2, 2 days ago');
  });
  it('tells days apart by the calendar', () => {
    expect(ago('2026-11-27', now)).toBe('today');
    expect(ago('2026-11-26', new Date('2026-11-27T00:10:00'))).toBe('yesterday');
    expect(ago('2026-08-01', now)).toBe('4 months ago');
    expect(ago('soup', now)).toBe('some time ago');
  });
});
