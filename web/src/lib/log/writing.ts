import { createStore, del, get, set, type UseStore } from 'idb-keyval';
import { blankDraft, type Draft } from './draft';
import type { Shot } from './outbox.svelte';

/** An entry half written, kept over a reload: its words at once, its pictures beside them. */
const key = (machineId: string) => `jiriki.writing.${machineId}`;

let opened: UseStore | undefined;
const pictures = () => (opened ??= createStore('jiriki-writing', 'pictures'));

/** Keeps what stands in the form so far; false where this browser keeps nothing. */
export async function keepWriting(machineId: string, draft: Draft): Promise<boolean> {
  const { pictures: shots, ...words } = draft;
  try {
    if (shots.length === 0 && !(words.title || words.detail || words.hours || words.item || words.when)) {
      localStorage.removeItem(key(machineId));
      await del(machineId, pictures());
      return true;
    }
    localStorage.setItem(key(machineId), JSON.stringify(words));
    await set(
      machineId,
      // What the browser keeps must be plain.
      shots.map(({ id, blob }) => ({ id, blob })),
      pictures()
    );
    return true;
  } catch {
    return false;
  }
}

/** The words that were kept. */
export function keptWords(machineId: string): Draft {
  try {
    const kept = JSON.parse(localStorage.getItem(key(machineId)) ?? '{}') as Partial<Draft>;
    return { ...blankDraft(), ...kept, pictures: [] };
  } catch {
    return blankDraft();
  }
}

/** The pictures that were kept with them. */
export async function keptPictures(machineId: string): Promise<Shot[]> {
  try {
    return (await get<Shot[]>(machineId, pictures())) ?? [];
  } catch {
    return [];
  }
}
