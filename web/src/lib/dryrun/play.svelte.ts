import type { Schemas } from '../api/client';
import { momentAt, turnsAt, turnsOf, type Moment } from './trace';

type Answer = Schemas['DryrunAnswer'];

/** Nothing turns for those who asked for that. */
const still = () => matchMedia('(prefers-reduced-motion: reduce)').matches;
/** So often the figures follow where nothing turns. */
const STILL_EVERY = 250;

/** A run that is played: where it is, and what turns how far by then. */
export class Play {
  /** Seconds from the start. */
  at = $state(0);
  playing = $state(false);
  /** Whether what turns is shown turning. */
  turns = $state(false);
  #answer = $state.raw<Answer>();
  #motor: number[] = [];
  #spindle: number[] = [];
  #frame = 0;
  #last = 0;

  /** Takes a newer run in; it stays where it is, as far as there is that much of it. */
  take(answer: Answer) {
    this.#motor = turnsOf(answer.trace.seconds, answer.trace.motorRpm);
    this.#spindle = turnsOf(answer.trace.seconds, answer.trace.spindleRpm);
    this.#answer = answer;
    this.at = Math.min(this.at, this.ends);
  }

  get ends(): number {
    return this.#answer?.trace.seconds.at(-1) ?? 0;
  }
  get moment(): Moment | undefined {
    return this.#answer && momentAt(this.#answer.trace, this.at);
  }
  get units() {
    return this.#answer?.units;
  }
  get steps(): readonly number[] {
    return this.#answer?.steps ?? [];
  }
  /** How far the line's wave has come by now, rad. */
  get linePhase(): number {
    return 2 * Math.PI * (this.#answer?.hertz ?? 0) * this.at;
  }
  /** How far the wave an inverter makes for the motor has come, rad: a turn for each pair of poles. */
  get motorPhase(): number {
    const a = this.#answer;
    return a ? 2 * Math.PI * this.motorTurns * (a.gear || 1) * a.pairs : 0;
  }
  /** Turns of the motor's output by now. */
  get motorTurns(): number {
    const a = this.#answer;
    return a ? turnsAt(a.trace, this.#motor, a.trace.motorRpm, this.at) / (a.gear || 1) : 0;
  }
  get spindleTurns(): number {
    const a = this.#answer;
    return a ? turnsAt(a.trace, this.#spindle, a.trace.spindleRpm, this.at) : 0;
  }
  /** What came on last, and is on. */
  get doing(): string {
    let words = '';
    for (const e of this.#answer?.events ?? []) if (e.seconds <= this.at + 1e-6) words = e.words;
    return words;
  }

  toggle() {
    if (this.playing) this.pause();
    else this.start();
  }

  start() {
    if (this.ends === 0) return;
    if (this.at >= this.ends - 0.01) this.at = 0;
    this.playing = true;
    this.turns = !still();
    this.#last = performance.now();
    this.#frame = requestAnimationFrame(this.#step);
  }

  /** Plays it from the beginning. */
  again() {
    this.pause();
    this.at = 0;
    this.start();
  }

  pause() {
    this.playing = false;
    cancelAnimationFrame(this.#frame);
  }

  /** Goes to a time, as the hand does. */
  seek(t: number) {
    this.at = Math.min(Math.max(t, 0), this.ends);
    if (!still()) this.turns = true;
  }

  #step = (now: number) => {
    if (!this.playing) return;
    if (this.turns || now - this.#last >= STILL_EVERY) {
      this.at = Math.min(this.at + (now - this.#last) / 1000, this.ends);
      this.#last = now;
    }
    if (this.at >= this.ends) this.pause();
    else this.#frame = requestAnimationFrame(this.#step);
  };
}
