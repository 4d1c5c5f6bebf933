import { describe, expect, it } from 'vitest';
import { between, extent, shafts, type Stage } from './layout';
import { fitted, motorWheel, onScreen, ruleLength, shaftSpeeds, wheelNames } from './view';

const stage = (over: Partial<Stage>): Stage => ({
  kind: 'v',
  section: 'A',
  steps: [{ driver: 80, driven: 240, ratio: 3, wrapDeg: 150, length: 1100 }],
  centre: 300,
  centreKnown: true,
  direction: 0,
  meshed: false,
  bypass: false,
  belt: 1100,
  driverTopRpm: 1500,
  beltSpeed: 6,
  guarded: true,
  ...over
});
const two = [stage({}), stage({ direction: 90, driverTopRpm: 500 })];
const length = (mm: number) => `${mm} mm`;

describe('shafts', () => {
  it('stand as far apart as their stages say, up as positive', () => {
    const [motor, middle, spindle] = shafts(two);
    expect(motor).toEqual({ x: 0, y: 0 });
    expect(middle).toEqual({ x: 300, y: 0 });
    expect(spindle?.x).toBeCloseTo(300);
    expect(spindle?.y).toBeCloseTo(-300);
  });

  it('lie within their box with every wheel', () => {
    expect(extent(two, shafts(two))).toEqual({ left: -40, right: 420, top: -420, bottom: 120 });
  });

  it('are written as a plan writes them', () => {
    expect(between({ x: 0, y: 0 }, { x: 300, y: 0 })).toEqual({ centre: '300 mm', direction: '' });
    expect(between({ x: 0, y: 0 }, { x: 0, y: -250.4 })).toEqual({ centre: '250 mm', direction: '90°' });
    const [, to] = shafts([stage({ direction: 31.5, centre: 200 })]);
    expect(between({ x: 0, y: 0 }, to ?? { x: 0, y: 0 })).toEqual({ centre: '200 mm', direction: '31.5°' });
  });
});

describe('the view', () => {
  it('holds every wheel with room round it', () => {
    const view = fitted(two, 800, 500);
    const box = extent(two, shafts(two));
    const corner = onScreen(view, { x: box.left, y: box.top });
    const opposite = onScreen(view, { x: box.right, y: box.bottom });
    expect(corner.x).toBeGreaterThanOrEqual(80);
    expect(corner.y).toBeGreaterThanOrEqual(39);
    expect(opposite.x).toBeLessThanOrEqual(720);
    expect(opposite.y).toBeLessThanOrEqual(421);
    expect(fitted([], 800, 500).scale).toBe(2);
  });

  it('names wheels so that no name covers another', () => {
    const view = fitted(two, 800, 500);
    const at = shafts(two).map((p) => onScreen(view, p));
    const drawn = { stages: two, step: 0, view, at, height: 500, length };
    const names = wheelNames(drawn);
    expect(names.map((n) => n.size)).toEqual(['⌀ 240 mm', '⌀ 240 mm', '⌀ 80 mm']);
    expect(motorWheel(drawn)).toMatchObject({ size: '⌀ 80 mm', rpm: '1500 rpm', anchor: 'end' });
    expect(motorWheel({ ...drawn, stages: [stage({ kind: 'direct' })] })).toBeUndefined();
    for (const [i, a] of names.entries())
      for (const b of names.slice(i + 1))
        expect(Math.abs(a.x - b.x) > 40 || Math.abs(a.y - b.y) >= 31, `${a.size} and ${b.size}`).toBe(true);
  });

  it('tells how fast each shaft turns', () => {
    expect(shaftSpeeds(two, 0)).toEqual([1500, 500, 500 / 3]);
  });

  it.each([
    [1, 600, 1, 200],
    [0.5, 600, 1, 200],
    [1, 600, 25.4, 127]
  ])('a rule at scale %s over %s px in units of %s mm is %s mm', (scale, width, unit, mm) => {
    expect(ruleLength({ scale, left: 0, top: 0 }, width, unit)).toBeCloseTo(mm);
  });
});
