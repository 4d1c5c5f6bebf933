import { describe, expect, it } from 'vitest';
import type { Assessment } from '../api/client';
import { readOut } from './readOut';
import { apartTicks, figure, limitAt, nearest, scales, shown, speedDomain, speedTicks, valueTop } from './scale';

const rpm = Array.from({ length: 61 }, (_, i) => 10 * 10 ** (i / 30)); // 10 to 1000
const position = (label: string, torque: number) => ({
  label,
  ratio: 5,
  efficiency: 0.95,
  fixed: false,
  lowRpm: 10,
  highRpm: 1000,
  rpm,
  continuous: rpm.map(() => torque),
  intermittent: rpm.map(() => 2 * torque),
  peak: rpm.map(() => 10 * torque),
  spread: 0,
  limits: [
    { fromRpm: 10, continuous: 'heat', intermittent: 'heat', peak: 'amps' },
    { fromRpm: 300, continuous: 'volts', intermittent: 'volts', peak: 'volts' }
  ],
  runUp: [],
  runUpRpm: []
});
const answer = (over: object) =>
  ({
    units: { torque: 'N·m', torqueSi: 1, power: 'W', powerSi: 1, length: 'mm', lengthMm: 1 },
    reach: { positions: [position('low', 8), position('high', 3)], topRpm: 0, topLabel: '' },
    jobs: [],
    ...over
  }) as unknown as Assessment;

describe('the reach’s scales', () => {
  it('span the reach, the jobs and the machine’s limit, with room', () => {
    expect(speedDomain(answer({}))).toEqual([8, 1250]);
    const wider = answer({ reach: { positions: [position('only', 8)], topRpm: 2000, topLabel: 'limit' } });
    expect(speedDomain(wider)[1]).toBe(2500);
    expect(speedDomain(answer({ reach: { positions: [], topRpm: 0, topLabel: '' } }))).toEqual([10, 1000]);
  });

  it('let a peak that dwarfs the rest run off the top', () => {
    expect(valueTop(answer({}), 'torque')).toBeCloseTo(16 * 1.6 * 1.12);
    const heavy = answer({ jobs: [{ rpm: [100], needed: [70] }] });
    expect(valueTop(heavy, 'torque')).toBeCloseTo(80 * 1.12);
  });

  it('turn a torque into a power at its speed', () => {
    const { units } = answer({});
    expect(shown('torque', units, 5, 300)).toBe(5);
    expect(shown('power', units, 5, 300)).toBeCloseTo(157.08, 2);
  });

  it('map the ends of the domain to the ends of the chart', () => {
    const { x, y } = scales(answer({}), 'torque', 500, 200);
    expect(x(8)).toBeCloseTo(0);
    expect(x(1250)).toBeCloseTo(500);
    expect(y(0)).toBe(200);
  });

  it('mark round speeds, fewer where there is less room', () => {
    const wide = speedTicks([8, 1250], 900);
    const narrow = speedTicks([8, 1250], 250);
    expect(narrow).toEqual([10, 20, 50, 100, 200, 500, 1000]);
    expect(wide.length).toBeGreaterThan(narrow.length);
  });

  it('find the nearest speed of a position, and none outside it', () => {
    const p = answer({}).reach.positions[0];
    if (!p) throw new Error('no position');
    expect(p.rpm[nearest(p, 100) ?? -1]).toBeCloseTo(100);
    expect(nearest(p, 5)).toBeUndefined();
    expect(nearest(p, 1200)).toBeUndefined();
    expect(limitAt(p, 100)?.continuous).toBe('heat');
    expect(limitAt(p, 400)?.continuous).toBe('volts');
  });
});

describe('the read-out', () => {
  it('is of the position that gives most there', () => {
    const { positions } = answer({}).reach;
    const read = readOut(positions, 200);
    expect(read.of?.position.label).toBe('low');
    expect(read.of?.continuous).toBe(8);
    expect(read.of?.peak).toBe(80);
    expect(readOut(positions, 5000)).toEqual({ rpm: 5000 });
  });
});

describe('figures', () => {
  it.each([
    [0.12345, '0.123'],
    [-4.5, '−4.5'],
    [1234.5, '1235'],
    [12345, '12\u202f350'],
    [Infinity, '—']
  ])('%s is %s', (v, text) => expect(figure(v)).toBe(text));
});

describe('ticks', () => {
  it('thin out where their figures would touch', () => {
    const x = (v: number) => v / 10;
    expect(apartTicks([100, 200, 300, 400, 500, 700, 1000, 2000], x)).toEqual([100, 500, 1000, 2000]);
    expect(apartTicks([100, 200, 300], (v) => v)).toEqual([100, 200, 300]);
    expect(apartTicks([], x)).toEqual([]);
  });
});
