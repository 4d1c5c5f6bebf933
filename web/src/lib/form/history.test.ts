import { afterEach, beforeEach, expect, test, vi } from 'vitest';
import { History } from './history.svelte';

beforeEach(() => void vi.useFakeTimers());
afterEach(() => void vi.useRealTimers());

test('typing on in one field is undone as one, another field by itself', () => {
  const h = new History<string>();
  h.remember('', 'power');
  h.remember('1', 'power');
  h.remember('1 h', 'power');
  h.remember('1 hp', 'volts');
  expect(h.undo('1 hp, 9')).toBe('1 hp');
  expect(h.undo('1 hp')).toBe('');
  expect(h.undo('')).toBeUndefined();
  expect(h.redo('')).toBe('1 hp');
  expect(h.redo('1 hp')).toBe('1 hp, 9');
  expect(h.redo('1 hp, 9')).toBeUndefined();
});

test('after a rest typing in the same field is another change', () => {
  const h = new History<string>();
  h.remember('', 'power');
  vi.advanceTimersByTime(1600);
  h.remember('1 hp', 'power');
  expect(h.undo('2 hp')).toBe('1 hp');
  expect(h.undo('1 hp')).toBe('');
});

test('a change after an undo forgets what was undone, and two hundred are kept', () => {
  const h = new History<number>();
  for (let i = 0; i < 250; i++) h.remember(i);
  expect(h.undo(250)).toBe(249);
  h.remember(7);
  expect(h.canRedo).toBe(false);
  let undone = 0;
  while (h.canUndo) {
    h.undo(0);
    undone++;
  }
  expect(undone).toBe(200);
});
