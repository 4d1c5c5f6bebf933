import { untrack } from 'svelte';
import { Drafts, type Draft } from './draft';
import { History } from './history.svelte';
import { openDocs } from './openDocs';
import { merge, same, type Clash } from './merge';
import { read, write, written } from './path';

export type SaveState = 'saved' | 'unsaved' | 'saving' | 'away' | 'conflict';

/** A document as the server has it. */
export interface Stored<T, V> {
  doc: T;
  version: V;
}

/** How an attempt to save went. */
export type Sent<T, V> =
  | { version: V }
  /** It was changed elsewhere since. */
  | { theirs: Stored<T, V> }
  /** It was not taken; for good when it is gone. */
  | { problem: string; gone?: boolean };

export interface Keeper<T, V> {
  /** Names the document among all that are kept. */
  id: string;
  put: (doc: T, version: V) => Promise<Sent<T, V>>;
  /** Brings what an older version of this program kept up to date. */
  whole?: (doc: T) => T;
}

/** Whether a value can be kept as it is: it has no parts that could be changed. */
const isPlain = (value: unknown) => typeof value !== 'object' || value === null;

const SAVE_AFTER = 500;
const RETRY_AFTER = 2000;

/** A document that saves itself: its history, one save on its way at a time, tries again while the server
 *  is away, a draft in the browser until it is saved, and what to do when it was changed elsewhere. */
export class SavedDoc<T extends object, V> {
  doc: T;
  state = $state<SaveState>('saved');
  /** Why it is not saved, or what else is to be said of it. */
  note = $state('');
  /** False when the browser could not keep the draft: then only this page has it. */
  kept = $state(true);
  clashes = $state.raw<Clash[]>([]);
  /** What the last undo or redo left as it is, for another window has changed it since. */
  passed = $state.raw<string[]>([]);
  /** Drafts that windows since closed have left. */
  left = $state(0);
  /** Called after every change, whoever made it. */
  onchange: () => void = () => undefined;

  #keeper: Keeper<T, V>;
  #drafts: Drafts<T, V>;
  #history = new History<T>();
  #base: T | undefined;
  #version: V;
  /** What is saved elsewhere, while it clashes with what is here. */
  #theirs: Stored<T, V> | undefined;
  #changes = $state(0);
  /** The document as plain values, until it changes. */
  #plain: T | undefined;
  #sending = false;
  #closed = false;
  #timer: ReturnType<typeof setTimeout> | undefined;

  private constructor(stored: Stored<T, V>, keeper: Keeper<T, V>, drafts: Drafts<T, V>) {
    this.#keeper = keeper;
    this.#drafts = drafts;
    this.#base = stored.doc;
    this.#version = stored.version;
    this.doc = $state(structuredClone(stored.doc));
    const draft = drafts.take();
    if (draft) this.#bringIn(draft, stored);
    this.left = drafts.left;
  }

  /** Opens a document as the server has it, with what was typed before and never saved. One that is open
   *  already, or not saved since it was closed, is the same again. */
  static async open<T extends object, V>(stored: Stored<T, V>, keeper: Keeper<T, V>): Promise<SavedDoc<T, V>> {
    const drafts = await Drafts.open<T, V>(keeper.id);
    const known = SavedDoc.unsaved<T, V>(keeper.id);
    if (known) return known;
    const made = new SavedDoc(stored, keeper, drafts);
    openDocs.set(keeper.id, made);
    return made;
  }

  /** A document that is still to be saved though it was closed. */
  static unsaved<T extends object, V>(id: string): SavedDoc<T, V> | undefined {
    const known = openDocs.get(id) as SavedDoc<T, V> | undefined;
    if (known) known.#closed = false;
    return known;
  }

  get canUndo() {
    return this.#history.canUndo;
  }
  get canRedo() {
    return this.#history.canRedo;
  }

  /** The document as it is now, of plain values. Nobody may change them: who asks next gets the same. */
  snapshot(): T {
    void this.#changes; // what follows from it follows when it changes
    return (this.#plain ??= untrack(() => $state.snapshot(this.doc) as T));
  }

  value(path: string): unknown {
    return read(this.doc, path);
  }

  text(path: string): string {
    const v = this.value(path);
    return typeof v === 'string' ? v : '';
  }

  /** Changes one field; typing on in it is undone as one. */
  set(path: string, value: unknown) {
    const before = this.snapshot();
    this.#history.remember(before, path);
    write(this.doc, path, value);
    // One field of a document changes at every key: the rest of it is not copied again.
    this.#changed(isPlain(value) ? written(before, path, value) : undefined);
  }

  /** Changes a whole group of fields or a list, undone by itself. */
  edit(path: string, value: unknown) {
    this.change((doc) => write(doc, path, value));
  }

  /** Makes a change of several fields, undone as one. */
  change(make: (doc: T) => void) {
    this.drag(make, true);
  }

  /** Makes one of many changes under the hand, all undone as one; first tells the first of them. */
  drag(make: (doc: T) => void, first: boolean) {
    if (first) this.#history.remember(this.snapshot());
    make(this.doc);
    this.#changed();
  }

  /** Takes back the last change made here. What was changed elsewhere since stays, and is told in [passed]. */
  undo() {
    const step = this.#history.undo(this.snapshot());
    if (step) this.#put(step.after, step.before);
  }

  redo() {
    const step = this.#history.redo(this.snapshot());
    if (step) this.#put(step.before, step.after);
  }

  /** Chooses between mine and theirs for every field that clashes, and saves that. */
  settle(takesTheirs: (path: string) => boolean) {
    const theirs = this.#theirs;
    if (!theirs) return;
    const taken = this.clashes.filter((c) => takesTheirs(c.path));
    this.#history.remember(this.snapshot());
    for (const c of taken) {
      if (c.path === '') this.doc = structuredClone(theirs.doc);
      else write(this.doc, c.path, structuredClone(c.theirs));
    }
    this.#theirs = undefined;
    this.#base = theirs.doc;
    this.#version = theirs.version;
    this.clashes = [];
    this.note = '';
    this.state = 'unsaved';
    this.#changed();
  }

  /** Brings in the latest draft that a closed window left: as a change, which can be undone. */
  takeLeft() {
    const draft = this.#drafts.takeLeft();
    this.left = this.#drafts.left;
    if (!draft) return;
    const now = this.snapshot();
    this.#history.remember(now);
    this.doc = merge(draft.base, this.#whole(draft.doc), now).doc;
    this.#changed();
  }

  dropLeft() {
    this.#drafts.dropLeft();
    this.left = 0;
  }

  /** Leaves the document. What is not saved yet is still saved, however long that takes. */
  close() {
    this.#closed = true;
    this.onchange = () => undefined;
    if (this.state === 'unsaved') void this.#send();
    this.#forgetIfDone();
  }

  /** Puts the difference of two states onto what is there. */
  #put(from: T, to: T) {
    const { doc, clashes } = merge(from, to, this.snapshot(), 'theirs');
    this.doc = doc;
    this.#changed();
    this.passed = clashes.map((c) => c.path);
  }

  #whole(doc: T): T {
    return this.#keeper.whole?.(doc) ?? doc;
  }

  #bringIn(draft: Draft<T, V>, stored: Stored<T, V>) {
    this.#history.remember(this.snapshot());
    const base = draft.base ?? (same(draft.version, stored.version) ? stored.doc : undefined);
    this.#join(base && this.#whole(base), this.#whole(draft.doc), stored);
  }

  /** Puts what is here together with what was saved elsewhere since base. */
  #join(base: T | undefined, mine: T, theirs: Stored<T, V>) {
    const { doc, clashes } = merge(base, mine, theirs.doc);
    this.doc = doc;
    this.clashes = clashes;
    if (clashes.length > 0) {
      // The draft keeps its old base until it is settled, so that a reload finds the same clash.
      this.#base = base;
      this.#theirs = theirs;
      this.state = 'conflict';
    } else {
      this.#base = theirs.doc;
      this.#version = theirs.version;
      this.state = 'unsaved';
    }
    this.#changed();
  }

  /** now is the document as plain values, where it is at hand. */
  #changed(now?: T) {
    this.#changes = untrack(() => this.#changes) + 1;
    this.#plain = now;
    this.passed = [];
    if (this.state === 'saved' || this.state === 'saving') this.state = 'unsaved';
    this.kept = this.#drafts.keep({ doc: this.snapshot(), base: this.#base, version: this.#version });
    this.#sendIn(SAVE_AFTER);
    this.onchange();
  }

  #sendIn(ms: number) {
    clearTimeout(this.#timer);
    this.#timer = setTimeout(() => void this.#send(), ms);
  }

  async #send() {
    clearTimeout(this.#timer);
    // One on its way: what changed meanwhile follows when it has come.
    if (this.#sending || this.state === 'conflict') return;
    this.#sending = true;
    if (this.state !== 'away') this.state = 'saving';
    const changes = this.#changes;
    const sent = this.snapshot();
    const answer = await this.#keeper.put(sent, this.#version);
    this.#sending = false;
    if ('version' in answer) this.#taken(sent, answer.version, changes);
    else if ('theirs' in answer) {
      this.#history.close(this.snapshot());
      this.#join(this.#base, this.snapshot(), answer.theirs);
    } else {
      this.state = 'away';
      this.note = answer.problem;
      if (!answer.gone) this.#sendIn(RETRY_AFTER);
    }
    this.#forgetIfDone();
  }

  #taken(sent: T, version: V, changes: number) {
    this.#base = sent;
    this.#version = version;
    this.note = '';
    if (changes === this.#changes) {
      this.state = 'saved';
      this.#drafts.drop();
      return;
    }
    this.state = 'unsaved';
    this.kept = this.#drafts.keep({ doc: this.snapshot(), base: sent, version });
    this.#sendIn(this.#closed ? 0 : SAVE_AFTER);
  }

  #forgetIfDone() {
    if (this.#closed && this.state === 'saved' && !this.#sending) openDocs.delete(this.#keeper.id);
  }
}
