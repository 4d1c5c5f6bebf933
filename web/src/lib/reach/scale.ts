import { scaleLinear, scaleLog } from 'd3-scale';
import type { Assessment } from '../api/client';

export type View = 'torque' | 'power';
type Position = Assessment['reach']['positions'][number];
export type Curve = 'continuous' | 'intermittent' | 'peak';

const RAD_PER_RPM = Math.PI / 30;

/** A torque in N·m at a speed, as the chart shows it: torque or power in the units chosen. */
export function shown(view: View, units: Assessment['units'], nm: number, rpm: number): number {
  return view === 'torque' ? nm / units.torqueSi : (nm * rpm * RAD_PER_RPM) / units.powerSi;
}

/** Speeds the chart spans: the reach and the jobs, with a little room. */
export function speedDomain(a: Assessment): [number, number] {
  const speeds = [
    ...a.reach.positions.flatMap((p) => (p.fixed ? [p.lowRpm * 0.5, p.highRpm] : [p.lowRpm, p.highRpm])),
    ...a.jobs.flatMap((j) => j.rpm),
    ...(a.reach.topRpm > 0 ? [a.reach.topRpm] : [])
  ].filter((v) => v > 0);
  if (speeds.length === 0) return [10, 1000];
  const low = Math.min(...speeds) * 0.8;
  const high = Math.max(...speeds) * 1.25;
  return [low, Math.max(high, low * 4)];
}

/** The most the chart must show. Peak is left to run off the top when it dwarfs the rest. */
export function valueTop(a: Assessment, view: View): number {
  const of = (curve: Curve) =>
    a.reach.positions.flatMap((p) => p[curve].map((nm, i) => shown(view, a.units, nm, p.rpm[i] ?? 0)));
  const jobs = a.jobs.flatMap((j) => j.needed.map((nm, i) => shown(view, a.units, nm, j.rpm[i] ?? 0)));
  const most = (list: number[]) => list.reduce((m, v) => Math.max(m, v), 0);
  const usual = Math.max(most(of('intermittent')), most(jobs));
  return Math.max(Math.min(most(of('peak')), usual * 1.6), usual) * 1.12 || 1;
}

export function scales(a: Assessment, view: View, width: number, height: number) {
  const x = scaleLog().domain(speedDomain(a)).range([0, width]);
  const y = scaleLinear()
    .domain([0, valueTop(a, view)])
    .range([height, 0])
    .nice(6);
  return { x, y };
}

/** Round speeds for the axis: 1, 2, 3, 5, 7 of each decade, as many as fit. */
export function speedTicks([low, high]: [number, number], width: number): number[] {
  const decades = Math.log10(high / low);
  const steps = width / decades > 260 ? [1, 1.5, 2, 3, 4, 5, 7] : width / decades > 150 ? [1, 2, 3, 5] : [1, 2, 5];
  const out: number[] = [];
  for (let d = Math.floor(Math.log10(low)); d <= Math.ceil(Math.log10(high)); d++)
    for (const s of steps) {
      const v = s * 10 ** d;
      if (v >= low && v <= high) out.push(Number(v.toPrecision(3)));
    }
  return out;
}

/** Ticks that have room for their figures: from the left, each one that stands clear of the last. */
export function apartTicks(ticks: number[], x: (v: number) => number): number[] {
  const half = (v: number) => figure(v).length * 4 + 4;
  const out: number[] = [];
  for (const t of ticks) {
    const last = out.at(-1);
    if (last === undefined || x(t) - half(t) >= x(last) + half(last)) out.push(t);
  }
  return out;
}

/** The point of a position nearest a speed, or none outside its span. */
export function nearest(p: Position, rpm: number): number | undefined {
  const first = p.rpm[0] ?? 0;
  const last = p.rpm.at(-1) ?? 0;
  if (p.rpm.length === 0 || rpm < first * 0.99 || rpm > last * 1.01) return undefined;
  // Speeds are evenly spaced on a log scale.
  const share = last > first ? Math.log(rpm / first) / Math.log(last / first) : 0;
  return Math.min(Math.max(Math.round(share * (p.rpm.length - 1)), 0), p.rpm.length - 1);
}

/** What binds at a speed. */
export function limitAt(p: Position, rpm: number) {
  return p.limits.findLast((h) => h.fromRpm <= rpm * 1.001) ?? p.limits[0];
}

/** Three significant figures, thousands apart, true minus: as the core writes numbers. */
export function figure(v: number): string {
  if (!Number.isFinite(v)) return '—';
  const text = Number(v.toPrecision(Math.abs(v) >= 1000 ? 4 : 3)).toString();
  return text
    .replace('-', '−')
    .replace(/\B(?=(\d{3})+(?!\d))/g, (_, __, at: number, all: string) =>
      all.replace(/\..*/, '').length > 4 && !all.slice(0, at).includes('.') ? '\u202f' : ''
    );
}
