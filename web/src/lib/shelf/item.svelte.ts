import {
  api,
  byField,
  call,
  saveInTime,
  type Schemas,
  type ShelfEntry,
  type ShelfItem,
  type Working
} from '../api/client';
import { Ask } from '../api/ask.svelte';
import type { Form } from '../form/context';
import { namesField } from '../form/fields';
import { SavedDoc, type Keeper, type Sent, type Stored } from '../form/saved.svelte';
import { prefs } from '../prefs.svelte';
import { stock } from './stock.svelte';

const storedOf = (entry: ShelfEntry): Stored<ShelfItem, number> => ({ doc: entry.item, version: entry.version });

const keyOf = (id: string) => `part.${id}`;

const keeperOf = (id: string): Keeper<ShelfItem, number> => ({
  id: keyOf(id),
  put: async (item, version): Promise<Sent<ShelfItem, number>> => {
    const { data, problem, status } = await call(() =>
      api.PUT('/api/shelf/{id}', { params: { path: { id } }, body: { version, item }, signal: saveInTime() })
    );
    if (data) {
      // Its line in the list follows what it says.
      stock.load();
      return { version: data.version };
    }
    if (status === 409 && problem && 'current' in problem) return { theirs: storedOf(problem.current as ShelfEntry) };
    if (status === 404)
      return { problem: 'This part was taken off the shelf elsewhere. What you typed is kept here.', gone: true };
    return { problem: problem?.detail ?? '' };
  }
});

/** A part on the shelf as it is edited: what is saved, and what it comes to. */
export class ItemState implements Form {
  readonly id: string;
  readonly saved: SavedDoc<ShelfItem, number>;
  /** Undefined while only what was typed is at hand, and not what the server has. */
  pictures = $state<string[]>();
  errors = $state.raw<Record<string, string>>({});
  readonly wanted = '';

  #asked = new Ask<Schemas['ShelfKnown']>(
    (signal) =>
      call(() => api.POST('/api/shelf/check', { body: { units: prefs.units, item: this.saved.snapshot() }, signal })),
    (reply) => {
      if (reply.data) this.errors = byField(reply.data.entries);
    }
  );

  private constructor(id: string, saved: SavedDoc<ShelfItem, number>, pictures?: string[]) {
    this.id = id;
    this.saved = saved;
    this.pictures = pictures;
    saved.onchange = () => this.check();
    this.check();
  }

  static async open(entry: ShelfEntry): Promise<ItemState> {
    const { id } = entry.item;
    return new ItemState(id, await SavedDoc.open(storedOf(entry), keeperOf(id)), entry.pictures);
  }

  /** A part with something not saved yet, as it was left: the server need not be there. */
  static unsaved(id: string): ItemState | undefined {
    const saved = SavedDoc.unsaved<ShelfItem, number>(keyOf(id));
    return saved && new ItemState(id, saved);
  }

  get item(): ShelfItem {
    return this.saved.doc;
  }
  get known() {
    return this.#asked.answer;
  }
  get workings(): Working[] {
    return this.known?.workings ?? [];
  }

  value(path: string): unknown {
    return this.saved.value(path);
  }
  text(path: string): string {
    return this.saved.text(path);
  }
  set(path: string, value: unknown) {
    if (namesField('part', path)) this.saved.set(path, value);
  }
  edit(path: string, value: unknown) {
    if (namesField('part', path)) this.saved.edit(path, value);
  }

  /** Asks anew what it comes to. */
  check() {
    this.#asked.again();
  }

  /** Leaves the part; what is left to save is still saved. */
  close() {
    this.#asked.stop();
    this.saved.close();
  }
}
