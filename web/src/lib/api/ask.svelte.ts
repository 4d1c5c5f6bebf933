import type { Problem } from './client';

/** Longer than anything takes that is worked out. */
const ANSWER_WITHIN = 60_000;
/** While nobody answers it is asked again by itself after so long. */
const RETRY_AFTER = 2000;

/** How a question was answered. */
export interface Reply<T> {
  data?: T;
  problem?: Problem;
  status: number;
}

/** Something asked of the server that follows from what is on the page. One question is on its way at a
 *  time; of those that come up meanwhile only the newest is asked after it, so an old answer never takes
 *  the place of a newer one. While nobody answers it is asked again by itself. */
export class Ask<T> {
  /** The newest answer there is. */
  answer = $state.raw<T>();
  /** Why there is no newer one. */
  problem = $state.raw<Problem>();
  asking = $state(false);

  #run: (signal: AbortSignal) => Promise<Reply<T>>;
  #heard: (reply: Reply<T>) => void;
  #now: AbortController | undefined;
  #again = false;
  #later: ReturnType<typeof setTimeout> | undefined;

  /** run puts the question as things stand when it is called; heard is told each answer that counts. */
  constructor(run: (signal: AbortSignal) => Promise<Reply<T>>, heard: (reply: Reply<T>) => void = () => undefined) {
    this.#run = run;
    this.#heard = heard;
  }

  /** Asks, after the question that is on its way. */
  again() {
    clearTimeout(this.#later);
    if (this.#now) this.#again = true;
    else void this.#ask();
  }

  /** Asks at once, in place of the question that is on its way: its subject is another. */
  instead() {
    this.stop();
    void this.#ask();
  }

  /** Lets go of the question that is on its way: whoever asked is gone. */
  stop() {
    clearTimeout(this.#later);
    this.#now?.abort();
    this.#now = undefined;
    this.#again = false;
    this.asking = false;
  }

  async #ask() {
    const mine = new AbortController();
    this.#now = mine;
    this.#again = false;
    this.asking = true;
    const reply = await this.#run(AbortSignal.any([mine.signal, AbortSignal.timeout(ANSWER_WITHIN)]));
    if (this.#now !== mine) return;
    if (reply.data !== undefined) this.answer = reply.data;
    this.problem = reply.data === undefined ? (reply.problem ?? {}) : undefined;
    this.#now = undefined;
    this.asking = false;
    // What was asked of nobody would else be shown as it was before, for as long as nothing is typed.
    if (reply.status === 0 || reply.status >= 500) this.#later = setTimeout(() => this.again(), RETRY_AFTER);
    this.#heard(reply);
    if (this.#again) this.again();
  }
}
