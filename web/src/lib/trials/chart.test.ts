import { describe, expect, it } from 'vitest';
import { pathThrough, scalesOf } from './chart';

const at = (x: number, y: number, spread = 0) => ({ x, y, spread, note: '' });
const curve = (measured: ReturnType<typeof at>[]) => ({
  x: { name: '', unit: '' },
  y: { name: '', unit: '' },
  measured,
  fitted: [],
  reckoned: [],
  marks: []
});

describe('the chart of a trial', () => {
  it('begins at nothing where that is near', () => {
    const { x, y } = scalesOf(curve([at(1, 20), at(9, 200)]), 100, 100);
    expect(x.domain()[0]).toBe(0);
    expect(y.domain()[0]).toBe(0);
    expect(y.domain()[1]).toBeGreaterThanOrEqual(200);
  });
  it('holds one point, none, and spreads', () => {
    expect(scalesOf(curve([]), 100, 100).x.domain()).toEqual([0, 1]);
    const { x } = scalesOf(curve([at(3, 230)]), 100, 100);
    expect(x(3)).toBeCloseTo(50);
    const { y } = scalesOf(curve([at(1, 230, 4), at(2, 226)]), 100, 100);
    expect(y.domain()[1]).toBeGreaterThanOrEqual(234);
  });
  it('draws a line through points', () => {
    expect(
      pathThrough(
        [at(0, 1), at(2, 3)],
        (v) => v,
        (v) => v
      )
    ).toBe('M0.0 1.0L2.0 3.0');
  });
});
