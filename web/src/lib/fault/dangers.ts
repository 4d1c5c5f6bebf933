import type { Schemas } from '../api/client';

/** What a test can do to who makes it, as it is said beside its minutes. */
export const dangers: Record<Schemas['FaultTest']['danger'], string> = {
  asked: 'A question: nothing is touched',
  dead: 'Dead: no power on it',
  watched: 'Power on, nothing opened',
  live: 'Live: with a meter'
};
