import { expect, it } from 'vitest';
import { find } from './find';
import { called } from './synonyms';

const list = [
  'Frame not earthed',
  'Earth from the plug',
  'Current limit',
  'Driving pulley',
  'Plan B, not earthed yet'
].map((name) => ({ name }));
const names = (typed: string) => find(list, typed).map((d) => d.name);

it('what is typed comes before what else it is called', () => {
  expect(names('earth')).toEqual(['Frame not earthed', 'Earth from the plug', 'Plan B, not earthed yet']);
  expect(names('ground')).toEqual(['Frame not earthed', 'Earth from the plug', 'Plan B, not earthed yet']);
  expect(names('amps')).toEqual(['Current limit']);
  expect(names('sheave')).toEqual(['Driving pulley']);
});

it('words as they stand come before words scattered about', () => {
  expect(names('not earthed')).toEqual(['Frame not earthed', 'Plan B, not earthed yet']);
  expect(names('earthed frame')).toEqual(['Frame not earthed']);
  expect(names('nothing such')).toEqual([]);
  expect(names('')).toHaveLength(5);
});

it('what it is looked for by beside its name comes after its name', () => {
  const all = [
    { name: 'Exercise: a belt that slips', also: 'heat' },
    { name: 'slip', also: '' },
    { name: 'Spring scale', also: '' }
  ];
  const named = (typed: string) => find(all, typed).map((d) => d.name);
  expect(named('slip')).toEqual(['Exercise: a belt that slips', 'slip']);
  expect(named('slip heat')).toEqual(['Exercise: a belt that slips']);
  expect(named('torque wrench')).toEqual(['Spring scale']);
});

it('two letters stand for nothing else', () => {
  expect(new Set(called('ea'))).toEqual(new Set(['ea']));
  expect(called('growls')).toContain('hum');
  expect(called('grou')).toContain('earth');
});
