import type { ScaleLinear } from 'd3-scale';
import type { Schemas } from '../api/client';

type Event = Schemas['DryrunEvent'];

/** A line through points, as an SVG path; only what a view shows, and a point to either side of it. */
export function pathOf(
  seconds: readonly number[],
  values: readonly number[],
  x: ScaleLinear<number, number>,
  y: ScaleLinear<number, number>
): string {
  const [from = 0, to = 0] = x.domain();
  let d = '';
  for (let i = 0; i < seconds.length; i++) {
    const after = seconds[i + 1] ?? Infinity;
    const before = seconds[i - 1] ?? -Infinity;
    if (after < from || before > to) continue;
    d += `${d ? 'L' : 'M'}${x(seconds[i] ?? 0).toFixed(1)} ${y(values[i] ?? 0).toFixed(1)}`;
  }
  return d;
}

/** The area between the least and the most of a band, as an SVG path. */
export function bandOf(
  band: Schemas['DryrunBand'],
  x: ScaleLinear<number, number>,
  y: ScaleLinear<number, number>
): string {
  const at = (i: number, list: readonly number[]) =>
    `${x(band.seconds[i] ?? 0).toFixed(1)} ${y(list[i] ?? 0).toFixed(1)}`;
  const there = band.seconds.map((_, i) => at(i, band.high));
  const back = band.seconds.map((_, i) => at(i, band.low)).reverse();
  return there.length > 0 ? `M${[...there, ...back].join('L')}Z` : '';
}

/** A label over the chart: where it stands, and in which of the rows. */
export interface Label {
  at: number;
  row: number;
  words: string;
  bad: boolean;
  /** It stands before its line, as there is no room after it. */
  before: boolean;
}

/** About how wide a character of a label is, in pixels. */
const CHARACTER = 7;

/** Puts the names of what happens over the chart in rows, so that none runs into the next one of its row. What has no
 *  room in any row is left to the list beside. */
export function labelsOf(events: readonly Event[], x: (t: number) => number, width: number, rows: number): Label[] {
  const shown = events
    .filter((e) => e.entry >= 0 || e.bad)
    .map((e) => ({ at: x(e.seconds), words: e.words, bad: e.bad }));
  const ends = Array.from({ length: rows }, () => -Infinity);
  const out: Label[] = [];
  for (const e of shown) {
    if (e.at < -1 || e.at > width) continue;
    const needs = e.words.length * CHARACTER + 10;
    const from = e.at + needs > width ? e.at - needs : e.at;
    const row = ends.findIndex((end) => end <= from);
    if (row < 0) continue;
    ends[row] = Math.max(e.at, from + needs);
    out.push({ ...e, row, before: e.at + needs > width });
  }
  return out;
}

/** What was on, and for how long: shaded behind the lines. */
export const spansOf = (events: readonly Event[]) =>
  events.filter((e) => e.to > e.seconds).map((e) => ({ from: e.seconds, to: e.to, does: e.does }));
