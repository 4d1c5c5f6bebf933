import type { Schemas } from '../api/client';

export type Script = Schemas['ScriptDescribed'];
export type Event = Schemas['ScriptEvent'];
export type Does = Event['does'];
export type Happening = Schemas['ScriptHappening'];

/** A script in which nothing was said: the usual one of its kind of machine is run. */
export const blankScript = (): Script => ({
  events: [],
  position: '',
  inertia: '',
  friction: '',
  sticks: '',
  volts: '',
  air: '',
  warm: '',
  lasts: ''
});

export const blankEvent = (does: Does, at: string): Event => ({
  at,
  does,
  name: '',
  job: '',
  speed: '',
  torque: '',
  lasts: ''
});

/** What an event is called: by the person, by its job, or by what it does. */
export function nameOf(e: Event, jobs: readonly { id: string; name: string }[], kinds: readonly Happening[]): string {
  if (e.name) return e.name;
  if (e.does === 'cut' && e.job) return jobs.find((j) => j.id === e.job)?.name ?? 'a job that is gone';
  return kinds.find((k) => k.does === e.does)?.name ?? 'nothing yet';
}

/** The size of an event in a few words. */
export function sizeOf(e: Event): string {
  const parts: string[] = [];
  if (e.speed) parts.push(e.does === 'knob' ? e.speed : `at ${e.speed}`);
  if (e.torque) parts.push(`${e.torque} at the spindle`);
  if (e.lasts) parts.push(`for ${e.lasts}`);
  return parts.join(', ');
}

const secondsOf = (text: string) => Number.parseFloat(text.replace(',', '.')) || 0;

/** Where the next event would go: a little after the last. */
export function nextTime(events: readonly Event[]): string {
  const last = Math.max(0, ...events.map((e) => secondsOf(e.at) + secondsOf(e.lasts)));
  return `${Math.round((last + 2) * 10) / 10} s`;
}
