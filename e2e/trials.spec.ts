import type { Page } from '@playwright/test';
import { expect, saved, test } from './workshop';

/** Opens the trials of a plan, and one of them. */
const trial = async (page: Page, address: string, name: RegExp) => {
  await page.goto(`${address}/trials`);
  await page.getByRole('button', { name }).first().click();
  await expect(page.getByRole('region', { name: 'How it was set up' })).toBeVisible();
};
const comesTo = (page: Page) => page.getByRole('region', { name: 'What it comes to' });
const readings = (page: Page) => page.getByRole('table', { name: 'Readings' }).getByRole('row');

/** Lets an instrument in, and returns where it sends to. */
const letIn = async (page: Page, name: string) => {
  await page.getByRole('button', { name: 'instruments' }).click();
  const panel = page.getByRole('region', { name: 'Instruments' });
  await panel.getByLabel('Called').fill(name);
  await panel.getByRole('button', { name: 'Make an address for it' }).click();
  const address = panel.locator('li', { hasText: name }).locator('code');
  await expect(address).toBeVisible();
  return (await address.textContent()) ?? '';
};

test('a knob read by hand is named, let into the speed plate, and taken back', async ({ page, workshop }) => {
  await workshop.loadDemo();
  const plan = await workshop.plan('Cider mill', 'A');
  await trial(page, plan, /^Knob against speed/);
  await expect(comesTo(page).getByRole('heading')).toContainText('0 of at least 3');
  const rows = [
    ['2', '0'],
    ['4', '205'],
    ['7', '500'],
    ['10', '795']
  ] as const;
  for (const [i, [mark, rpm]] of rows.entries()) {
    await page.getByRole('button', { name: /Type a reading/ }).click();
    await page.getByLabel(`Knob, reading ${i + 1}`).fill(mark);
    await page.getByLabel(`Speed, reading ${i + 1}`).fill(rpm);
  }
  await expect(comesTo(page).getByRole('heading')).toContainText('dead below 2');
  await expect(page.getByRole('img', { name: /4 readings of spindle speed, with what is reckoned/ })).toBeVisible();
  // Nonsense is said at its field, keeps what was typed, and the rest stands.
  await page.getByLabel('Speed, reading 3').fill('soup');
  await expect(page.getByText(/no number found/)).toBeVisible();
  await expect(page.getByLabel('Speed, reading 3')).toHaveValue('soup');
  await page.getByLabel('Speed, reading 3').fill('500');
  await comesTo(page).getByRole('button', { name: 'Use these on the speed plate' }).click();
  await expect(page.getByText(/in the plan since/)).toBeVisible();
  await page.evaluate(() => (document.activeElement as HTMLElement | null)?.blur());
  await page.keyboard.press('Control+z');
  await expect(page.getByText(/in the plan since/)).toHaveCount(0);
  await page.keyboard.press('Control+Shift+z');
  await expect(page.getByText(/in the plan since/)).toBeVisible();
  await saved(page);
  await page.goto(`${plan}/speed-plate`);
  await expect(page.getByRole('row', { name: /^reckoned/ })).toBeVisible();
  await expect(page.getByText(/Measured at the marks/)).toBeVisible();
  await page.goto(`${plan}/log`);
  await expect(page.getByText('Knob against speed, taken into the plan')).toBeVisible();
});

test('an instrument sends over HTTP, Space takes it, and it says when it has stopped', async ({ page, workshop }) => {
  await workshop.loadDemo();
  await trial(page, await workshop.plan('Cider mill', 'A'), /^Knob against speed/);
  const to = await letIn(page, 'bench tachometer');
  const send = async (lines: string) => {
    const answer = await fetch(to, { method: 'POST', body: lines });
    expect(answer.status).toBe(200);
    return (await answer.json()) as { taken: number; refused: { line: number; message: string }[] };
  };
  // The page listens before anything is sent.
  await expect(async () => {
    await send('rpm 411.5\nvolts 120');
    await expect(page.getByText('Read now, speed')).toBeVisible({ timeout: 1000 });
  }).toPass();
  await expect(page.locator('.live')).toContainText('412');
  await page.getByLabel('Knob', { exact: true }).fill('5');
  await send('rpm 411.5');
  await page.getByRole('button', { name: 'Take it at knob 5' }).click();
  await expect(page.getByLabel('Speed, reading 1')).toHaveValue('411.5 rpm');
  await expect(page.getByLabel('Knob, reading 1')).toHaveValue('5');
  await send('rpm 502');
  await expect(page.locator('.live')).toContainText('502');
  await page.locator('h1', { hasText: 'Trials of' }).evaluate((el) => el.ownerDocument.body.focus());
  await page.evaluate(() => (document.activeElement as HTMLElement | null)?.blur());
  await page.keyboard.press('Space');
  await expect(page.getByLabel('Speed, reading 2')).toHaveValue('502 rpm');
  const bad = await send('furlongs 3\nrpm fast\n# a remark\n\nrpm 10');
  expect(bad.taken).toBe(1);
  expect(bad.refused.map((r) => r.line)).toEqual([1, 2]);
  await expect(page.getByText(/nothing has come for/)).toBeVisible();
  expect((await fetch(to.replace(/[a-z0-9]{20}/, 'a'.repeat(20)), { method: 'POST', body: 'rpm 1' })).status).toBe(404);
});

test('a serial port is read line by line', async ({ page, workshop }) => {
  await page.addInitScript(() => {
    const lines = ['rpm 3', '02.5\r\nvolts 88\r\n', 'rpm 303\r\n'];
    const port = {
      open: () => Promise.resolve(),
      close: () => Promise.resolve(),
      readable: new ReadableStream<Uint8Array>({
        async pull(to) {
          // Lines come in pieces, and go on coming.
          await new Promise((resolve) => setTimeout(resolve, 120));
          to.enqueue(new TextEncoder().encode(lines.shift() ?? 'rpm 303\r\n'));
        }
      })
    };
    Object.defineProperty(navigator, 'serial', { value: { requestPort: () => Promise.resolve(port) } });
  });
  await workshop.loadDemo();
  await trial(page, await workshop.plan('Kick wheel, powered', 'A'), /^A speed/);
  await page.getByRole('button', { name: 'instruments' }).click();
  await page.getByRole('button', { name: 'Read a serial port' }).click();
  await expect(page.locator('.live')).toContainText('303');
  await page.getByRole('button', { name: /Take it/ }).click();
  await expect(page.getByLabel('Speed, reading 1')).toHaveValue(/^303 rpm$|^302\.5 rpm$/);
  await page.getByRole('button', { name: 'Stop reading the port' }).click();
  await expect(page.getByRole('button', { name: 'Read a serial port' })).toBeVisible();
});

test('a CSV file is matched, shown, put right and taken', async ({ page, workshop }) => {
  await workshop.loadDemo();
  await trial(page, await workshop.plan('Honey extractor', 'A'), /^Warm-up/);
  await page.getByRole('button', { name: 'from a CSV file' }).click();
  const panel = page.getByRole('region', { name: 'From a CSV file' });
  await panel.getByLabel('A file with a line of headings').setInputFiles({
    name: 'probe.csv',
    mimeType: 'text/csv',
    buffer: Buffer.from('elapsed (min);probe;other\n0;18,5;1\n10;26,0;2\n20;31,5;3\n35;37;4\n60;42,5;5\n')
  });
  await expect(panel.getByLabel('elapsed (min) is taken as')).toHaveValue('time');
  await expect(panel.getByLabel('probe is taken as')).toHaveValue('');
  await panel.getByLabel('probe is taken as').selectOption('celsius');
  await expect(panel.getByText('18.5 °C')).toBeVisible();
  await panel.getByRole('button', { name: 'Take 5 readings' }).click();
  await expect(readings(page)).toHaveCount(6);
  await expect(comesTo(page).getByRole('heading')).toContainText('It will settle at');
});

test('a strobe is resolved, and said which rate to try', async ({ page, workshop }) => {
  await workshop.loadDemo();
  await trial(page, await workshop.plan('Cider mill', 'A'), /^Strobe/);
  await page.getByRole('button', { name: /Type a reading/ }).click();
  await page.getByLabel('Flashes a minute, reading 1').fill('260');
  await expect(comesTo(page).getByRole('heading')).toContainText('Not sure yet');
  await expect(comesTo(page).getByText(/^Try \d+ flashes a minute/)).toBeVisible();
  await page.getByRole('button', { name: /Type a reading/ }).click();
  await page.getByLabel('Flashes a minute, reading 2').fill('780');
  await page.getByRole('button', { name: /Type a reading/ }).click();
  await page.getByLabel('Flashes a minute, reading 3').fill('1560');
  await page.getByLabel('Images, reading 3').fill('2');
  await expect(comesTo(page).getByRole('heading')).toContainText('It turns at 780');
});
