import { describe, expect, it } from 'vitest';
import { byDay } from './days';
import { blankDraft, entryOf } from './draft';
import type { Entry } from './outbox.svelte';

const now = Date.parse('2026-11-27T14:20:00Z');

describe('an entry', () => {
  it('is named by what it tells where nobody named it', () => {
    expect(entryOf({ ...blankDraft(), sort: 'hours', hours: '2.5 h' }, 'B', now, 'x').title).toBe('Ran 2.5 h');
    expect(entryOf({ ...blankDraft(), pictures: [{ id: 'p', blob: new Blob() }] }, 'B', now, 'x').title).toBe(
      'Picture'
    );
    expect(entryOf({ ...blankDraft(), title: ' Oiled ' }, 'B', now, 'x')).toMatchObject({
      id: 'x',
      title: 'Oiled',
      plan: 'B',
      happened: '2026-11-27T14:20:00.000Z'
    });
  });
  it('is of now where the day makes no sense', () => {
    expect(entryOf({ ...blankDraft(), when: 'soup' }, '', now, 'x').happened).toBe('2026-11-27T14:20:00.000Z');
  });
  it('stands under its day', () => {
    const at = (happened: string) => ({ happened }) as Entry;
    const days = byDay([at('2026-11-27T14:00:00'), at('2026-11-27T09:00:00'), at('2026-11-20T09:00:00')]);
    expect(days.map((d) => d.entries.length)).toEqual([2, 1]);
  });
});
