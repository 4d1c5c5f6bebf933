import type { Assessment, Remedy } from '../api/client';

/** Changes that were tried: what does the job comes first, then what helps most jobs. */
export const inOrder = (remedies: readonly Remedy[]) =>
  [...remedies].sort((a, b) => Number(b.does) - Number(a.does) || b.jobsDone - a.jobsDone);

/** The change that helps most, of all that were tried for jobs that fall short; none where nothing does more. */
export const bestRemedy = (a: Pick<Assessment, 'jobs' | 'jobsDone'>): Remedy | undefined =>
  inOrder(a.jobs.flatMap((j) => j.remedies)).find((r) => r.does && r.jobsDone > a.jobsDone);
