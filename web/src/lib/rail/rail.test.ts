import { expect, it } from 'vitest';
import { nextOf, stepsOf, type Known } from './rail';

const job = { outcome: 'does' } as Known['a']['jobs'][number];
const known = (more: Partial<Known['a']>, parts?: Known['parts'], steps?: Known['steps']): Known => ({
  a: {
    jobs: [job, job, job],
    jobsDone: 3,
    mayPower: true,
    power: { answer: more.mayPower === false ? 'no' : 'yes' },
    does: { answer: 'yes' },
    next: { text: '', field: '' },
    stations: [],
    ...more
  },
  dry: undefined,
  parts,
  steps,
  trials: 'none yet',
  log: 'by day'
});
const states = (k: Known) => stepsOf(k).map((s) => s.state);

it('each step says how far it is', () => {
  expect(states(known({}, { done: 2, all: 9 }, { done: 3, all: 14 }))).toEqual([
    '3 of 3 jobs',
    'not yet',
    '2 of 9 parts',
    'step 4 of 14',
    'none yet',
    'by day',
    '',
    '4 to print'
  ]);
  expect(states(known({ jobs: [], jobsDone: 0, mayPower: false }))).toEqual([
    'no job yet',
    'not yet',
    'nothing yet',
    'not yet',
    'none yet',
    'by day',
    '',
    '4 to print'
  ]);
  expect(states(known({}, { done: 9, all: 9 }, { done: 14, all: 14 }))[3]).toBe('all done');
  const open = known({
    jobs: [{ ...job, outcome: 'cannot-tell' }],
    jobsDone: 0,
    mayPower: false,
    power: { answer: 'unknown' },
    does: { answer: 'unknown' }
  });
  expect(stepsOf(open)[0]).toMatchObject({ state: 'not known yet', bad: false });
  expect(stepsOf(open)[3]).toMatchObject({ name: 'Power up', state: 'not known yet', bad: false });
  expect(stepsOf(known({ does: { answer: 'no' }, jobsDone: 2 }))[0]).toMatchObject({ state: '2 of 3 jobs', bad: true });
});

it('a plan that may not be powered is never past its first step', () => {
  const k = known({ mayPower: false }, { done: 9, all: 9 }, { done: 14, all: 14 });
  expect(states(k)[3]).toBe('not yet');
  expect(stepsOf(k)[3]?.bad).toBe(true);
  expect(nextOf(k)).toEqual({ words: 'clear what is open in the verdict', field: '', panel: '' });
});

it('what is not known comes before parts, parts before power, power before print', () => {
  const next = { text: 'How far?', field: 'machine.jobs' };
  expect(nextOf(known({ next }, { done: 0, all: 2 })).field).toBe('machine.jobs');
  expect(nextOf(known({}, { done: 0, all: 2 }, { done: 0, all: 2 })).panel).toBe('build');
  expect(nextOf(known({}, { done: 2, all: 2 }, { done: 1, all: 2 })).words).toBe('power-up, step 2');
  expect(nextOf(known({}, { done: 2, all: 2 }, { done: 2, all: 2 })).panel).toBe('sheets');
});

it('the dry run says the worst it found', () => {
  const dry = (...levels: ('stop' | 'caution' | 'good')[]) =>
    stepsOf({ ...known({}), dry: { runs: true, findings: levels.map((level) => ({ level })) as never } })[1];
  expect(dry('good', 'good')).toMatchObject({ state: 'nothing stalls', bad: false });
  expect(dry('caution', 'good')).toMatchObject({ state: 'one to watch', bad: false });
  expect(dry('stop', 'caution')).toMatchObject({ state: 'one stop', bad: true });
  expect(dry('stop', 'stop')).toMatchObject({ state: '2 stops', bad: true });
});
