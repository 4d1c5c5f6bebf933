import { api, call, sayProblem, type Schemas, type ShelfEntry, type ShelfItem, type Working } from '../api/client';
import { prefs } from '../prefs.svelte';
import { read, write } from '../sheet/path';
import type { Form } from '../ui/context';
import { History } from '../ui/history.svelte';

const SAVE_AFTER = 500;
const RETRY_AFTER = 2000;

/** A part on the shelf as it is edited: what it comes to, its history and its saving. */
export class ItemState implements Form {
  item: ShelfItem;
  pictures: string[];
  errors = $state<Record<string, string>>({});
  known = $state.raw<Schemas['ShelfKnown']>();
  save = $state<'saved' | 'unsaved' | 'saving' | 'away' | 'conflict'>('saved');
  said = $state('');
  readonly wanted = '';

  #version: number;
  #history = new History<ShelfItem>();
  #timer: ReturnType<typeof setTimeout> | undefined;
  #checking = false;
  #checkAgain = false;
  #changes = 0;
  #onchanged: (item: ShelfItem) => void;

  constructor(entry: ShelfEntry, onchanged: (item: ShelfItem) => void) {
    this.item = $state(entry.item);
    this.pictures = $state(entry.pictures);
    this.#version = entry.version;
    this.#onchanged = onchanged;
    void this.check();
  }

  get canUndo() {
    return this.#history.canUndo;
  }
  get canRedo() {
    return this.#history.canRedo;
  }
  get workings(): Working[] {
    return this.known?.workings ?? [];
  }

  value(path: string): unknown {
    return read(this.item, path);
  }
  text(path: string): string {
    const v = this.value(path);
    return typeof v === 'string' ? v : '';
  }
  set(path: string, value: unknown) {
    this.#history.remember($state.snapshot(this.item), path);
    write(this.item, path, value);
    this.#changed();
  }
  edit(path: string, value: unknown) {
    this.#history.remember($state.snapshot(this.item));
    write(this.item, path, value);
    this.#changed();
  }
  undo() {
    this.#restore(this.#history.undo($state.snapshot(this.item)));
  }
  redo() {
    this.#restore(this.#history.redo($state.snapshot(this.item)));
  }

  /** Saves what is left and stops. */
  close() {
    clearTimeout(this.#timer);
    if (this.save === 'unsaved') void this.#saveNow();
  }

  async check() {
    if (this.#checking) {
      this.#checkAgain = true;
      return;
    }
    this.#checking = true;
    do {
      this.#checkAgain = false;
      const body = { units: prefs.units, item: $state.snapshot(this.item) };
      const { data, problem, status } = await call(() => api.POST('/api/shelf/check', { body }));
      if (data) {
        this.known = data;
        this.errors = {};
      } else if (status === 422) {
        this.errors = Object.fromEntries((problem?.errors ?? []).map((e) => [e.location ?? '', e.message ?? 'cannot be used']));
      }
    } while (this.#checkAgain);
    this.#checking = false;
  }

  #restore(item: ShelfItem | undefined) {
    if (!item) return;
    this.item = item;
    this.#changed();
  }

  #changed() {
    this.#changes++;
    if (this.save !== 'conflict') this.save = 'unsaved';
    this.#onchanged($state.snapshot(this.item));
    this.#saveSoon(SAVE_AFTER);
    void this.check();
  }

  #saveSoon(after: number) {
    clearTimeout(this.#timer);
    this.#timer = setTimeout(() => void this.#saveNow(), after);
  }

  async #saveNow() {
    if (this.save === 'conflict') return;
    if (this.save === 'saving') return this.#saveSoon(SAVE_AFTER);
    this.save = 'saving';
    const sent = this.#changes;
    const body = { version: this.#version, item: $state.snapshot(this.item) };
    const { data, problem, status } = await call(() => api.PUT('/api/shelf/{id}', { params: { path: { id: this.item.id } }, body }));
    if (data) {
      this.#version = data.version;
      this.said = '';
      this.save = sent === this.#changes ? 'saved' : 'unsaved';
      if (this.save === 'unsaved') this.#saveSoon(SAVE_AFTER);
    } else {
      this.said = sayProblem(problem);
      this.save = status === 409 ? 'conflict' : 'away';
      if (status !== 409 && status !== 404) this.#saveSoon(RETRY_AFTER);
    }
  }
}
