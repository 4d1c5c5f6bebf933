import { describe, expect, it } from 'vitest';
import type { Assessment } from '../api/client';
import { apart, type Label } from './labels';
import { jobMarks } from './marks';
import { scales } from './scale';

const LINE = 17;
const covers = (a: Label, b: Label) => a.x < b.x + b.width && b.x < a.x + a.width && Math.abs(a.y - b.y) < LINE;

describe('labels', () => {
  it('stay where they are while nothing is in the way', () => {
    expect(apart([{ x: 0, y: 50, width: 40 }], [], LINE, 0, 100)).toEqual([50]);
    expect(
      apart(
        [
          { x: 0, y: 50, width: 40 },
          { x: 60, y: 50, width: 40 }
        ],
        [],
        LINE,
        0,
        100
      )
    ).toEqual([50, 50]);
  });

  it('move until none covers another, within the room there is', () => {
    const labels = Array.from({ length: 8 }, (_, i) => ({ x: 5 * i, y: 100, width: 80 }));
    const placed = apart(labels, [], LINE, 0, 200).map((y, i) => ({ ...labels[i], y }) as Label);
    for (const [i, a] of placed.entries()) {
      expect(a.y).toBeGreaterThan(0);
      expect(a.y).toBeLessThan(200);
      for (const b of placed.slice(i + 1)) expect(covers(a, b)).toBe(false);
    }
  });

  it('keep off lines, and cross one sooner than cover a name', () => {
    const line = [
      { x: 0, y: 50 },
      { x: 100, y: 50 }
    ];
    const [y = 0] = apart([{ x: 10, y: 50, width: 40 }], [line], LINE, 0, 100);
    expect(y >= 50 + LINE || y <= 50 - 0.6 * LINE).toBe(true);
    const filled = Array.from({ length: 40 }, (_, i) => [
      { x: 0, y: 3 * i },
      { x: 100, y: 3 * i }
    ]);
    const [a = 0, b = 0] = apart(
      [
        { x: 10, y: 50, width: 40 },
        { x: 10, y: 50, width: 40 }
      ],
      filled,
      LINE,
      0,
      100
    );
    expect(Math.abs(a - b)).toBeGreaterThanOrEqual(LINE);
  });
});

describe('jobs on the reach', () => {
  const job = (id: string, from: number, to: number, needed: number, outcome: string) => ({
    id,
    name: `Job ${id}`,
    short: '×1.2 to spare',
    outcome,
    rpm: [from, to],
    needed: [needed, needed],
    baseline: [],
    ceiling: [{ rpm: from, torque: 9 }],
    ceilingIs: id === 'a' ? 'some seconds' : 'all day',
    breakaway: id === 'b' ? 7 : 0
  });
  const a = {
    units: { torque: 'N·m', torqueSi: 1, power: 'W', powerSi: 1, length: 'mm', lengthMm: 1 },
    reach: { positions: [], topRpm: 0, topLabel: '' },
    jobs: [
      job('a', 50, 100, 5, 'does'),
      job('b', 50, 100, 5.1, 'just'),
      job('c', 60, 90, 5.2, 'short'),
      job('d', 70, 110, 5, 'cannot-tell'),
      { ...job('e', 1, 2, 3, 'does'), rpm: [], needed: [] }
    ]
  } as unknown as Assessment;

  it('have names that cover neither each other nor a band, within the chart', () => {
    const chart = { view: 'torque' as const, units: a.units, ...scales(a, 'torque', 400, 300), height: 300 };
    const marks = jobMarks(chart, a.jobs, 400);
    expect(marks.map((m) => m.state)).toEqual(['good', 'just', 'stop', 'unknown']);
    expect(marks.map((m) => m.ceiling.length)).toEqual([1, 0, 0, 0]);
    expect(marks.map((m) => m.breakaway !== undefined)).toEqual([false, true, false, false]);
    const labels = marks.map((m) => ({ x: m.x, y: m.y, width: m.text.length * 7.1 }));
    for (const [i, one] of labels.entries()) {
      expect(one.x).toBeGreaterThanOrEqual(0);
      expect(one.x + one.width).toBeLessThanOrEqual(401);
      for (const other of labels.slice(i + 1)) expect(covers(one, other)).toBe(false);
    }
  });
});
