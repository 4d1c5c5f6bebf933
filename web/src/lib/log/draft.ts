import type { Entry, Shot } from './outbox.svelte';

export type Sort = Entry['sort'];

/** What an entry is written with. */
export interface Draft {
  sort: Sort;
  title: string;
  detail: string;
  hours: string;
  item: string;
  /** The day and time as the page's field writes it; now when empty. */
  when: string;
  pictures: Shot[];
}

export const blankDraft = (): Draft => ({
  sort: 'note',
  title: '',
  detail: '',
  hours: '',
  item: '',
  when: '',
  pictures: []
});

/** The entry of a draft, as it is sent. */
export function entryOf(d: Draft, plan: string, now: number, id: string): Entry {
  const at = d.when ? new Date(d.when).getTime() : now;
  return {
    id,
    happened: new Date(Number.isNaN(at) ? now : at).toISOString(),
    sort: d.sort,
    plan,
    title: d.title.trim() || (d.sort === 'hours' ? `Ran ${d.hours}` : d.pictures.length > 0 ? 'Picture' : ''),
    detail: d.detail.trim(),
    hours: d.hours.trim(),
    item: d.item.trim(),
    itself: false,
    before: '',
    pictures: []
  };
}
