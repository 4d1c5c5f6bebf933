/** A sine from x0 to x1 about y, as an SVG path. */
export function sine(x0: number, x1: number, y: number, amplitude: number, cycles: number, phase = 0): string {
  const points = Math.max(Math.round(cycles * 16), 8);
  let d = '';
  for (let i = 0; i <= points; i++) {
    const x = x0 + ((x1 - x0) * i) / points;
    const v = y - amplitude * Math.sin(2 * Math.PI * ((cycles * i) / points) + phase);
    d += `${i === 0 ? 'M' : 'L'}${x.toFixed(1)} ${v.toFixed(1)}`;
  }
  return d;
}

/** The supply as it leaves the wall: one wave, three, or the two wires of a battery. */
export function waves(phases: number, x0: number, x1: number, y: number, wavelength: number, phase = 0): string[] {
  if (phases === 0) {
    const cell = x0 + 14;
    return [
      `M${x0} ${y - 12}H${cell}M${cell} ${y - 20}V${y - 4}M${cell + 7} ${y - 16}V${y - 8}M${cell + 7} ${y - 12}H${x1}`,
      `M${x0} ${y + 12}H${x1}M${x0} ${y - 12}V${y + 12}`
    ];
  }
  const cycles = Math.max(Math.round((x1 - x0) / wavelength), 2);
  if (phases === 3) return [0, 1, 2].map((k) => sine(x0, x1, y, 13, cycles / 1.6, (k * 2 * Math.PI) / 3 - phase));
  return [sine(x0, x1, y, 11, cycles, -phase)];
}

/** What leaves a control of a kind, from x0 to x1. */
export function output(kind: string, x0: number, x1: number, y: number, phase = 0): string[] {
  const n = 5;
  const step = (x1 - x0) / n;
  const starts = Array.from({ length: n }, (_, i) => x0 + i * step);
  switch (kind) {
    case 'variac':
    case 'phase-angle':
      // Halves of a rectified wave, each let through late.
      return [
        starts
          .map((x, i) => {
            const crest = `L${x + step * 0.4} ${y + 14}V${y - 13}Q${x + step * 0.8} ${y - 14} ${x + step} ${y + 14}`;
            return `${i === 0 ? `M${x} ${y + 14}` : ''}${crest}`;
          })
          .join('') + `V${y}`
      ];
    case 'pwm':
      return [
        `M${x0} ${y}` +
          starts.map((x, i) => `H${x}V${y - 12}H${x + step * (0.35 + 0.06 * i)}V${y + 12}`).join('') +
          `H${x1}V${y}`
      ];
    case 'inverter':
      return [0, 1, 2].map((k) => sine(x0, x1, y, 12, 1.6, (k * 2 * Math.PI) / 3 - phase));
    case 'inverter-1':
    case 'contactor':
      return [sine(x0, x1, y, 11, Math.max(Math.round((x1 - x0) / 30), 2), -phase)];
  }
  return [`M${x0} ${y}H${x1}`];
}
