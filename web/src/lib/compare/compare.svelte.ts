import { Ask } from '../api/ask.svelte';
import { api, call, filledOnly, sayProblem, type Plan, type Schemas } from '../api/client';
import { prefs } from '../prefs.svelte';
import type { SheetState } from '../sheet/sheet.svelte';

type Sibling = Schemas['Sibling'];

/** As many as stand beside each other. */
export const mostPlans = 3;

/** What a plan is called beside others. */
export const nameOf = (p: Pick<Sibling, 'letter' | 'name'>) => (p.name ? `${p.letter}, ${p.name}` : `plan ${p.letter}`);

/** The open plan beside others of its machine. */
export class BesideState {
  readonly #sheet: SheetState;
  /** The others as they are saved, by ID. */
  #plans = $state.raw<Record<string, Plan>>({});
  /** Which of them stand beside it. */
  chosen = $state.raw<string[]>([]);
  problem = $state('');
  readonly #asked: Ask<Schemas['CompareBeside']>;

  constructor(sheet: SheetState) {
    this.#sheet = sheet;
    const first = this.others[0];
    if (first) this.chosen = [first.id];
    this.#asked = new Ask((signal) =>
      call(() => api.POST('/api/compare', { body: { plans: this.#named() }, bodySerializer: filledOnly, signal }))
    );
  }

  get others(): Sibling[] {
    return this.#sheet.head.siblings.filter((p) => p.id !== this.#sheet.planId);
  }

  /** The plans that stand beside each other, by letter. */
  get sides(): Sibling[] {
    const { head, planId, doc } = this.#sheet;
    return [
      { id: planId, letter: head.letter, name: doc.plan.name },
      ...this.others.filter((p) => this.chosen.includes(p.id))
    ].toSorted((one, two) => one.letter.localeCompare(two.letter));
  }

  get answer() {
    return this.#asked.answer;
  }

  get unanswered() {
    return this.#asked.problem ? sayProblem(this.#asked.problem) : this.problem;
  }

  #named() {
    const { machine, plan } = this.#sheet.question;
    return this.sides.map((p) => ({
      name: p.letter,
      input: { units: prefs.units, machine, plan: p.id === this.#sheet.planId ? plan : (this.#plans[p.id] ?? plan) }
    }));
  }

  /** Puts a plan beside the others, or takes it away. */
  choose(id: string, beside: boolean) {
    this.chosen = beside ? [...this.chosen, id].slice(0, mostPlans - 1) : this.chosen.filter((c) => c !== id);
    void this.ask();
  }

  /** Asks, once every plan that is chosen is here. */
  async ask() {
    for (const id of this.chosen) {
      if (this.#plans[id]) continue;
      const { data, problem } = await call(() => api.GET('/api/plans/{id}', { params: { path: { id } } }));
      if (!data) return void (this.problem = sayProblem(problem));
      this.#plans = { ...this.#plans, [id]: data.plan };
    }
    this.problem = '';
    this.#asked.again();
  }

  stop() {
    this.#asked.stop();
  }
}
