import { apart } from '../reach/labels';
import { figure } from '../reach/scale';
import { extent, shafts, type Point, type Stage } from './layout';

/** How a drawing lies on the screen: pixels to a millimetre, and where the motor's shaft stands. */
export interface View {
  scale: number;
  left: number;
  top: number;
}

const MOST_SCALE = 2;
const LEAST_SCALE = 0.02;
/** What is left free round the drawing for names and dimensions, px. */
const room = { x: 84, top: 40, bottom: 80 };

/** The largest view of the stages that fits. */
export function fitted(stages: Stage[], width: number, height: number): View {
  const box = extent(stages, shafts(stages));
  const wide = Math.max(box.right - box.left, 1);
  const tall = Math.max(box.bottom - box.top, 1);
  const fits = Math.min((width - 2 * room.x) / wide, (height - room.top - room.bottom) / tall, MOST_SCALE);
  const scale = Math.max(fits, LEAST_SCALE);
  return {
    scale,
    left: (width - wide * scale) / 2 - box.left * scale,
    top: room.top + (height - room.top - room.bottom - tall * scale) / 2 - box.top * scale
  };
}

/** Where a point in millimetres stands on the screen. */
export const onScreen = (v: View, mm: Point): Point => ({ x: v.left + mm.x * v.scale, y: v.top + mm.y * v.scale });

/** The pair of wheels of a stage with its belt on a step, or on its last. */
export const on = (s: Stage, step: number) => s.steps[Math.min(step, s.steps.length - 1)];

/** How fast each shaft turns at most, with the belts on a step; 0 when not known. */
export const shaftSpeeds = (stages: Stage[], step: number): number[] =>
  stages.reduce<number[]>(
    (all, s) => [...all, (all.at(-1) ?? 0) / (on(s, step)?.ratio || 1)],
    [stages[0]?.driverTopRpm ?? 0]
  );

/** A wheel's name on the drawing: its size, and how fast it turns at most. */
export interface Name extends Point {
  anchor: 'start' | 'middle' | 'end';
  size: string;
  rpm: string;
}

/** What a drawing is named by. */
export interface Drawn {
  stages: Stage[];
  step: number;
  view: View;
  /** The shafts on the screen. */
  at: Point[];
  height: number;
  length: (mm: number) => string;
}

const turns = (rpm: number) => (rpm > 0 ? `${figure(rpm)} rpm` : '');

/** Half of a wheel as drawn, with every step of a cone. */
const half = (s: Stage, end: 'driver' | 'driven', v: View) => (Math.max(...s.steps.map((w) => w[end])) / 2) * v.scale;

/** The motor's wheel, named on the side its belt does not leave by; none where it is coupled straight. */
export function motorWheel({ stages, step, view, at, length }: Drawn): Name | undefined {
  const s = stages[0];
  const w = s && on(s, step);
  const from = at[0];
  if (!s || !w || !from || s.kind === 'direct') return undefined;
  const side = (at[1]?.x ?? 0) >= from.x ? -1 : 1;
  // A worm lies along its shaft, half as long again as it is thick.
  const out = half(s, 'driver', view) * (s.kind === 'worm' ? 1.6 : 1);
  return {
    x: from.x + side * (out + 9),
    y: from.y,
    anchor: side < 0 ? 'end' : 'start',
    size: `⌀ ${length(w.driver)}`,
    rpm: turns(shaftSpeeds(stages, step)[0] ?? 0)
  };
}

const CHARACTER = 8.2; // px of a letter, about
const BIG = 60; // px between two wheels on one shaft from which the smaller lies within the larger

/** The other wheels' names: a driven wheel's above it, a driving one's below, or above where a large wheel lies
 *  round it; all are moved until none covers another or a shaft. */
export function wheelNames(drawn: Drawn): Name[] {
  const { stages, step, view, at, height, length } = drawn;
  const speeds = shaftSpeeds(stages, step);
  const names = stages.flatMap((s, i): Name[] => {
    const w = on(s, step);
    const [from, to] = [at[i], at[i + 1]];
    if (!w || !from || !to || s.kind === 'direct') return [];
    const driven: Name = {
      x: to.x,
      y: to.y - half(s, 'driven', view) - 7,
      anchor: 'middle',
      size: `⌀ ${length(w.driven)}`,
      rpm: turns(speeds[i + 1] ?? 0)
    };
    const before = stages[i - 1];
    if (!before) return [driven];
    const inside = ((on(before, step)?.driven ?? 0) - w.driver) * view.scale > BIG;
    const out = half(s, 'driver', view);
    const y = from.y + (inside ? -out - 8 : out + 17);
    return [driven, { x: from.x, y, anchor: 'middle', size: `⌀ ${length(w.driver)}`, rpm: '' }];
  });
  const labels = names.map((n) => {
    const width = CHARACTER * Math.max(n.size.length, n.rpm.length);
    return { x: n.x - width / 2, y: n.y, width };
  });
  const crosses = at.map((p) => [-12, 0, 12].map((dy) => ({ x: p.x, y: p.y + dy })));
  const y = apart(labels, crosses, 31, 28, height);
  return names.map((n, i) => ({ ...n, y: y[i] ?? n.y }));
}

/** A round length of about a third of the width, in millimetres, for the rule under the drawing. */
export function ruleLength(view: View, width: number, lengthMm: number): number {
  const mm = width / 3 / view.scale;
  const power = 10 ** Math.floor(Math.log10(mm / lengthMm));
  const nice = [5, 2, 1].map((n) => n * power).find((n) => n * lengthMm <= mm) ?? power;
  return nice * lengthMm;
}
