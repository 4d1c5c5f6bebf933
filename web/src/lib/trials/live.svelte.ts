import type { Schemas } from '../api/client';

type Value = Schemas['LiveValue'];
export type Word = Value['word'];

/** A reading as it stands on the screen. */
export interface Standing {
  value: number;
  typed: string;
  unit: string;
  name: string;
  /** When it came, ms on this page's clock. */
  came: number;
  /** Since when it has not moved by more than a hundredth, ms. */
  steadySince: number;
}

/** What has not come for so long has stopped, ms. */
export const STOPPED_AFTER = 3000;
/** How often the page looks whether something has stopped. */
const LOOK_EVERY = 500;
const STEADY_WITHIN = 0.01;
const RETRY_AFTER = 2000;

/** The next standing of a value: steady since it last moved. */
export function standing(before: Standing | undefined, v: Value, now: number): Standing {
  const moved = !before || Math.abs(v.value - before.value) > STEADY_WITHIN * Math.max(Math.abs(before.value), 1e-9);
  return {
    value: v.value,
    typed: v.typed,
    unit: v.unit,
    name: v.name,
    came: now,
    steadySince: moved ? now : before.steadySince
  };
}

/** What instruments send, as it comes: the newest of each word, and whether it has stopped. */
export class Live {
  values = $state.raw<Partial<Record<Word, Standing>>>({});
  now = $state(Date.now());
  /** The server does not answer, and nothing can come. */
  waits = $state(false);
  /** Told of each value as it comes. */
  onvalue: (v: Value) => void = () => undefined;

  #socket: WebSocket | undefined;
  #retry: ReturnType<typeof setTimeout> | undefined;
  #timer: ReturnType<typeof setInterval> | undefined;

  start() {
    if (this.#timer) return;
    this.#timer = setInterval(() => (this.now = Date.now()), LOOK_EVERY);
    this.#connect();
  }

  stop() {
    clearTimeout(this.#retry);
    clearInterval(this.#timer);
    this.#timer = undefined;
    this.#socket?.close();
    this.#socket = undefined;
    this.waits = false;
    this.values = {};
  }

  #connect() {
    const socket = new WebSocket(`${location.origin.replace(/^http/, 'ws')}/api/live`);
    this.#socket = socket;
    socket.addEventListener('open', () => (this.waits = false));
    socket.addEventListener('message', (e) => this.#hear(JSON.parse(e.data as string) as Value[]));
    socket.addEventListener('close', () => {
      if (this.#socket !== socket) return;
      this.waits = true;
      this.#retry = setTimeout(() => this.#connect(), RETRY_AFTER);
    });
  }

  #hear(came: Value[]) {
    this.now = Date.now();
    const values = { ...this.values };
    for (const v of came) values[v.word] = standing(values[v.word], v, this.now);
    this.values = values;
    for (const v of came) this.onvalue(v);
  }

  of(word: string): Standing | undefined {
    return word === '' ? undefined : this.values[word as Word];
  }

  /** Whether a value has not come for some seconds. */
  stopped(s: Standing): boolean {
    return this.now - s.came > STOPPED_AFTER;
  }
}
