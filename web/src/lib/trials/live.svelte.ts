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
  /** The stream is open. */
  open = $state(false);
  /** Told of each value as it comes. */
  onvalue: (v: Value) => void = () => undefined;

  #source: EventSource | undefined;
  #timer: ReturnType<typeof setInterval> | undefined;

  start() {
    if (this.#source) return;
    const source = new EventSource('/api/live');
    this.#source = source;
    source.addEventListener('open', () => (this.open = true));
    source.addEventListener('error', () => (this.open = false));
    source.addEventListener('value', (e) => {
      const v = JSON.parse((e as MessageEvent<string>).data) as Value;
      this.now = Date.now();
      this.values = { ...this.values, [v.word]: standing(this.values[v.word], v, this.now) };
      this.onvalue(v);
    });
    this.#timer = setInterval(() => (this.now = Date.now()), LOOK_EVERY);
  }

  stop() {
    this.#source?.close();
    this.#source = undefined;
    clearInterval(this.#timer);
    this.open = false;
    this.values = {};
  }

  of(word: string): Standing | undefined {
    return word === '' ? undefined : this.values[word as Word];
  }

  /** Whether a value has not come for some seconds. */
  stopped(s: Standing): boolean {
    return this.now - s.came > STOPPED_AFTER;
  }
}
