import { expect, it } from 'vitest';
import type { Assessment, Remedy } from '../api/client';
import { bestRemedy, inOrder } from './remedies';

const remedy = (label: string, does: boolean, jobsDone: number) => ({ label, does, jobsDone }) as Remedy;
const plan = (jobsDone: number, ...remedies: Remedy[][]) =>
  ({ jobsDone, jobs: remedies.map((list) => ({ remedies: list })) }) as Pick<Assessment, 'jobs' | 'jobsDone'>;

it('what does the job comes before what only helps, and what does more jobs before what does fewer', () => {
  const list = [remedy('helps', false, 3), remedy('one', true, 1), remedy('two', true, 2)];
  expect(inOrder(list).map((r) => r.label)).toEqual(['two', 'one', 'helps']);
});

it('the head offers what does more jobs than are done, of any job that falls short, and nothing else', () => {
  expect(bestRemedy(plan(1, [remedy('a', true, 2)], [remedy('b', true, 3)]))?.label).toBe('b');
  expect(bestRemedy(plan(2, [remedy('loses another', true, 2)]))).toBeUndefined();
  expect(bestRemedy(plan(0, [remedy('better, and still short', false, 1)]))).toBeUndefined();
  expect(bestRemedy(plan(0, []))).toBeUndefined();
});
