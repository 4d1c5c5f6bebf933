import type { Page } from '@playwright/test';
import { expect, field, headline, station, test } from './workshop';

// What a person feels: from a key to the figures painted, and the frames of a drag. Printed, not judged:
// make bench shows them beside the bars.

declare global {
  interface Window {
    speed: { keyed: number[]; frames: number[]; dragging: boolean };
  }
}

/** Watches keys, the verdict and frames in the page. */
const watch = (page: Page) =>
  page.evaluate(() => {
    const speed = (window.speed = { keyed: [] as number[], frames: [] as number[], dragging: false });
    let key = 0;
    (window as any).keys = []; (window as any).muts = []; (window as any).paints = [];
    document.addEventListener('keydown', () => { key = performance.now(); (window as any).keys.push(key); }, true);
    const verdict = document.querySelector('[aria-label=Verdict]');
    if (!verdict) throw new Error('no verdict');
    new MutationObserver(() => {
      const from = key;
      key = 0;
      // What follows a frame's callbacks comes when it is painted.
      if (from) { (window as any).muts.push(performance.now()); requestAnimationFrame(() => setTimeout(() => { (window as any).paints.push(performance.now()); speed.keyed.push(performance.now() - from); })); }
    }).observe(verdict, { subtree: true, childList: true, characterData: true, attributes: true });
    let last = 0;
    const frame = (at: number) => {
      if (speed.dragging && last) speed.frames.push(at - last);
      last = speed.dragging ? at : 0;
      requestAnimationFrame(frame);
    };
    requestAnimationFrame(frame);
  });

const at = (of: number[], share: number) =>
  [...of].sort((a, b) => a - b)[Math.ceil(of.length * share) - 1]?.toFixed(1) ?? 'none';

const say = (what: string, of: number[]) =>
  console.log(`${what}: p50 ${at(of, 0.5)} ms, p95 ${at(of, 0.95)} ms of ${of.length}`);

/** The most answers ever waited for at once. */
const inFlight = (page: Page) => {
  let now = 0;
  const seen = { most: 0 };
  const ours = (url: string) => url.endsWith('/api/assess');
  page.on('request', (r) => ours(r.url()) && (seen.most = Math.max(seen.most, ++now)));
  page.on('requestfinished', (r) => ours(r.url()) && now--);
  page.on('requestfailed', (r) => ours(r.url()) && now--);
  return seen;
};

test('from a key to the figures', async ({ page, workshop }) => {
  await workshop.loadDemo();
  const requests = inFlight(page);
  await page.goto(await workshop.plan('Kick wheel, powered', 'B'));
  await expect(headline(page)).toBeVisible();
  await station(page, 'Motor');
  await field(page, 'Power').first().fill('400 W');
  await watch(page);
  await page.keyboard.press('Home');
  await page.keyboard.press('ArrowRight');
  for (let n = 0; n < 60; n++) {
    const before = await page.evaluate(() => window.speed.keyed.length);
    await page.keyboard.press(n % 2 ? 'Backspace' : '5');
    await page.waitForFunction((known) => window.speed.keyed.length > known, before);
  }
  say('key to figures', await page.evaluate(() => window.speed.keyed));
  const parts = await page.evaluate(() => {
    const es = performance.getEntriesByType('resource').filter((e) => e.name.endsWith('/api/assess')).slice(-50) as PerformanceResourceTiming[];
    const k = (window as any).keys as number[]; const m = (window as any).muts as number[]; const p = (window as any).paints as number[];
    const out: Record<string, number[]> = { keyToFetch: [], wait: [], body: [], toMut: [], toPaint: [] };
    es.forEach((e) => {
      const key = k.filter((x) => x < e.startTime).at(-1)!; const mut = m.find((x) => x > e.responseEnd)!; const paint = p.find((x) => x > mut)!;
      out.keyToFetch.push(e.startTime - key); out.wait.push(e.responseStart - e.startTime); out.body.push(e.responseEnd - e.responseStart); out.toMut.push(mut - e.responseEnd); out.toPaint.push(paint - mut);
    });
    return out;
  });
  for (const [n, v] of Object.entries(parts)) say(n, v);
  console.log(`requests at once while typing: ${requests.most}`);
});

