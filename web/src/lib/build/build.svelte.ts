import { untrack } from 'svelte';
import { Ask } from '../api/ask.svelte';
import { api, call, filledOnly, sayProblem, type Schemas } from '../api/client';
import { standing } from './steps';

type Build = Schemas['Build'];

/** The plan that is asked about, and what of it is ticked off. */
interface Plan {
  readonly question: Schemas['PlanInput'];
  checkOf(id: string): Schemas['PlanCheck'] | undefined;
}

/** Asks for the build whenever the plan changes, as long as the component that calls it stands. */
export function followBuild(plan: { readonly question: unknown; readonly build: BuildState }) {
  $effect(() => {
    void plan.question;
    untrack(() => plan.build.again());
  });
}

/** What it takes to build the open plan, as it was last asked. */
export class BuildState {
  readonly #plan: Plan;
  readonly #asked: Ask<Build>;

  constructor(plan: Plan) {
    this.#plan = plan;
    this.#asked = new Ask<Build>((signal) =>
      call(() => api.POST('/api/build', { body: plan.question, bodySerializer: filledOnly, signal }))
    );
  }

  get answer() {
    return this.#asked.answer;
  }
  get problem() {
    return this.#asked.problem ? sayProblem(this.#asked.problem) : '';
  }
  again() {
    this.#asked.again();
  }
  stop() {
    this.#asked.stop();
  }

  /** What is to be taken, bought and made, and how much of it is ticked off. */
  get parts(): { done: number; all: number } | undefined {
    const b = this.answer;
    return b && this.#ticked([...b.take.parts, ...b.buy.parts, ...b.make]);
  }

  /** The steps of the first power-up, and how many are done. */
  get steps(): { done: number; all: number } | undefined {
    const list = this.answer?.powerUp;
    return list && { done: list.filter((s) => standing(s, this.#plan.checkOf(s.id)).done).length, all: list.length };
  }

  #ticked(list: readonly { id: string }[]) {
    return { done: list.filter((p) => this.#plan.checkOf(p.id)).length, all: list.length };
  }
}
