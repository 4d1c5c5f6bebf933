import { expect, it } from 'vitest';
import type { Finding } from '../api/client';
import { partsOf } from './parts';

const finding = (id: string, level: Finding['level'], more: Partial<Finding> = {}) =>
  ({ id, level, station: 'motor', title: id, detail: '', field: '', working: '', ...more }) as Finding;

it('stops are never folded away, what is missing stands in a line of its own, cautions after the third are, by their station', () => {
  const all = [
    ...['a', 'b', 'c', 'd'].map((id) => finding(id, 'stop')),
    finding('m', 'missing'),
    finding('amps', 'missing', { field: 'motor.plate.amps' }),
    ...['1', '2', '3', '4', '5'].map((id) => finding(id, 'caution')),
    finding('6', 'caution', { station: 'supply' }),
    finding('gloves', 'caution', { always: true }),
    finding('fine', 'good')
  ];
  const { missing, first, folds, good } = partsOf(all, 'work');
  expect(missing.map((f) => f.id)).toEqual(['amps']);
  expect(first.map((f) => f.id)).toEqual(['a', 'b', 'c', 'd', 'm', '1', '2', '3']);
  expect(folds.map((f) => [f.says, f.findings.map((one) => one.id)])).toEqual([
    ['2 more at the motor', ['4', '5']],
    ['1 more at the supply', ['6']],
    ['Before you power it: 1 to mind', ['gloves']]
  ]);
  expect(good.map((f) => f.id)).toEqual(['fine']);
  // What belongs to the bench that is open stands open.
  expect(partsOf(all, 'motor').folds.map((f) => f.says)).toEqual([
    '1 more at the supply',
    'Before you power it: 1 to mind'
  ]);
});

it('a stop that is always said stands open', () => {
  expect(partsOf([finding('x', 'stop', { always: true })], 'work').first).toHaveLength(1);
});
