import type { Assessment } from '../api/client';
import { place, type Chart, type Point } from './curves';
import { apart, type Label } from './labels';

type Job = Assessment['jobs'][number];
type State = 'good' | 'just' | 'stop' | 'unknown';

/** A job as it stands on the chart: what it needs over its band, with its name. */
export interface JobMark {
  job: Job;
  path: Point[];
  /** Where its load is a usual one, the least of it; empty else. What stands in path is the most. */
  least: Point[];
  ends: [Point, Point];
  text: string;
  state: State;
  /** What its own minutes allow over its band, where that is not the all-day reach that is drawn anyhow. */
  ceiling: Point[];
  /** What it takes to start it, above its band's slow end; none where that is no more than the load itself. */
  breakaway: [Point, Point] | undefined;
  /** Where its name stands. */
  x: number;
  y: number;
}

const CHARACTER = 7.1; // px of a letter of a name, about
const LINE = 17;
/** More jobs than this are told by numbers, with their names in a key. */
export const mostNamed = 5;

const states: Partial<Record<Job['outcome'], State>> = { does: 'good', just: 'just', 'cannot-tell': 'unknown' };

const widthOf = (text: string) => text.length * CHARACTER;

/** The jobs' marks on a chart so wide, no name over another or over a band. */
export function jobMarks(c: Chart, jobs: Job[], width: number): JobMark[] {
  const marks = jobs
    .filter((job) => job.rpm.length > 0)
    .map((job, i, all): JobMark => {
      const needs = (share: number) => job.rpm.map((rpm, i) => place(c, (job.needed[i] ?? 0) * share, rpm));
      const path = needs(1);
      const first = path[0] ?? { x: 0, y: 0 };
      const last = path.at(-1) ?? first;
      const numbered = all.length > mostNamed;
      const text = numbered ? String(i + 1) : `${job.name} ${job.short}`;
      const wide = widthOf(text);
      // A number stands at the end of its band, a name over the middle.
      const beside = last.x + 5 + wide < width ? last.x + 5 : first.x - 5 - wide;
      return {
        job,
        path,
        least: job.least < 1 ? needs(job.least) : [],
        ends: [first, last],
        text,
        state: states[job.outcome] ?? 'stop',
        ceiling: job.ceilingIs === 'all day' ? [] : job.ceiling.map((at) => place(c, at.torque, at.rpm)),
        breakaway:
          c.view === 'torque' && job.breakaway > (job.needed[0] ?? 0) * 1.001
            ? [first, place(c, job.breakaway, job.rpm[0] ?? 0)]
            : undefined,
        x: Math.max(0, numbered ? beside : Math.min((first.x + last.x) / 2 - wide / 2, width - wide)),
        y: numbered ? (beside > last.x ? last.y : first.y) + 5 : Math.min(first.y, last.y) - 11
      };
    });
  const y = apart(
    marks.map((m) => ({ x: m.x, y: m.y, width: widthOf(m.text) })),
    marks.map((m) => m.path),
    LINE,
    0,
    c.height
  );
  return marks.map((m, i) => ({ ...m, y: y[i] ?? m.y }));
}

/** Where names, bands and stems stand, for what must not cover them. */
export const taken = (marks: readonly JobMark[]): Label[] =>
  marks.flatMap((m) => [
    { x: m.x, y: m.y, width: widthOf(m.text) },
    ...m.path.slice(1).map((p, i) => {
      const from = m.path[i] ?? p;
      return { x: from.x, y: (from.y + p.y) / 2 + 8, width: p.x - from.x };
    }),
    ...(m.breakaway ? [{ x: m.breakaway[1].x - 6, y: m.breakaway[1].y + 8, width: 12 }] : [])
  ]);
