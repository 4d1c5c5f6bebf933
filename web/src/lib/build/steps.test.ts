import { describe, expect, it } from 'vitest';
import type { Schemas } from '../api/client';
import { standing } from './steps';

type Step = Schemas['PowerupStep'];

const step = (over: Partial<Step>): Step => ({
  id: 'power.a',
  what: 'a',
  measure: 'ohms',
  expect: 'under 0.5 Ω',
  live: false,
  reads: true,
  read: '',
  outcome: '',
  says: '',
  held: '',
  done: false,
  ...over
});
const check = (measured: string, open = false) => ({ id: 'power.a', on: '2026-11-30', measured, open });

describe('a step of the first power-up', () => {
  it('that asks for no figure is ticked by whoever looked', () => {
    const seen = step({ reads: false, measure: '', expect: '' });
    expect(standing(seen, undefined)).toMatchObject({ done: false, may: true, why: '' });
    expect(standing(seen, check(''))).toMatchObject({ done: true, why: '' });
  });

  it('that asks for a figure waits until one is read that is right', () => {
    expect(standing(step({}), undefined)).toMatchObject({ done: false, may: false });
    const meets = step({ read: '0.2 Ω', outcome: 'meets' });
    expect(standing(meets, check('0.2 Ω', true))).toMatchObject({ done: false, may: true, fails: false });
    expect(standing(meets, check('0.2 Ω'))).toMatchObject({ done: true });
  });

  it('is not judged by what was read before', () => {
    const meets = step({ read: '0.2 Ω', outcome: 'meets' });
    expect(standing(meets, check('0.2 Ωx', true))).toMatchObject({ done: false, may: false });
    expect(standing(meets, check('900 Ω'))).toMatchObject({ done: false, may: false });
  });

  it('that fails is red, is not done, and says why', () => {
    const fails = step({ read: '900 Ω', outcome: 'fails', says: '900 Ω is not right.' });
    expect(standing(fails, check('900 Ω'))).toMatchObject({
      done: false,
      may: false,
      fails: true,
      why: '900 Ω is not right.'
    });
  });

  it('that is held says by what, ticked off or not', () => {
    const held = step({ reads: false, live: true, held: 'First the step before.' });
    expect(standing(held, undefined)).toMatchObject({ may: false, why: 'First the step before.' });
    expect(standing(held, check(''))).toMatchObject({ done: false, why: 'First the step before.' });
  });
});
