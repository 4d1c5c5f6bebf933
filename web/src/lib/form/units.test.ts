import { describe, expect, it } from 'vitest';
import { besideOf, isBare, keyboardFor, unitIn, withUnit } from './units';

describe('the unit beside a field', () => {
  it('is that of the system', () => {
    expect(besideOf('motor.plate.power', 'metric').shown).toBe('W');
    expect(besideOf('motor.plate.power', 'inch').shown).toBe('hp');
    expect(besideOf('machine.jobs[3].load.torque', 'inch').shown).toBe('lbf·ft');
    expect(besideOf('motor.plate.volts', 'inch').shown).toBe('V');
    expect(besideOf('wheel.bore', 'inch').shown).toBe('in');
  });

  it('is another for what was kept without one', () => {
    expect(besideOf('supply.cable', 'inch')).toEqual({ shown: 'ft', kept: 'mm' });
    expect(besideOf('machine.jobs[0].fall', 'metric')).toEqual({ shown: '%', kept: '' });
  });

  it('is none for names and counts', () => {
    expect(besideOf('motor.name', 'inch').shown).toBe('');
    expect(besideOf('motor.plate.poles', 'inch').shown).toBe('');
  });

  it('goes behind a bare number alone', () => {
    for (const bare of ['8', '0.5', '8.', '1,5', '3/4', '1 3/8', '½', '1½', '-3']) expect(isBare(bare)).toBe(true);
    for (const not of ['8 mm', '5 lb at 3 in', '10/5', '115/230', 'x', '', '1 2', '3/4 hp']) {
      expect(isBare(not)).toBe(false);
    }
    expect(withUnit('8', 'lbf·ft')).toBe('8 lbf·ft');
    expect(withUnit('45', '°')).toBe('45°');
    expect(withUnit('8 mm', 'in')).toBe('8 mm');
    expect(withUnit('8', '')).toBe('8');
  });

  it('is read off the figure that stands there', () => {
    for (const [text, unit] of [
      ['1/2 hp', 'hp'],
      ['½ hp', 'hp'],
      ['1 1/4 in', 'in'],
      ['5/8"', '"'],
      ['0.37 kW', 'kW'],
      ['14.5 lbf·ft', 'lbf·ft'],
      ['30 m/min', 'm/min'],
      ['90°', '°'],
      ['12 kg·m²', 'kg·m²'],
      ['80', ''],
      ['', ''],
      ['5 lb at 80 mm', ''],
      ['115/230 V', 'V'],
      ['about 3 hp', ''],
      ['hp', '']
    ] as const)
      expect(unitIn(text), text).toBe(unit);
  });

  it('says which keyboard suits', () => {
    expect(keyboardFor('rpm', false)).toBe('decimal');
    expect(keyboardFor('V', true)).toBe('text');
    expect(keyboardFor('in', false)).toBe('text');
    expect(keyboardFor('lbf·ft', false)).toBe('text');
  });
});
