import { Ask } from '../api/ask.svelte';
import { api, call, type Assessment, type Schemas } from '../api/client';
import { prefs } from '../prefs.svelte';

type Example = Schemas['Example'];

/** How small and large its pulley may be drawn, mm: the belt's least, and what leaves the other room. */
const least = 60;
const most = 380;

/** An example that is kept nowhere: its driven pulley is dragged, and everything follows. */
export class Toy {
  /** Diameter of the driven pulley, mm. */
  size = $state(0);
  #example = $state.raw<Example>();
  readonly #asked = new Ask<Assessment>((signal) => {
    const body = this.#example && this.#input(this.#example);
    return body ? call(() => api.POST('/api/assess', { body, signal })) : Promise.resolve({ status: 200 });
  });

  async load() {
    const { data } = await call(() => api.GET('/api/example'));
    if (!data) return;
    this.#example = data;
    this.set(Number.parseFloat(data.plan.reduction.stages[0]?.steps[0]?.driven ?? '200'));
  }

  get answer() {
    return this.#asked.answer;
  }

  readonly bounds = { least, most };

  /** Puts on a pulley of so many millimetres. */
  set(mm: number) {
    this.size = Math.min(Math.max(Math.round(mm), least), most);
    this.again();
  }

  again() {
    this.#asked.again();
  }

  stop() {
    this.#asked.stop();
  }

  #input(example: Example) {
    const { machine, plan } = structuredClone(example);
    const step = plan.reduction.stages[0]?.steps[0];
    if (step) step.driven = `${this.size} mm`;
    return { units: prefs.units, shelf: [], machine, plan };
  }
}
