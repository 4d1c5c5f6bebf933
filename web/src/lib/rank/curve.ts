import type { Assessment } from '../api/client';

/** What a plan gives all day in every position, as one line with gaps between them. */
export const curveOf = (positions: Assessment['reach']['positions']) =>
  positions
    .toSorted((one, two) => one.lowRpm - two.lowRpm)
    .flatMap((p, i) => [
      ...(i > 0 ? [{ rpm: p.lowRpm, torque: NaN }] : []),
      ...p.rpm.map((rpm, k) => ({ rpm, torque: p.continuous[k] ?? 0 }))
    ]);
