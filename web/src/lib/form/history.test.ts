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
  const [first, second] = [
    { before: '', after: '1 hp' },
    { before: '1 hp', after: '1 hp, 9' }
  ];
  expect(h.undo('1 hp, 9')).toEqual(second);
  expect(h.undo('1 hp')).toEqual(first);
  expect(h.undo('')).toBeUndefined();
  expect(h.redo('')).toEqual(first);
  expect(h.redo('1 hp')).toEqual(second);
  expect(h.redo('1 hp, 9')).toBeUndefined();
});

test('after a rest typing in the same field is another change', () => {
  const h = new History<string>();
  h.remember('', 'power');
  vi.advanceTimersByTime(1600);
  h.remember('1 hp', 'power');
  expect(h.undo('2 hp')?.before).toBe('1 hp');
  expect(h.undo('1 hp')?.before).toBe('');
});

test('what comes in from elsewhere ends a change, and is no part of the next', () => {
  const h = new History<string>();
  h.remember('', 'power');
  h.close('1');
  h.remember('1 and theirs', 'power');
  expect(h.undo('1 hp and theirs')).toEqual({ before: '1 and theirs', after: '1 hp and theirs' });
  expect(h.undo('1 and theirs')).toEqual({ before: '', after: '1' });
});

test('a change after an undo forgets what was undone, and two hundred are kept', () => {
  const h = new History<number>();
  for (let i = 0; i < 250; i++) h.remember(i);
  expect(h.undo(250)?.before).toBe(249);
  h.remember(7);
  expect(h.canRedo).toBe(false);
  let undone = 0;
  while (h.canUndo) {
    h.undo(0);
    undone++;
  }
  expect(undone).toBe(200);
});
