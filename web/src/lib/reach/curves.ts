import { area, line } from 'd3-shape';
import type { Assessment } from '../api/client';
import { shown, type Curve, type scales, type View } from './scale';

export type Position = Assessment['reach']['positions'][number];

export interface Point {
  x: number;
  y: number;
}

/** A chart's scales with what it shows: torque or power in the units chosen. */
export interface Chart {
  view: View;
  units: Assessment['units'];
  x: ReturnType<typeof scales>['x'];
  y: ReturnType<typeof scales>['y'];
  height: number;
}

/** Where a torque at a speed stands. */
export const place = (c: Chart, nm: number, rpm: number): Point => ({
  x: c.x(rpm),
  y: c.y(shown(c.view, c.units, nm, rpm))
});

/** A limit of a position as points. */
export const points = (c: Chart, p: Position, curve: Curve): Point[] =>
  p.rpm.map((rpm, i) => place(c, p[curve][i] ?? 0, rpm));

/** A line through points. */
export const stroke = line<Point>(
  (d) => d.x,
  (d) => d.y
);

const between = (upper: Point[], lower: (i: number) => number): string =>
  area<Point>(
    (d) => d.x,
    (_, i) => lower(i),
    (d) => d.y
  )(upper) ?? '';

/** What lies under a limit. */
export const fill = (c: Chart, p: Position, curve: Curve) => between(points(c, p, curve), () => c.height);

/** What lies between all day and a part of the time. */
export function band(c: Chart, p: Position): string {
  const lower = points(c, p, 'continuous');
  return between(points(c, p, 'intermittent'), (i) => lower[i]?.y ?? 0);
}

/** How far the all-day torque may be out, for a motor that is partly guessed. */
export function doubt(c: Chart, p: Position): string {
  const by = (share: number) => p.rpm.map((rpm, i) => place(c, (p.continuous[i] ?? 0) * share, rpm));
  const lower = by(1 - p.spread);
  return between(by(1 + p.spread), (i) => lower[i]?.y ?? 0);
}

/** A motor on the line from near standstill up, from the slowest speed drawn. */
export const runUp = (c: Chart, p: Position, from: number) =>
  stroke(
    p.runUpRpm
      .map((rpm, i) => ({ rpm, nm: p.runUp[i] ?? 0 }))
      .flatMap((d) => (d.rpm < from ? [] : place(c, d.nm, d.rpm)))
  );

/** Where along a curve its caption sits clear of the jobs. */
export const caption = (c: Chart, p: Position, curve: Curve, share: number): Point =>
  points(c, p, curve)[Math.round((p.rpm.length - 1) * share)] ?? { x: 0, y: 0 };
