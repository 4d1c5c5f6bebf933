import { Ask } from '../api/ask.svelte';
import { api, call, filledOnly, sayProblem, type Plan, type Schemas } from '../api/client';
import { prefs } from '../prefs.svelte';
import type { SheetState } from '../sheet/sheet.svelte';

type Sibling = Schemas['Sibling'];

/** As many as stand beside each other. */
export const mostPlans = 3;

/** What a plan is called beside others. */
export const nameOf = (p: Pick<Sibling, 'letter' | 'name'>) => (p.name ? `${p.letter}, ${p.name}` : `plan ${p.letter}`);

/** The open plan with one part of it changed: a motor or a control off the shelf, or what another plan has there. */
export interface Variation {
  id: string;
  name: string;
  put: (plan: Plan) => void;
}

/** The parts another plan can lend. */
export const lent = ['motor', 'control', 'reduction', 'supply'] as const;
export type Lent = (typeof lent)[number];

/** What stands on one side of the comparison. */
interface Side {
  id: string;
  name: string;
  letter: string;
  variation?: Variation;
}

/** The open plan beside others of its machine, and beside itself with another part. */
export class BesideState {
  readonly #sheet: SheetState;
  /** The others as they are saved, by ID. */
  #plans = $state.raw<Record<string, Plan>>({});
  /** Which of them stand beside it. */
  chosen = $state.raw<string[]>([]);
  /** The open plan with other parts, beside it. */
  variations = $state.raw<Variation[]>([]);
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

  /** What stands beside each other: plans by letter, then the open one with other parts. */
  get sides(): Side[] {
    const { head, planId, doc } = this.#sheet;
    const plans = [
      { id: planId, letter: head.letter, name: doc.plan.name },
      ...this.others.filter((p) => this.chosen.includes(p.id))
    ].toSorted((one, two) => one.letter.localeCompare(two.letter));
    return [
      ...plans.map((p) => ({ ...p, name: nameOf(p) })),
      ...this.variations.map((v) => ({
        id: v.id,
        letter: head.letter,
        name: `${head.letter} with ${v.name}`,
        variation: v
      }))
    ];
  }

  get full() {
    return this.sides.length >= mostPlans;
  }

  get answer() {
    return this.#asked.answer;
  }

  get unanswered() {
    return this.#asked.problem ? sayProblem(this.#asked.problem) : this.problem;
  }

  #named() {
    const { machine, plan } = this.#sheet.question;
    const planOf = (side: Side) => {
      if (!side.variation) return side.id === this.#sheet.planId ? plan : (this.#plans[side.id] ?? plan);
      const changed = structuredClone(plan);
      side.variation.put(changed);
      return changed;
    };
    return this.sides.map((side) => ({
      name: side.variation ? side.name : side.letter,
      input: { units: prefs.units, machine, plan: planOf(side) }
    }));
  }

  /** Puts the open plan with a part from the shelf beside it. */
  async withPart(id: string, name: string) {
    const { data, problem } = await call(() => api.GET('/api/shelf/{id}', { params: { path: { id } } }));
    if (!data) return void (this.problem = sayProblem(problem));
    const { sort, motor, control } = data.item;
    this.#vary({
      id,
      name,
      put: (plan) => {
        if (sort === 'control') plan.control = structuredClone(control);
        else plan.motor = structuredClone(motor);
      }
    });
  }

  /** Puts the open plan with what another has at a station beside it. */
  async withOf(other: Sibling, station: Lent) {
    if (!(await this.#here(other.id))) return;
    const from = this.#plans[other.id];
    if (!from) return;
    this.#vary({
      id: `${other.id} ${station}`,
      name: `${other.letter}’s ${station}`,
      put: (plan) => Object.assign(plan, { [station]: structuredClone($state.snapshot(from[station])) })
    });
  }

  #vary(variation: Variation) {
    if (this.variations.some((v) => v.id === variation.id)) return;
    // What was chosen by itself makes room.
    if (this.full) this.chosen = [];
    if (this.full) return;
    this.variations = [...this.variations, variation];
    void this.ask();
  }

  /** Takes a variation away again. */
  without(id: string) {
    this.variations = this.variations.filter((v) => v.id !== id);
    void this.ask();
  }

  /** Makes the open plan what a variation of it is. */
  take(variation: Variation) {
    this.#sheet.change(({ plan }) => variation.put(plan));
    this.variations = this.variations.filter((v) => v.id !== variation.id);
    this.#sheet.show('');
  }

  /** Whether another plan is here to be compared with, asked for where it is not. */
  async #here(id: string): Promise<boolean> {
    if (this.#plans[id]) return true;
    const { data, problem } = await call(() => api.GET('/api/plans/{id}', { params: { path: { id } } }));
    if (data) this.#plans = { ...this.#plans, [id]: data.plan };
    else this.problem = sayProblem(problem);
    return data !== undefined;
  }

  /** Puts a plan beside the others, or takes it away. */
  choose(id: string, beside: boolean) {
    this.chosen = beside ? [...this.chosen, id].slice(0, mostPlans - 1) : this.chosen.filter((c) => c !== id);
    void this.ask();
  }

  /** Asks, once every plan that is chosen is here. */
  async ask() {
    for (const id of this.chosen) if (!(await this.#here(id))) return;
    this.problem = '';
    this.#asked.again();
  }

  stop() {
    this.#asked.stop();
  }
}
