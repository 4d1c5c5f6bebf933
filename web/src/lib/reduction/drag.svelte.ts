import type { SheetState } from '../sheet/sheet.svelte';
import { between, type Point, type Stage } from './layout';
import type { BeltFit, Belts } from './belts.svelte';
import type { View } from './view';

/** What is drawn as a drag begins, and goes on being drawn. */
interface Drawing {
  readonly stages: Stage[];
  /** The shafts, millimetres from the motor's. */
  readonly placed: Point[];
  readonly view: View;
}

/** A shaft under the hand: the drawing follows it at once; the plan, its saving and its verdict after the frame
 *  is drawn, and then only for where the shaft is by then. */
export class ShaftDrag {
  /** The shaft being dragged, before the answer to it has come, in the view that stays still meanwhile. */
  held = $state.raw<{ shaft: number; at: Point; view: View; belt: BeltFit | undefined }>();
  /** The belt on hand that the last drag left; empty for none. */
  left = $state('');

  #sheet: SheetState;
  #drawing: Drawing;
  #belts: Belts;
  #settling = false;

  constructor(sheet: SheetState, drawing: Drawing, belts: Belts) {
    this.#sheet = sheet;
    this.#drawing = drawing;
    this.#belts = belts;
  }

  /** Shafts that can be moved are those at the end of a stage that has centres of its own. */
  movable(shaft: number): boolean {
    return shaft > 0 && this.#drawing.stages[shaft - 1]?.kind !== 'direct';
  }

  /** An answer has come: what was let go stands by it now. */
  answered() {
    if (!this.#settling) return;
    this.#settling = false;
    this.held = undefined;
  }

  /** Writes the stages on either side of a shaft that stands at p, millimetres. */
  #move(shaft: number, p: Point, first: boolean, belt?: BeltFit) {
    const { stages, placed } = this.#drawing;
    this.#sheet.drag(({ plan }) => {
      const write = (i: number, from: Point | undefined, to: Point | undefined) => {
        const stage = plan.reduction.stages[i];
        const drawn = stages[i];
        if (!stage || !drawn || !from || !to || drawn.kind === 'direct') return;
        const { centre, direction } = between(from, to);
        stage.direction = direction;
        if (drawn.meshed) return;
        // Where a belt fits, it is the belt that is known.
        const fits = i === shaft - 1 ? belt : undefined;
        stage.centre = fits ? '' : centre;
        stage.belt = fits?.belt ?? '';
      };
      write(shaft - 1, placed[shaft - 1], p);
      write(shaft, p, placed[shaft + 1]);
    }, first);
  }

  /** Takes a shaft by the pointer that pressed on it. */
  take(e: PointerEvent, shaft: number) {
    if (!this.movable(shaft) || e.button !== 0) return;
    e.preventDefault();
    const target = e.currentTarget as SVGElement;
    target.setPointerCapture(e.pointerId);
    const start = { x: e.clientX, y: e.clientY };
    const from = this.#drawing.placed[shaft] ?? { x: 0, y: 0 };
    const view = this.held?.view ?? this.#drawing.view;
    const anchor = this.#drawing.placed[shaft - 1] ?? { x: 0, y: 0 };
    const before = this.#belts.at(shaft - 1, Math.hypot(from.x - anchor.x, from.y - anchor.y));
    this.left = '';
    this.#settling = false;
    let first = true;
    let asked = false;
    const write = () => {
      asked = false;
      if (!this.held) return;
      this.#move(shaft, this.held.at, first, this.held.belt);
      first = false;
    };
    const follow = (e: PointerEvent) => {
      const at = { x: from.x + (e.clientX - start.x) / view.scale, y: from.y + (e.clientY - start.y) / view.scale };
      const [dx, dy] = [at.x - anchor.x, at.y - anchor.y];
      const apart = Math.hypot(dx, dy);
      // With Alt it goes anywhere; else it goes to where a belt fits that exists.
      const belt = e.altKey ? undefined : this.#belts.near(shaft - 1, apart, view.scale);
      if (belt)
        Object.assign(at, { x: anchor.x + (dx * belt.centre) / apart, y: anchor.y + (dy * belt.centre) / apart });
      this.held = { shaft, at, view, belt };
      this.left = before?.owned && belt?.name !== before.name ? before.name : '';
      if (asked) return;
      asked = true;
      requestAnimationFrame(() => setTimeout(write));
    };
    const release = () => {
      target.removeEventListener('pointermove', follow);
      if (asked) write();
      // Let go, it stays where it was put until the answer has come, unless that has come while it was held still.
      if (first || this.#stands(shaft)) this.held = undefined;
      else this.#settling = true;
    };
    target.addEventListener('pointermove', follow);
    target.addEventListener('pointerup', release, { once: true });
    target.addEventListener('pointercancel', release, { once: true });
  }

  /** Whether a shaft under the hand is drawn where it is held, as near as a plan writes it. */
  #stands(shaft: number): boolean {
    const [held, drawn] = [this.held?.at, this.#drawing.placed[shaft]];
    return !!held && !!drawn && Math.hypot(held.x - drawn.x, held.y - drawn.y) < 1.5;
  }

  /** Moves a shaft by the arrow keys, a millimetre or with shift ten. */
  nudge(e: KeyboardEvent, shaft: number) {
    const by: Record<string, [number, number]> = {
      ArrowLeft: [-1, 0],
      ArrowRight: [1, 0],
      ArrowUp: [0, -1],
      ArrowDown: [0, 1]
    };
    const step = by[e.key];
    const from = this.#drawing.placed[shaft];
    if (!step || !from || !this.movable(shaft)) return;
    e.preventDefault();
    const far = e.shiftKey ? 10 : 1;
    this.#move(shaft, { x: from.x + step[0] * far, y: from.y + step[1] * far }, true);
  }
}
