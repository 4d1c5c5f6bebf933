import { expect, it } from 'vitest';
import { called, find } from './synonyms';

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

it('two letters stand for nothing else', () => {
  expect(called('ea')).toEqual(['ea']);
  expect(called('grou')).toContain('earth');
});
