const DEPTH = 200;
/** Typing in one field within this time is undone as one change. */
const ONE_CHANGE = 1500;

/** One's own change: what there was before it and after it. */
export interface Step<T> {
  before: T;
  after: T;
}

/** One's own changes, to take back and make again. What comes in from elsewhere is none of them: what is there then is
 *  neither what a step began from nor what it came to, so a step is a difference to be put onto what is there. */
export class History<T> {
  #done = $state.raw<Step<T>[]>([]);
  #undone = $state.raw<Step<T>[]>([]);
  /** What there was before the change that is still being made. */
  #open = $state.raw<{ before: T }>();
  #lastPath = '';
  #lastAt = 0;

  get canUndo() {
    return this.#open !== undefined || this.#done.length > 0;
  }
  get canRedo() {
    return this.#undone.length > 0;
  }

  /** Begins a change, unless the same field was changed a moment ago. */
  remember(now: T, path = '') {
    const at = Date.now();
    const same = path !== '' && path === this.#lastPath && at - this.#lastAt <= ONE_CHANGE;
    if (!same) {
      this.close(now);
      this.#open = { before: now };
      this.#undone = [];
    }
    this.#lastPath = path;
    this.#lastAt = at;
  }

  /** Ends the change that is being made: what comes next is not part of it. */
  close(now: T) {
    if (this.#open) this.#done = [...this.#done, { before: this.#open.before, after: now }].slice(-DEPTH);
    this.#open = undefined;
    this.#lastPath = '';
  }

  /** The change to take back. */
  undo(now: T): Step<T> | undefined {
    this.close(now);
    const step = this.#done.at(-1);
    if (step === undefined) return undefined;
    this.#done = this.#done.slice(0, -1);
    this.#undone = [...this.#undone, step];
    return step;
  }

  /** The change to make again. */
  redo(now: T): Step<T> | undefined {
    this.close(now);
    const step = this.#undone.at(-1);
    if (step === undefined) return undefined;
    this.#undone = this.#undone.slice(0, -1);
    this.#done = [...this.#done, step];
    return step;
  }
}
