export interface Label {
  x: number;
  /** Where its letters stand. */
  y: number;
  width: number;
}

export interface Point {
  x: number;
  y: number;
}

/** Points a few pixels apart along a line. */
const along = (line: Point[]): Point[] =>
  line.slice(0, 1).concat(
    line.slice(1).flatMap((to, i) => {
      const from = line[i] ?? to;
      const n = Math.max(1, Math.ceil(Math.hypot(to.x - from.x, to.y - from.y) / 6));
      return Array.from({ length: n }, (_, k) => ({
        x: from.x + ((to.x - from.x) * (k + 1)) / n,
        y: from.y + ((to.y - from.y) * (k + 1)) / n
      }));
    })
  );

/** Moves labels up or down, as little as need be between top and bottom, until none covers another
 * or a line; those drawn first stay where they are. Returns the y of each. */
export function apart(labels: Label[], lines: Point[][], lineHeight: number, top: number, bottom: number): number[] {
  const placed: Label[] = [];
  const inked = lines.flatMap(along);
  return labels.map((label) => {
    const within = (x: number, width: number) => x < label.x + label.width && label.x < x + width;
    const overLabel = (at: number) => placed.some((p) => Math.abs(p.y - at) < lineHeight && within(p.x, p.width));
    const overLine = (at: number) =>
      inked.some((p) => within(p.x, 0) && p.y > at - lineHeight && p.y < at + 0.6 * lineHeight);
    const step = lineHeight / 4;
    const tries = Array.from({ length: Math.ceil((bottom - top) / step) }, (_, n) => [
      label.y - n * step,
      label.y + n * step
    ])
      .flat()
      .filter((at) => at > top && at < bottom);
    // With no room at all, crossing a line is better than covering a name.
    const y = tries.find((at) => !overLabel(at) && !overLine(at)) ?? tries.find((at) => !overLabel(at)) ?? label.y;
    placed.push({ ...label, y });
    return y;
  });
}

/** Whether a label stands clear of others, all on lines so high. */
export const clear = (label: Label, others: readonly Label[], lineHeight: number): boolean =>
  !others.some((o) => Math.abs(o.y - label.y) < lineHeight && o.x < label.x + label.width && label.x < o.x + o.width);
