import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import config from './playwright.config';
import { expect, test } from './workshop';

/** A machine as a microphone hears it: the motor's turns and their multiples, mains hum, noise. Mono, 16 bits. */
function wav(turns: number, seconds: number, rate: number): Buffer {
  const n = seconds * rate;
  const out = Buffer.alloc(44 + 2 * n);
  out.write('RIFF', 0);
  out.writeUInt32LE(36 + 2 * n, 4);
  out.write('WAVEfmt ', 8);
  out.writeUInt32LE(16, 16);
  out.writeUInt16LE(1, 20);
  out.writeUInt16LE(1, 22);
  out.writeUInt32LE(rate, 24);
  out.writeUInt32LE(2 * rate, 28);
  out.writeUInt16LE(2, 32);
  out.writeUInt16LE(16, 34);
  out.write('data', 36);
  out.writeUInt32LE(2 * n, 40);
  let seed = 12345;
  // Mulberry32: noise without lines of its own.
  const noise = () => {
    seed = (seed + 0x6d2b79f5) | 0;
    let t = Math.imul(seed ^ (seed >>> 15), 1 | seed);
    t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t;
    return ((t ^ (t >>> 14)) >>> 0) / 2 ** 31 - 1;
  };
  for (let i = 0; i < n; i++) {
    const t = (2 * Math.PI * i) / rate;
    let v = 0.2 * Math.sin(100 * t) + 0.03 * noise();
    for (const [h, size] of [
      [1, 0.12],
      [2, 0.08],
      [3, 0.06],
      [4, 0.04]
    ] as const)
      v += size * Math.sin(h * turns * t);
    out.writeInt16LE(Math.round(32767 * Math.max(-1, Math.min(1, v))), 44 + 2 * i);
  }
  return out;
}

const TURNS = 21.4;
const dir = mkdtempSync(join(tmpdir(), 'jiriki-sound-'));
const file = join(dir, 'motor.wav');
writeFileSync(file, wav(TURNS, 20, 48_000));

// The microphone hears the file: through the browser's own capture, as a person's would.
test.use({
  permissions: ['microphone'],
  launchOptions: {
    ...config.use?.launchOptions,
    args: [
      ...(config.use?.launchOptions?.args ?? []),
      '--use-fake-ui-for-media-stream',
      '--use-fake-device-for-media-stream',
      `--use-file-for-fake-audio-capture=${file}`
    ]
  }
});

test('a motor is heard by the microphone and out of a file, and taken as a reading', async ({ page, workshop }) => {
  await workshop.loadDemo();
  await page.goto(`${await workshop.plan('Kick wheel, powered', 'B')}/trials`);
  await page.getByRole('button', { name: /^By ear/ }).click();
  const ear = page.getByRole('region', { name: 'By ear' });
  const heard = async () => Number(/(\d[\d\s.]*)\s*rpm/.exec((await ear.textContent()) ?? '')?.[1]?.replace(/\s/g, ''));
  await ear.getByLabel('A sound that was recorded').setInputFiles(file);
  await expect.poll(heard).toBeGreaterThan(0);
  expect(Math.abs((await heard()) / (60 * TURNS) - 1)).toBeLessThan(0.005);
  await ear.getByRole('button', { name: 'Take it as a reading' }).click();
  await expect(page.getByLabel('Speed, reading 1')).toHaveValue(/rpm/);
  await page.reload();
  await page.getByRole('button', { name: /^By ear/ }).click();
  await ear.getByRole('button', { name: 'Listen for 4 s' }).click();
  await expect(ear.getByRole('button', { name: 'Listen again' })).toBeVisible({ timeout: 40_000 });
  expect(Math.abs((await heard()) / (60 * TURNS) - 1)).toBeLessThan(0.005);
  // What is no sound is said, and nothing is lost.
  await ear.getByLabel('A sound that was recorded').setInputFiles({
    name: 'letter.wav',
    mimeType: 'audio/wav',
    buffer: Buffer.from('Dear sir')
  });
  await expect(ear.getByRole('alert')).toContainText('not a sound file');
  // At a mark of the knob it goes with the others of the shaft it was heard of.
  await ear.getByLabel('or at knob').fill('6.5');
  await ear.getByRole('button', { name: 'Put it there' }).click();
  await expect(page.getByLabel('Knob, reading 10')).toHaveValue('6.5');
  await expect(page.getByLabel('Speed, reading 10')).toHaveValue(/rpm/);
});
