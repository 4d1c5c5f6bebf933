import { Ask } from '../api/ask.svelte';
import { api, call, filledOnly, type Schemas } from '../api/client';
import type { SheetState } from '../sheet/sheet.svelte';

export type BeltFit = Schemas['ShelfBeltFit'];

/** How near, in pixels, a shaft under the hand goes to where a belt fits. */
const pull = 7;

/** The belts there are for each stage, near where its shafts stand. */
export class Belts {
  /** The step that is drawn. */
  step = 0;
  readonly #sheet: SheetState;
  readonly #asked = new Ask<BeltFit[][]>(async (signal) => {
    const body = { ...this.#sheet.question, step: this.step };
    const reply = await call(() => api.POST('/api/belts', { body, bodySerializer: filledOnly, signal }));
    return { ...reply, data: reply.data?.stages.map((fits) => fits ?? []) };
  });

  constructor(sheet: SheetState) {
    this.#sheet = sheet;
  }

  again() {
    this.#asked.again();
  }

  stop() {
    this.#asked.stop();
  }

  /** Whether it is known what belts a stage could have. */
  has(stage: number): boolean {
    return (this.#asked.answer?.[stage]?.length ?? 0) > 0;
  }

  /** The belt a stage has with its shafts so far apart, millimetres. */
  at(stage: number, centre: number): BeltFit | undefined {
    return this.#asked.answer?.[stage]?.find((b) => Math.abs(b.centre - centre) < 0.6);
  }

  /** The belt that draws a shaft to where it fits, in a view of so many pixels to a millimetre. One that is owned
   *  draws from twice as far. */
  near(stage: number, centre: number, scale: number): BeltFit | undefined {
    const off = (b: BeltFit) => (Math.abs(b.centre - centre) * scale) / (b.owned ? 2 : 1);
    return this.#asked.answer?.[stage]
      ?.filter((b) => off(b) <= pull)
      .reduce<BeltFit | undefined>((best, b) => (best && off(best) <= off(b) ? best : b), undefined);
  }
}
