import type { Schemas } from '../api/client';

export type Trace = Schemas['DryrunTrace'];

/** What a run is like at a moment. */
export interface Moment {
  seconds: number;
  motorRpm: number;
  spindleRpm: number;
  amps: number;
  torque: number;
  volts: number;
  windingC: number;
  caseC: number;
  watts: number;
  passed: number;
}

/** The last point at or before a time; of several at one time the last. */
export function indexAt(seconds: readonly number[], t: number): number {
  let low = 0;
  let high = seconds.length - 1;
  while (low < high) {
    const middle = Math.ceil((low + high) / 2);
    if ((seconds[middle] ?? 0) <= t) low = middle;
    else high = middle - 1;
  }
  return low;
}

/** What a run is like at a time, between its points as straight lines go. */
export function momentAt(trace: Trace, t: number): Moment | undefined {
  const n = trace.seconds.length;
  if (n === 0) return undefined;
  const i = indexAt(trace.seconds, t);
  const from = trace.seconds[i] ?? 0;
  const to = trace.seconds[i + 1];
  const part = to !== undefined && to > from ? Math.min(Math.max((t - from) / (to - from), 0), 1) : 0;
  const of = (list: readonly number[]) => {
    const a = list[i] ?? 0;
    return a + ((list[i + 1] ?? a) - a) * part;
  };
  return {
    seconds: t,
    motorRpm: of(trace.motorRpm),
    spindleRpm: of(trace.spindleRpm),
    amps: of(trace.amps),
    torque: of(trace.torque),
    volts: of(trace.volts),
    windingC: of(trace.windingC),
    caseC: of(trace.caseC),
    watts: of(trace.watts),
    passed: of(trace.passed)
  };
}

/** A temperature as it is shown: °C, or °F where inches are. */
export const warmth = (celsius: number, units: 'metric' | 'inch') => (units === 'inch' ? celsius * 1.8 + 32 : celsius);
export const warmthUnit = (units: 'metric' | 'inch') => (units === 'inch' ? '°F' : '°C');

/** How many turns were made up to each point, speeds joined by straight lines. */
export function turnsOf(seconds: readonly number[], rpm: readonly number[]): number[] {
  let sum = 0;
  return seconds.map((t, i) => {
    if (i > 0) sum += (((rpm[i - 1] ?? 0) + (rpm[i] ?? 0)) / 2 / 60) * (t - (seconds[i - 1] ?? 0));
    return sum;
  });
}

/** Turns made by a time. */
export function turnsAt(trace: Trace, turns: readonly number[], rpm: readonly number[], t: number): number {
  const i = indexAt(trace.seconds, t);
  const from = trace.seconds[i] ?? 0;
  const span = (trace.seconds[i + 1] ?? from) - from;
  const dt = Math.min(Math.max(t - from, 0), span);
  const a = rpm[i] ?? 0;
  const b = rpm[i + 1] ?? a;
  const slope = span > 0 ? (b - a) / span : 0;
  return (turns[i] ?? 0) + ((a + (slope * dt) / 2) / 60) * dt;
}
