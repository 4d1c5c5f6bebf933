const DEPTH = 200;
/** Typing in one field within this time is undone as one change. */
const ONE_CHANGE = 1500;

/** What was there before each change, to go back to and forward again. */
export class History<T> {
  #before = $state.raw<T[]>([]);
  #after = $state.raw<T[]>([]);
  #lastPath = '';
  #lastAt = 0;

  get canUndo() {
    return this.#before.length > 0;
  }
  get canRedo() {
    return this.#after.length > 0;
  }

  /** Keeps what is there now, unless the same field was changed a moment ago. */
  remember(now: T, path = '') {
    const at = Date.now();
    const same = path !== '' && path === this.#lastPath && at - this.#lastAt <= ONE_CHANGE;
    this.#lastPath = path;
    this.#lastAt = at;
    if (same) return;
    this.#before = [...this.#before, now].slice(-DEPTH);
    this.#after = [];
  }

  undo(now: T): T | undefined {
    const back = this.#before.at(-1);
    if (back === undefined) return undefined;
    this.#before = this.#before.slice(0, -1);
    this.#after = [...this.#after, now];
    this.#lastPath = '';
    return back;
  }

  redo(now: T): T | undefined {
    const forward = this.#after.at(-1);
    if (forward === undefined) return undefined;
    this.#after = this.#after.slice(0, -1);
    this.#before = [...this.#before, now];
    this.#lastPath = '';
    return forward;
  }
}
