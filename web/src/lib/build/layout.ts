import type { Schemas } from '../api/client';

export type Wiring = Schemas['BuildWiring'];
export type Device = Wiring['devices'][number];
export type Wire = Wiring['wires'][number];

/** A row of a loop: what it runs through, in order, and the wires between. */
export interface Run {
  stops: { device: string; in: string; out: string }[];
  wires: Wire[];
}

const part = (end: string) => {
  const at = end.indexOf(':');
  return { device: end.slice(0, at), terminal: end.slice(at + 1) };
};

/** The loops of a diagram in the order they are listed, each as runs of wires one after another. */
export function loops(wiring: Wiring): { name: string; runs: Run[] }[] {
  const names = [...new Set(wiring.wires.map((w) => w.loop))];
  return names.map((name) => ({ name, runs: runs(wiring.wires.filter((w) => w.loop === name)) }));
}

function runs(wires: Wire[]): Run[] {
  const out: Run[] = [];
  for (const w of wires) {
    const from = part(w.from);
    const to = part(w.to);
    const last = out.at(-1);
    const end = last?.stops.at(-1);
    if (last && end && end.device === from.device && end.in !== from.terminal) {
      // Through the device and on.
      end.out = from.terminal;
      last.wires.push(w);
      last.stops.push({ device: to.device, in: to.terminal, out: '' });
    } else {
      out.push({
        stops: [
          { device: from.device, in: '', out: from.terminal },
          { device: to.device, in: to.terminal, out: '' }
        ],
        wires: [w]
      });
    }
  }
  return out;
}

/** The devices between supply and motor, in the order the power passes them. */
export function mainLine(wiring: Wiring): Device[] {
  const on = wiring.devices.filter((d) => d.loop === 'Supply to motor');
  // As drawn up, each device is put in after what feeds it; the motor comes last.
  const motor = (d: Device) => d.kind === 'motor' || d.kind === 'dc-motor';
  return on.filter((d) => !motor(d)).concat(on.filter(motor));
}

/** A wire of the main line: from which place to which along it. `lane` parts those that run side by
 *  side; a wire that passes devices by runs over their heads. */
export interface Strand {
  wire: Wire;
  from: number;
  to: number;
  lane: number;
  of: number;
}

export function strands(wiring: Wiring): Strand[] {
  const place = new Map(mainLine(wiring).map((d, i) => [d.id, i]));
  const found = wiring.wires
    .filter((w) => w.loop === 'Supply to motor' || w.loop === 'Field')
    .flatMap((wire) => {
      const from = place.get(part(wire.from).device);
      const to = place.get(part(wire.to).device);
      return from === undefined || to === undefined || from === to
        ? []
        : [{ wire, from: Math.min(from, to), to: Math.max(from, to) }];
    });
  return found.map((s) => {
    const beside = found.filter((o) => o.from === s.from && o.to === s.to);
    return { ...s, lane: beside.indexOf(s), of: beside.length };
  });
}
