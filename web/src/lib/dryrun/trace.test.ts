import { expect, it } from 'vitest';
import { scaleLinear } from 'd3-scale';
import { labelsOf, pathOf } from './chart';
import { csvOf } from './csv';
import { nextTime, nameOf, sizeOf } from './script';
import { indexAt, momentAt, turnsAt, turnsOf, warmth, type Trace } from './trace';

const trace: Trace = {
  seconds: [0, 2, 2, 4],
  motorRpm: [0, 600, 600, 600],
  spindleRpm: [0, 60, 60, 60],
  amps: [0, 4, 2, 2],
  torque: [1, 1, 0, 0],
  volts: [0, 10, 10, 10],
  windingC: [20, 22, 22, 24],
  caseC: [20, 20, 20, 21],
  watts: [0, 40, 20, 20],
  passed: [0, 3, 0, 0]
};

it('a moment lies between its points, and after what is sudden', () => {
  expect(momentAt(trace, 1)).toMatchObject({ spindleRpm: 30, amps: 2, windingC: 21 });
  expect(momentAt(trace, 2)?.amps).toBe(2);
  expect(momentAt(trace, 99)?.spindleRpm).toBe(60);
  expect(momentAt({ ...trace, seconds: [] }, 1)).toBeUndefined();
  expect(indexAt(trace.seconds, 2)).toBe(2);
});

it('what turns has turned by the integral of its speed', () => {
  const turns = turnsOf(trace.seconds, trace.motorRpm);
  expect(turns).toEqual([0, 10, 10, 30]);
  // Half of the time of an even gain is a quarter of its turns.
  expect(turnsAt(trace, turns, trace.motorRpm, 1)).toBeCloseTo(2.5);
  expect(turnsAt(trace, turns, trace.motorRpm, 3)).toBeCloseTo(20);
  expect(turnsAt(trace, turns, trace.motorRpm, 99)).toBeCloseTo(30);
});

it('only what a view shows is drawn, and a point to either side', () => {
  const x = scaleLinear().domain([2.5, 3.5]).range([0, 100]);
  const y = scaleLinear().domain([0, 100]).range([100, 0]);
  expect(pathOf(trace.seconds, trace.spindleRpm, x, y)).toBe('M-50.0 40.0L150.0 40.0');
});

it('labels run into no other of their row, and end before the edge', () => {
  const e = (seconds: number, words: string) =>
    ({ seconds, words, entry: 0, bad: false, what: 'asked', does: 'on', to: 0 }) as const;
  const labels = labelsOf([e(0, 'Switch on'), e(1, 'Big pots'), e(99, 'Stop, ramped')], (t) => t * 4, 400, 3);
  expect(labels.map((l) => l.row)).toEqual([0, 1, 0]);
  expect(labels.map((l) => l.before)).toEqual([false, false, true]);
});

it('a trace is a table for a spreadsheet', () => {
  const lines = csvOf(trace).trim().split('\r\n');
  expect(lines[0]).toBe(
    'seconds,motor rpm,spindle rpm,amps,motor torque N·m,volts,winding °C,case °C,watts,spindle torque N·m'
  );
  expect(lines[2]).toBe('2,600,60,4,1,10,22,20,40,3');
  expect(lines).toHaveLength(5);
});

it('an event is called by its name, its job or what it does', () => {
  const kinds = [{ does: 'jam', name: 'It jams', sized: 'torque', lasts: true }] as const;
  const blank = { at: '3 s', does: 'jam', name: '', job: '', speed: '', torque: '9 N·m', lasts: '2 s' } as const;
  expect(nameOf(blank, [], [...kinds])).toBe('It jams');
  expect(nameOf({ ...blank, name: 'A nail' }, [], [...kinds])).toBe('A nail');
  expect(nameOf({ ...blank, does: 'cut', job: 'x' }, [{ id: 'x', name: 'Bowls' }], [...kinds])).toBe('Bowls');
  expect(sizeOf(blank)).toBe('9 N·m at the spindle, for 2 s');
  expect(nextTime([blank, { ...blank, at: '1 s' }])).toBe('7 s');
});

it('warmth is shown in the units of the rest', () => {
  expect(warmth(100, 'metric')).toBe(100);
  expect(warmth(100, 'inch')).toBe(212);
});
