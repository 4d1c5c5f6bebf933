import { expect, test } from 'vitest';
import { read, wordsOf, write, written } from './path';

test('a path reads and writes what it names', () => {
  const doc = { machine: { jobs: [{ speed: { from: '60' } }] } };
  expect(read(doc, 'machine.jobs[0].speed.from')).toBe('60');
  expect(read(doc, 'machine.jobs[3].speed.from')).toBeUndefined();
  expect(read(doc, 'machine.name.first')).toBeUndefined();
  write(doc, 'machine.jobs[0].speed.from', '70');
  write(doc, 'machine.jobs[1]', { speed: { from: '80' } });
  write(doc, 'machine.limits.spindle', '300 rpm');
  expect(doc).toEqual({
    machine: { jobs: [{ speed: { from: '70' } }, { speed: { from: '80' } }], limits: { spindle: '300 rpm' } }
  });
});

test('a path in words is one a machinist can find', () => {
  expect(wordsOf('plan.motor.plate.powerFactor')).toBe('Motor, plate, power factor');
  expect(wordsOf('machine.jobs[1].speed.from')).toBe('Machine, jobs 2, speed, from');
  expect(wordsOf('')).toBe('');
});

test('what is written on a copy is as if it were written, and leaves the first alone', () => {
  const doc = { machine: { jobs: [{ speed: { from: '60' } }, { speed: { from: '80' } }], name: 'lathe' } };
  const before = structuredClone(doc);
  for (const [path, value] of [
    ['machine.jobs[0].speed.from', '70'],
    ['machine.jobs[2]', { speed: { from: '90' } }],
    ['machine.limits.spindle', '300 rpm'],
    ['machine.name', '']
  ] as const) {
    const as = structuredClone(before);
    write(as, path, value);
    const copy = written(doc, path, value);
    expect(copy).toEqual(as);
    expect(doc).toEqual(before);
  }
  expect(written(doc, 'machine.name', 'mill').machine.jobs).toBe(doc.machine.jobs);
});
