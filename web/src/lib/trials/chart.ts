import { scaleLinear } from 'd3-scale';
import type { Schemas } from '../api/client';

type Curve = Schemas['TrialCurve'];
type Point = Curve['measured'][number];

/** A path through points. */
export const pathThrough = (list: readonly Point[], x: (v: number) => number, y: (v: number) => number): string =>
  list.map((p, i) => `${i === 0 ? 'M' : 'L'}${x(p.x).toFixed(1)} ${y(p.y).toFixed(1)}`).join('');

/** Scales that hold everything drawn; from nothing where that is not far. */
export function scalesOf(curve: Curve, width: number, height: number) {
  const all = [...curve.measured, ...curve.reckoned, ...curve.fitted.flatMap((l) => l.points)];
  const span = (of: (p: Point) => number, spread: (p: Point) => number): [number, number] => {
    let low = Infinity;
    let high = -Infinity;
    for (const p of all) {
      low = Math.min(low, of(p) - spread(p));
      high = Math.max(high, of(p) + spread(p));
    }
    if (!Number.isFinite(low)) return [0, 1];
    // What a spread leaves under nothing is no room to show.
    if (low > -0.05 * high && low < 0.5 * high) low = 0;
    if (high === low) return [low - 1, high + 1];
    const room = (high - low) * 0.06;
    return [low === 0 ? 0 : low - room, high + room];
  };
  const x = scaleLinear()
    .domain(
      span(
        (p) => p.x,
        () => 0
      )
    )
    .range([0, width]);
  const y = scaleLinear()
    .domain(
      span(
        (p) => p.y,
        (p) => p.spread
      )
    )
    .range([height, 0])
    .nice(5);
  return { x, y };
}
