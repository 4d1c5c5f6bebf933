import { describe, expect, it } from 'vitest';
import { wavOf } from './sound';

describe('a WAV file', () => {
  it('says what it is, and holds every sample', async () => {
    const wav = wavOf(new Float32Array([0, 0.5, -1, 2]), 8000);
    const bytes = new DataView(await wav.arrayBuffer());
    expect(bytes.byteLength).toBe(44 + 8);
    expect(bytes.getUint32(24, true)).toBe(8000);
    expect([0, 1, 2, 3].map((i) => bytes.getInt16(44 + i * 2, true))).toEqual([0, 16384, -32767, 32767]);
  });
});
