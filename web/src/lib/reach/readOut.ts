import type { Assessment } from '../api/client';
import type { Position } from './curves';
import { limitAt, nearest } from './scale';

/** The figures at a speed: those of the position that gives most all day there; only the speed where none
 *  reaches it. */
export interface ReadOut {
  rpm: number;
  of?: {
    position: Position;
    continuous: number;
    intermittent: number;
    peak: number;
    limit: ReturnType<typeof limitAt>;
  };
}

/** What is read off at a speed. */
export function readOut(positions: Assessment['reach']['positions'], at: number): ReadOut {
  const best = positions
    .flatMap((position) => {
      const i = nearest(position, at);
      return i === undefined ? [] : [{ position, i }];
    })
    .sort((m, n) => (n.position.continuous[n.i] ?? 0) - (m.position.continuous[m.i] ?? 0))[0];
  if (!best) return { rpm: at };
  const { position, i } = best;
  const rpm = position.rpm[i] ?? at;
  return {
    rpm,
    of: {
      position,
      continuous: position.continuous[i] ?? 0,
      intermittent: position.intermittent[i] ?? 0,
      peak: position.peak[i] ?? 0,
      limit: limitAt(position, rpm)
    }
  };
}
