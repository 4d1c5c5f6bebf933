import type { Schemas } from '../api/client';

type Build = Schemas['Build'];

/** Why a step of the first power-up must not be ticked yet; empty when it may. A live one waits for every dead one, and
 *  for the step before it. */
export function barred(build: Build, done: (id: string) => boolean, i: number): string {
  const step = build.powerUp[i];
  if (!step?.live || done(step.id)) return '';
  if (!build.mayPower) return `Not while this is open: ${build.blocked}`;
  if (!build.powerUp.filter((s) => !s.live).every((s) => done(s.id))) return 'First everything with the plug out.';
  const before = build.powerUp[i - 1];
  return before?.live && !done(before.id) ? 'First the step before.' : '';
}
