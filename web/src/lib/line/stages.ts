import type { Drawing } from '../api/client';

type Stage = Drawing['stages'][number];

/** How far stages in a row reaches, in millimetres from its left edge. */
export function stagesExtent(stages: Stage[]): { width: number; first: number; last: number; tallest: number } {
  let at = 0;
  let left = 0;
  let right = 0;
  let tallest = 0;
  const reach = (centre: number, diameter: number) => {
    left = Math.min(left, centre - diameter / 2);
    right = Math.max(right, centre + diameter / 2);
    tallest = Math.max(tallest, diameter);
  };
  for (const s of stages) {
    const driver = Math.max(...s.steps.map((p) => p.driver), 0);
    const driven = Math.max(...s.steps.map((p) => p.driven), 0);
    reach(at, driver);
    at += shaftDistance(s);
    reach(at, driven);
  }
  return { width: right - left, first: -left, last: at - left, tallest };
}

/** A straight coupling has no distance worth drawing. */
export function shaftDistance(s: Stage): number {
  return s.kind === 'direct' ? 30 : s.centre;
}

/** The two straight runs of an open belt between circles of radius a and b on one level,
 * tangent outside both. */
export function tangents(x1: number, y1: number, a: number, x2: number, y2: number, b: number): [string, string] {
  const dx = x2 - x1;
  const dy = y2 - y1;
  const c = Math.hypot(dx, dy);
  if (c <= Math.abs(a - b)) return ['', ''];
  const along = Math.atan2(dy, dx);
  const lean = Math.acos((a - b) / c);
  const run = (sign: 1 | -1) => {
    const angle = along + sign * lean;
    const [cos, sin] = [Math.cos(angle), Math.sin(angle)];
    return `M${(x1 + a * cos).toFixed(2)} ${(y1 + a * sin).toFixed(2)}L${(x2 + b * cos).toFixed(2)} ${(y2 + b * sin).toFixed(2)}`;
  };
  return [run(-1), run(1)];
}
