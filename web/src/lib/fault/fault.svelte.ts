import { Ask } from '../api/ask.svelte';
import { keepSearch, keptSearch } from './kept';
import { api, call, filledOnly, sayProblem, type Machine, type Plan, type Schemas } from '../api/client';

type Opinion = Schemas['FaultOpinion'];
export type Test = Schemas['FaultTest'];
interface Of {
  readonly planId: string;
  readonly question: { units: 'metric' | 'inch'; machine: Machine; plan: Plan };
}

/** A fault being looked for on the open plan: what it does, what was tried, and what to make of it. */
export class FaultState {
  words = $state('');
  symptom = $state('');
  done = $state.raw<{ test: string; outcome: string }[]>([]);
  /** A test chosen in place of the one that is asked for. */
  chosen = $state('');
  /** What it was, once that is in the log: one fault is logged once. */
  mended = $state('');
  readonly #asked: Ask<Opinion>;

  readonly #planId: string;

  constructor(of: Of) {
    this.#planId = of.planId;
    Object.assign(this, keptSearch(of.planId));
    this.#asked = new Ask<Opinion>((signal) => {
      const { units, machine, plan } = of.question;
      const body = {
        units,
        machine,
        plan: { ...plan, checks: [], trials: [] },
        asked: { symptom: this.symptom, words: this.words, done: this.done }
      };
      return call(() => api.POST('/api/fault', { body, bodySerializer: filledOnly, signal }));
    });
  }

  get opinion() {
    return this.#asked.answer;
  }
  get problem() {
    return this.#asked.problem ? sayProblem(this.#asked.problem) : '';
  }
  get test(): Test | undefined {
    return this.opinion?.left.find((t) => t.id === this.chosen) ?? this.opinion?.next;
  }

  again() {
    const { words, symptom, done, mended } = this;
    keepSearch(this.#planId, { words, symptom, done, mended });
    this.#asked.again();
  }
  stop() {
    this.#asked.stop();
  }

  choose(symptom: string) {
    this.symptom = symptom;
    this.done = [];
    this.chosen = this.mended = '';
    this.again();
  }
  /** How a test came out; empty where it could not be told. */
  answer(outcome: string) {
    const test = this.test;
    // While the last answer is on its way the old test still stands there: what is told of it twice is no second look.
    const current = this.opinion?.made.length === this.done.length && this.opinion.chosen?.id === this.symptom;
    if (!test || !current) return;
    this.done = [...this.done, { test: test.id, outcome }];
    this.chosen = '';
    this.again();
  }
  /** Takes one back of what was tried, by its place, to be answered again. */
  takeBack(place: number) {
    this.done = this.done.filter((_, i) => i !== place);
    this.chosen = '';
    this.again();
  }
  /** It is in the log: what it was. */
  log(mended: string) {
    this.mended = mended;
    this.again();
  }
  startOver() {
    this.symptom = '';
    this.words = '';
    this.done = [];
    this.chosen = this.mended = '';
    this.again();
  }
}
