export interface Label {
  x: number;
  y: number;
  width: number;
}

/** Moves labels up until none covers another; those drawn first stay where they are. Returns
 * the y of each. */
export function apart(labels: Label[], lineHeight: number, top: number): number[] {
  const placed: Label[] = [];
  return labels.map((label) => {
    let y = label.y;
    const hits = (at: number) =>
      placed.some((p) => Math.abs(p.y - at) < lineHeight && p.x < label.x + label.width && label.x < p.x + p.width);
    while (hits(y) && y - lineHeight / 2 > top) y -= lineHeight / 2;
    while (hits(y)) y += lineHeight / 2;
    placed.push({ ...label, y });
    return y;
  });
}
