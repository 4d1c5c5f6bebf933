import type { Trace } from './trace';

/** A trace as comma-separated values, a point a line. */
export function csvOf(t: Trace): string {
  const columns: [name: string, of: readonly number[]][] = [
    ['seconds', t.seconds],
    ['motor rpm', t.motorRpm],
    ['spindle rpm', t.spindleRpm],
    ['amps', t.amps],
    ['motor torque N·m', t.torque],
    ['volts', t.volts],
    ['winding °C', t.windingC],
    ['case °C', t.caseC],
    ['watts', t.watts],
    ['spindle torque N·m', t.passed]
  ];
  const lines = t.seconds.map((_, i) => columns.map(([, of]) => of[i] ?? '').join(','));
  return [columns.map(([name]) => name).join(','), ...lines].join('\r\n') + '\r\n';
}
