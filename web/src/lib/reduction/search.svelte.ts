import { fieldsOf, sayProblem, type Machine, type Plan, type Schemas } from '../api/client';
import { stream } from '../api/stream';
import { prefs } from '../prefs.svelte';

export type Found = Schemas['SearchFound'];
type Ask = Schemas['SearchAsk'];

/** What may run between the wheels, as it is asked for. */
export const families = [
  ['v-Z', 'V belt, Z'],
  ['v-A', 'V belt, A'],
  ['v-B', 'V belt, B'],
  ['poly-v-J', 'Poly-V, J'],
  ['poly-v-K', 'Poly-V, K'],
  ['toothed-5', 'Toothed, 5 mm'],
  ['chain-12.7', 'Chain, 12.7 mm']
] as const;

/** What is searched for: a machine and its plan as they are now. */
interface Subject {
  readonly doc: { machine: Machine; plan: Plan };
  /** The same as the server is asked. */
  readonly question: object;
}

/** Progress is shown once a search takes longer than this, in ms. */
const PATIENCE = 1000;
const SETTLE = 250;

/** A search for the best reduction, with its bounds. It is looked for anew whenever what it follows
 *  from changes while it is shown. */
export class SearchState {
  ask = $state<Ask>({
    kinds: [],
    stages: 2,
    cones: true,
    keep: 0,
    centreMin: '',
    centreMax: '',
    largest: '',
    fromShelf: false
  });
  result = $state.raw<Schemas['SearchResult']>();
  errors = $state.raw<Record<string, string>>({});
  problem = $state('');
  running = $state(false);
  /** How much is done, from 0 to 1, once it takes long enough to ask. */
  share = $state<number>();
  seconds = $state(0);
  /** An answer looked at but not taken: its bands lie on the ruler beside the plan's. */
  looked = $state.raw<Found>();

  #subject: Subject;
  #running: AbortController | undefined;
  #timer: ReturnType<typeof setTimeout> | undefined;

  constructor(subject: Subject) {
    this.#subject = subject;
  }

  /** The families looked through: as chosen, or what plan and shelf have. */
  get kinds(): readonly string[] {
    return this.ask.kinds.length > 0 ? this.ask.kinds : (this.result?.within.kinds ?? []);
  }

  /** What the search follows from; reading it in an effect runs that effect when it changes. */
  get basis(): string {
    const { machine, plan } = this.#subject.doc;
    const kept = this.ask.keep > 0 ? plan.reduction.stages.slice(-this.ask.keep) : [];
    return JSON.stringify([machine, plan.motor, plan.control, plan.supply, kept, this.ask, prefs.units]);
  }

  soon() {
    this.running = true;
    clearTimeout(this.#timer);
    this.#timer = setTimeout(() => void this.run(), SETTLE);
  }

  stop() {
    clearTimeout(this.#timer);
    this.#running?.abort();
    this.running = false;
    this.share = undefined;
  }

  async run() {
    this.stop();
    const mine = new AbortController();
    this.#running = mine;
    this.running = true;
    const began = performance.now();
    const body = { ...this.#subject.question, ask: $state.snapshot(this.ask) };
    await stream<Schemas['SearchResult']>('/api/search', body, mine.signal, {
      progress: ({ share }) => {
        if (performance.now() - began > PATIENCE) this.share = share;
      },
      result: (result) => {
        this.result = result;
        this.seconds = (performance.now() - began) / 1000;
        this.looked = undefined;
        this.problem = '';
        this.errors = {};
      },
      problem: (refused) => {
        this.errors = refused ? fieldsOf(refused) : this.errors;
        this.problem = sayProblem(refused);
      }
    });
    this.#over(mine);
  }

  #over(mine: AbortController) {
    if (this.#running !== mine) return;
    this.running = false;
    this.share = undefined;
  }
}
