import type { Drawing } from '../api/client';
import { shaftDistance } from '../line/stages';

export type Stage = Drawing['stages'][number];

export interface Point {
  x: number;
  y: number;
}

/** Where each shaft stands, in millimetres from the motor's, y downward. */
export function shafts(stages: Stage[]): Point[] {
  return stages.reduce<Point[]>(
    (at, s) => {
      const from = at.at(-1) ?? { x: 0, y: 0 };
      const angle = (s.direction * Math.PI) / 180;
      const distance = shaftDistance(s);
      return [...at, { x: from.x + distance * Math.cos(angle), y: from.y - distance * Math.sin(angle) }];
    },
    [{ x: 0, y: 0 }]
  );
}

/** The box that holds every wheel, in millimetres. */
export function extent(stages: Stage[], at: Point[]): { left: number; right: number; top: number; bottom: number } {
  const box = { left: 0, right: 0, top: 0, bottom: 0 };
  const hold = (p: Point | undefined, diameter: number) => {
    if (!p) return;
    box.left = Math.min(box.left, p.x - diameter / 2);
    box.right = Math.max(box.right, p.x + diameter / 2);
    box.top = Math.min(box.top, p.y - diameter / 2);
    box.bottom = Math.max(box.bottom, p.y + diameter / 2);
  };
  stages.forEach((s, i) => {
    hold(at[i], Math.max(...s.steps.map((w) => w.driver), 0));
    hold(at[i + 1], Math.max(...s.steps.map((w) => w.driven), 0));
  });
  return box;
}

/** Distance (mm) and direction (degrees) from one shaft to another, as a plan writes them. */
export function between(from: Point, to: Point): { centre: string; direction: string } {
  const dx = to.x - from.x;
  const dy = from.y - to.y;
  const degrees = Math.round(((Math.atan2(dy, dx) * 180) / Math.PI) * 2) / 2;
  return { centre: `${Math.round(Math.hypot(dx, dy))} mm`, direction: degrees === 0 ? '' : `${degrees}°` };
}
