import { writeFileSync } from 'node:fs';
import { expect, test } from './workshop';

const pixel = {
  name: 'look.png',
  mimeType: 'image/png',
  buffer: Buffer.from(
    'iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mNk+M9QDwADhgGAWjR9awAAAABJRU5ErkJggg==',
    'base64'
  )
};

test('an entry half written is there after a reload with its pictures, and gone once it is logged', async ({
  page,
  workshop
}) => {
  await workshop.loadDemo();
  const plan = await workshop.plan('Kick wheel, powered', 'B');
  await page.goto(`${plan}/log`);
  await page.getByRole('radio', { name: 'Part replaced' }).click();
  await page.getByLabel('Which part').fill('idler spring');
  await page.getByLabel('What happened').fill('Half a sentence about the');
  await page.getByLabel('Hours it ran').fill('1.5');
  await page.getByLabel('Picture', { exact: true }).setInputFiles(pixel);
  await expect(page.getByText('1 picture')).toBeVisible();
  await page.reload();
  await expect(page.getByLabel('What happened')).toHaveValue('Half a sentence about the');
  await expect(page.getByLabel('Which part')).toHaveValue('idler spring');
  await expect(page.getByLabel('Hours it ran')).toHaveValue('1.5 h');
  await expect(page.getByText('1 picture')).toBeVisible();
  await page.goto(`${await workshop.plan('Power hacksaw', 'A')}/log`);
  await expect(page.getByLabel('What happened')).toHaveValue('');
  await page.goto(`${plan}/log`);
  await page.getByRole('button', { name: 'Log it' }).click();
  await expect(page.getByLabel('What happened')).toHaveValue('');
  await expect(page.getByRole('img', { name: 'Picture 1 of Half a sentence about the' })).toBeVisible();
  await page.reload();
  await expect(page.getByLabel('What happened')).toHaveValue('');
  await expect(page.getByText('1 picture')).toHaveCount(0);
});

test('entries for a machine that was deleted go by themselves once it is back', async ({ page, workshop }) => {
  await workshop.loadDemo();
  const plan = await workshop.plan('Kick wheel, powered', 'B');
  await page.goto(`${plan}/log`);
  await expect(page.getByText('18.5 h on it')).toBeVisible();
  const shed = (await (await fetch(`${workshop.url}/api/workshop`)).json()) as {
    machines: { id: string; name: string }[];
  };
  const id = shed.machines.find((m) => m.name === 'Kick wheel, powered')?.id ?? '';
  expect((await fetch(`${workshop.url}/api/machines/${id}`, { method: 'DELETE' })).ok).toBe(true);
  await page.getByLabel('What happened').fill('Written while it was gone');
  await page.getByRole('button', { name: 'Log it' }).click();
  await expect(page.getByText('It goes by itself once that is back.')).toBeVisible();
  expect((await fetch(`${workshop.url}/api/machines/${id}/restore`, { method: 'POST' })).ok).toBe(true);
  await expect(page.getByText('One entry waits')).toHaveCount(0, { timeout: 30_000 });
  await expect(page.getByText('Written while it was gone')).toBeVisible();
});

test('a browser that keeps nothing says so, and its entries are logged all the same', async ({ page, workshop }) => {
  await workshop.loadDemo();
  await page.addInitScript(() => {
    const refuse = () => {
      throw new DOMException('keeps nothing', 'SecurityError');
    };
    Object.defineProperty(window, 'indexedDB', { get: refuse });
    Object.defineProperty(window, 'localStorage', { get: refuse });
  });
  await page.goto(`${await workshop.plan('Kick wheel, powered', 'B')}/log`);
  await page.getByLabel('What happened').fill('From a browser without a memory');
  await expect(page.getByText('This browser keeps nothing: what is not in the log yet is lost')).toBeVisible();
  await page.getByRole('button', { name: 'Log it' }).click();
  await expect(page.getByRole('listitem').filter({ hasText: 'From a browser without a memory' })).toBeVisible();
  await workshop.stop();
  await page.getByLabel('What happened').fill('And one that waits');
  await page.getByRole('button', { name: 'Log it' }).click();
  await expect(page.getByText('This browser keeps nothing: leave the page open till then.')).toBeVisible();
  await workshop.start();
  await expect(page.getByText('One entry waits')).toHaveCount(0, { timeout: 30_000 });
  await expect(page.getByRole('listitem').filter({ hasText: 'And one that waits' })).toBeVisible();
});

test('a large workshop with a long log goes out and comes back, and its log is paged through', async ({
  page,
  workshop
}, info) => {
  const entries = 10_000;
  const machines = Array.from({ length: 40 }, (_, i) => ({
    machine: { name: `Machine ${i}`, kind: 'lathe' },
    plans: [
      { letter: 'A', name: 'first' },
      { letter: 'C', name: 'third' }
    ],
    log: Array.from({ length: i === 0 ? entries : 100 }, (_, k) => ({
      happened: new Date(Date.UTC(2020, 0, 1, 0, k)).toISOString(),
      sort: 'note',
      plan: ['A', 'B', 'C'][k % 3],
      title: `Entry ${k}`,
      detail: 'What was done that day, in so many words. '.repeat(i === 0 ? 12 : 1)
    }))
  }));
  const path = info.outputPath('large.json');
  writeFileSync(path, JSON.stringify({ format: 'jiriki', version: 2, name: 'Large', machines, shelf: [] }));
  await page.goto(`${workshop.url}/`);
  await page.getByLabel('import a file').setInputFiles(path);
  await expect(page.getByRole('heading', { name: 'Machine 39' })).toBeVisible({ timeout: 60_000 });

  const out = async (as: string) => await (await fetch(`${workshop.url}/api/export${as}`)).arrayBuffer();
  const text = Buffer.from(await out('')).toString();
  expect(text.length).toBeGreaterThan(4 << 20);
  const zip = info.outputPath('large.zip');
  writeFileSync(zip, Buffer.from(await out('.zip')));
  await page.getByLabel('import a file').setInputFiles(zip);
  await expect(page.getByRole('heading', { name: 'Machine 39' })).toHaveCount(2, { timeout: 60_000 });

  const shed = (await (await fetch(`${workshop.url}/api/workshop`)).json()) as {
    machines: { id: string; name: string; plans: { id: string; letter: string }[] }[];
  };
  const long = shed.machines.filter((m) => m.name === 'Machine 0')[1];
  expect(long?.plans.map((p) => p.letter)).toEqual(['A', 'C']);
  await page.goto(`${workshop.url}/#/plan/${long?.plans[0]?.id}/log`);
  await expect(page.getByText(`Entry ${entries - 1}`, { exact: true })).toBeVisible();
  await page.getByRole('button', { name: 'Older' }).click();
  await expect(page.getByText(`Entry ${entries - 201}`, { exact: true })).toBeVisible();
  await expect(page.getByText('Entries 201 to 400, the newest first')).toBeVisible();
  await page.getByRole('button', { name: 'Newer' }).click();
  await expect(page.getByText(`Entry ${entries - 1}`, { exact: true })).toBeVisible();
  await expect(page.getByRole('button', { name: 'Newer' })).toHaveCount(0);
  const csv = await (await fetch(`${workshop.url}/api/machines/${long?.id}/log.csv`)).text();
  const rows = csv.trim().split('\n');
  expect(rows).toHaveLength(entries + 1);
  expect(rows.at(-2)).toContain('B,Entry 1,');
});

test('ten windows on the trials leave the next one all it asks for', async ({ page, workshop, context }) => {
  await workshop.loadDemo();
  const address = `${await workshop.plan('Kick wheel, powered', 'A')}/trials`;
  const windows = [page];
  while (windows.length < 10) windows.push(await context.newPage());
  for (const one of windows) {
    await one.goto(address);
    await one.getByRole('button', { name: /^A speed/ }).click();
    await expect(one.getByText('No instrument is sending.')).toBeVisible();
  }
  await page.getByRole('button', { name: 'instruments' }).click();
  const panel = page.getByRole('region', { name: 'Instruments' });
  await panel.getByLabel('Called').fill('bench tacho');
  await panel.getByRole('button', { name: 'Make an address for it' }).click();
  const to = (await panel.locator('li', { hasText: 'bench tacho' }).locator('code').textContent()) ?? '';
  expect((await fetch(to, { method: 'POST', body: 'rpm 214\n' })).ok).toBe(true);
  for (const one of windows) await expect(one.locator('.live')).toContainText('214');
  // Another window sees that there is an instrument, and not where it sends to.
  const other = await context.browser()?.newContext();
  const stranger = await other?.newPage();
  if (!stranger) throw new Error('no other browser');
  await stranger.goto(address);
  await stranger.getByRole('button', { name: /^A speed/ }).click();
  await stranger.getByRole('button', { name: 'instruments' }).click();
  await expect(stranger.getByText('its address is known to the browser that made it')).toBeVisible();
  await other?.close();
  await workshop.stop();
  await expect(windows[9]?.getByText(/the server does not answer, so nothing comes/) ?? page).toBeVisible();
  await workshop.start();
  await expect(windows[9]?.getByText(/nothing has come for/) ?? page).toBeVisible({ timeout: 30_000 });
});
