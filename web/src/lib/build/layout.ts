import type { Schemas } from '../api/client';

export type Wiring = Schemas['LineWiring'];
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

/** The devices between supply and motor, in the order the power passes them, with the wires from each
 *  to the next. */
export function mainLine(wiring: Wiring): { device: Device; before: Wire[] }[] {
  const main = wiring.wires.filter((w) => w.loop === 'Supply to motor' || w.loop === 'Reverse');
  const on = wiring.devices.filter((d) => d.loop === 'Supply to motor');
  // As drawn up, each device is put in after what feeds it.
  const order = on.filter((d) => d.kind !== 'motor').concat(on.filter((d) => d.kind === 'motor'));
  return order.map((device) => ({
    device,
    before: main.filter((w) => part(w.to).device === device.id && part(w.from).device !== device.id)
  }));
}
