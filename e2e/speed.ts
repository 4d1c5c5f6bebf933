import type { Page } from '@playwright/test';
import { expect, field, answers, station, test } from './workshop';

// What a person feels: from a key to the figures painted, and the frames of a drag. Printed, not judged:
// make bench shows them beside the bars.

declare global {
  interface Window {
    speed: { keyed: number[]; frames: number[]; dragging: boolean };
  }
}

/** Watches keys, what follows from them and frames in the page. */
const watch = (page: Page, follows = '[aria-label=Verdict]') =>
  page.evaluate((where) => {
    const speed = (window.speed = { keyed: [] as number[], frames: [] as number[], dragging: false });
    let key = 0;
    document.addEventListener('keydown', () => (key = performance.now()), true);
    const watched = document.querySelector(where);
    if (!watched) throw new Error(`nothing is ${where}`);
    new MutationObserver(() => {
      const from = key;
      key = 0;
      // What follows a frame's callbacks comes when it is painted.
      if (from) requestAnimationFrame(() => setTimeout(() => speed.keyed.push(performance.now() - from)));
    }).observe(watched, { subtree: true, childList: true, characterData: true, attributes: true });
    let last = 0;
    const frame = (at: number) => {
      if (speed.dragging && last) speed.frames.push(at - last);
      last = speed.dragging ? at : 0;
      requestAnimationFrame(frame);
    };
    requestAnimationFrame(frame);
  }, follows);

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
  await expect(answers(page)).toBeVisible();
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
  console.log(`requests at once while typing: ${requests.most}`);
});

test('from a key in the script to the strip chart', async ({ page, workshop }) => {
  await workshop.loadDemo();
  await page.goto(await workshop.plan('Cider mill', 'A'));
  await page.getByRole('link', { name: /^Dry run/ }).click();
  await page.getByRole('button', { name: /^change.*A stone in a windfall/ }).click();
  await page.getByLabel('Torque', { exact: true }).fill('12 N·m');
  await watch(page, '.chart .line');
  await page.keyboard.press('Home');
  await page.keyboard.press('ArrowRight');
  for (let n = 0; n < 40; n++) {
    const before = await page.evaluate(() => window.speed.keyed.length);
    await page.keyboard.press(n % 2 ? 'Backspace' : '5');
    await page.waitForFunction((known) => window.speed.keyed.length > known, before);
  }
  say('key to the strip chart', await page.evaluate(() => window.speed.keyed));
});

test('frames of a drag', async ({ page, workshop }) => {
  await workshop.loadDemo();
  const requests = inFlight(page);
  await page.goto(await workshop.plan('Kick wheel, powered', 'B'));
  await expect(answers(page)).toBeVisible();
  await station(page, 'Reduction');
  const box = await page.getByRole('button', { name: /^Shaft 2/ }).boundingBox();
  if (!box) throw new Error('no shaft');
  await watch(page);
  await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2);
  await page.mouse.down();
  await page.evaluate(() => (window.speed.dragging = true));
  for (let n = 0; n < 150; n++) await page.mouse.move(box.x + 20 + 30 * Math.sin(n / 15), box.y - 10);
  await page.evaluate(() => (window.speed.dragging = false));
  await page.mouse.up();
  say('frames of a drag', await page.evaluate(() => window.speed.frames));
  console.log(`requests at once while dragging: ${requests.most}`);
});
