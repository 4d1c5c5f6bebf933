import type { Trial } from './trials.svelte';

/** How far a trial is, in a few words. */
export function stateOf(t: Trial): string {
  const n = t.readings.length;
  if (n === 0) return 'nothing read yet';
  return n === 1 ? '1 reading' : `${n} readings`;
}

/** What the rail says of all trials: how many, and when the last was. */
export function railState(list: readonly Trial[], today: Date): string {
  const done = list.filter((t) => t.readings.length > 0);
  if (done.length === 0) return 'none yet';
  const last =
    done
      .map((t) => t.on)
      .sort((a, b) => a.localeCompare(b))
      .at(-1) ?? '';
  return `${done.length}, ${ago(last, today)}`;
}

/** How long ago a day was, in two or three words. */
export function ago(day: string, today: Date): string {
  const then = new Date(`${day}T12:00:00`);
  if (Number.isNaN(then.getTime())) return 'some time ago';
  const noon = new Date(today);
  noon.setHours(12, 0, 0, 0);
  const days = Math.round((noon.getTime() - then.getTime()) / 86_400_000);
  if (days <= 0) return 'today';
  if (days === 1) return 'yesterday';
  if (days < 60) return `${days} days ago`;
  return `${Math.round(days / 30.4)} months ago`;
}
