import { Ask } from '../api/ask.svelte';
import { api, byField, call, sayProblem, type Schemas } from '../api/client';

type Bench = Schemas['PracticeBench'];

/** An exercise being worked on: what was done on the bench, and what is answered. */
export class PracticeState {
  readonly exercise: string;
  seed = $state(0);
  deeds = $state.raw<{ act: string; figure: string }[]>([]);
  answers = $state<Record<string, string>>({});
  /** It was handed in, and is marked. */
  handedIn = $state(false);
  figures = $state<Record<string, string>>({});
  errors = $state.raw<Record<string, string>>({});
  readonly #asked: Ask<Bench>;

  constructor(exercise: string, seed: number) {
    this.exercise = exercise;
    this.seed = seed;
    this.#asked = new Ask<Bench>(
      (signal) => {
        const answers = this.handedIn ? Object.entries(this.answers).map(([id, given]) => ({ id, given })) : [];
        const body = { exercise, seed: this.seed, deeds: this.deeds, answers };
        return call(() => api.POST('/api/practice', { body, signal }));
      },
      (reply) => {
        if (reply.data) this.errors = byField(reply.data.entries);
      }
    );
    this.#asked.again();
  }

  get bench() {
    return this.#asked.answer;
  }
  get problem() {
    return this.#asked.problem ? sayProblem(this.#asked.problem) : '';
  }

  /** Does something on the bench. */
  act(id: string) {
    if (this.handedIn) return;
    this.deeds = [...this.deeds, { act: id, figure: this.figures[id] ?? '' }];
    this.#asked.again();
  }
  handIn() {
    this.handedIn = true;
    this.#asked.again();
  }
  /** The same machine again, or another. */
  again(seed: number) {
    this.seed = seed;
    this.deeds = [];
    this.answers = {};
    this.handedIn = false;
    this.#asked.instead();
  }
  stop() {
    this.#asked.stop();
  }
}

/** A machine nobody has seen yet. */
export const anySeed = () => Math.floor(Math.random() * 100_000);
