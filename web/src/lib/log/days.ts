/** A day of the log, with its entries as they stand. */
export interface Day<E> {
  day: string;
  entries: E[];
}

/** Entries under the day they happened on, as this place's calendar has it. */
export function byDay<E extends { happened: string }>(list: readonly E[]): Day<E>[] {
  const out: Day<E>[] = [];
  for (const e of list) {
    const day = new Date(e.happened).toLocaleDateString(undefined, {
      weekday: 'short',
      day: 'numeric',
      month: 'short',
      year: 'numeric'
    });
    const last = out.at(-1);
    if (last?.day === day) last.entries.push(e);
    else out.push({ day, entries: [e] });
  }
  return out;
}
