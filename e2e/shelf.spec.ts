import { readFileSync } from 'node:fs';
import { expect, field, answers, saved, station, test } from './workshop';

test('a part is saved one save at a time, however slow the server', async ({ page, workshop }) => {
  const id = await workshop.shelve({ sort: 'other', name: 'Vice' });
  let inFlight = 0;
  let most = 0;
  const answered: number[] = [];
  let release: () => void = () => undefined;
  const held = new Promise<void>((resolve) => (release = resolve));
  await page.route('**/api/shelf/*', async (route) => {
    if (route.request().method() !== 'PUT') return route.continue();
    most = Math.max(most, ++inFlight);
    if (answered.length === 0) await held;
    const answer = await route.fetch();
    answered.push(answer.status());
    inFlight--;
    await route.fulfill({ response: answer });
  });
  await page.goto(`${workshop.url}/#/shelf/${id}`);
  const first = page.waitForRequest((r) => r.method() === 'PUT');
  await field(page, 'Lies').fill('Under the bench');
  await first;
  await field(page, 'Lies').fill('On the bench');
  await field(page, 'Cost').fill('7');
  await expect(page.locator('[data-save="unsaved"]')).toBeVisible();
  release();
  await saved(page);
  expect(most).toBe(1);
  expect(answered.every((status) => status === 200)).toBe(true);
  await page.reload();
  await expect(field(page, 'Lies')).toHaveValue('On the bench');
  await expect(field(page, 'Cost')).toHaveValue('£7');
});

test('many pulleys are put on the shelf in one line, and a part is kept once it has a name', async ({
  page,
  workshop
}) => {
  await page.goto(`${workshop.url}/#/shelf`);
  await page.getByRole('button', { name: 'add some' }).first().click();
  await page.getByLabel('Section and sizes, or a name').fill('A: 65 eighty');
  await page.getByRole('button', { name: 'Keep it' }).click();
  await expect(page.getByText('“eighty” is no size', { exact: false })).toBeVisible();
  await expect(page.getByLabel('Section and sizes, or a name')).toHaveValue('A: 65 eighty');
  await page.getByLabel('Section and sizes, or a name').fill('A: 65 85 105 145');
  await page.getByRole('button', { name: 'Keep it' }).click();
  await expect(page.getByText('4 parts are on the shelf.')).toBeVisible();
  await page.getByRole('link', { name: /^A 105 mm/ }).click();
  await expect(field(page, 'Diameter')).toHaveValue('105 mm');
  await expect(field(page, 'Section')).toHaveValue('A');
  // Begun and left, nothing is kept.
  await page.getByRole('button', { name: 'Add a motor' }).click();
  await page.getByRole('button', { name: 'leave it' }).click();
  await page.reload();
  await expect(page.getByRole('link', { name: /^A 145 mm/ })).toBeVisible();
  await expect(page.getByText('Part without a name')).toHaveCount(0);
});

test('however long the list, the open part stands in view beside it', async ({ page, workshop }) => {
  for (let i = 0; i < 30; i++) await workshop.shelve({ sort: 'other', name: `Box ${i}` });
  await page.goto(`${workshop.url}/#/shelf`);
  const last = page.getByRole('link', { name: /^Box/ }).last();
  await last.scrollIntoViewIfNeeded();
  await last.click();
  await expect(field(page, 'Lies')).toBeInViewport();
  await expect(page.getByRole('heading', { name: /^Box/ })).toBeInViewport();
});

test('what is typed of parts while the server is away is there again, and saved when it is back', async ({
  page,
  workshop
}) => {
  const vice = await workshop.shelve({ sort: 'other', name: 'Vice' });
  await workshop.shelve({ sort: 'other', name: 'Anvil' });
  await page.goto(`${workshop.url}/#/shelf/${vice}`);
  await saved(page);
  await workshop.stop();
  await field(page, 'Lies').fill('In the loft');
  await expect(page.getByText('not saved, kept here')).toBeVisible();
  await page.getByRole('link', { name: /^Anvil/ }).click();
  await expect(page.getByRole('alert')).toContainText('The server is not answering');
  await page.getByRole('link', { name: /^Vice/ }).click();
  await expect(field(page, 'Lies')).toHaveValue('In the loft');
  await expect(page.getByText('not saved, kept here')).toBeVisible();
  // Left again: it is saved without being looked at.
  await page.getByRole('link', { name: /^Anvil/ }).click();
  await expect(page.getByRole('alert')).toContainText('The server is not answering');
  const put = page.waitForResponse((r) => r.request().method() === 'PUT' && r.ok());
  await workshop.start();
  await put;
  await expect(field(page, 'Name')).toHaveValue('Anvil');
  await page.getByRole('link', { name: /^Vice/ }).click();
  await expect(field(page, 'Lies')).toHaveValue('In the loft');
  await saved(page);
});

test('a part keeps its draft over a reload', async ({ page, workshop }) => {
  const id = await workshop.shelve({ sort: 'other', name: 'Vice' });
  await page.goto(`${workshop.url}/#/shelf/${id}`);
  await saved(page);
  workshop.database('away');
  await field(page, 'Notes').fill('Jaws need turning');
  await expect(page.getByText('not saved, kept here')).toBeVisible();
  workshop.database('back');
  await page.reload();
  await expect(field(page, 'Notes')).toHaveValue('Jaws need turning');
  await saved(page);
});

test('an old answer never takes the place of a newer one', async ({ page, workshop }) => {
  await workshop.loadDemo();
  let held: (() => void) | undefined;
  await page.route('**/api/assess', async (route) => {
    const slow = route.request().postData()?.includes('0.31 hp') ?? false;
    const answer = await route.fetch();
    if (slow) await new Promise<void>((resolve) => (held = resolve));
    await route.fulfill({ response: answer }).catch(() => undefined);
  });
  await page.goto(await workshop.plan('Kick wheel, powered', 'B'));
  await station(page, 'Motor');
  await field(page, 'Power').fill('0.31 hp');
  await expect.poll(() => held !== undefined).toBe(true);
  await field(page, 'Power').fill('0.25 hp');
  held?.();
  // A quarter horse, 186.4 W, at 1750 rpm, 183.3 rad/s, is 1.02 N·m.
  await expect(page.getByRole('button', { name: /^Rated torque: 1.02/ }).first()).toBeVisible();
  await saved(page);
});

/** A file of 300 machines with three plans each and a thousand parts, made of the demo's. */
const largeFile = (): string => {
  interface File {
    machines: { machine: { name: string }; plans: object[] }[];
    shelf: object[];
  }
  const file = JSON.parse(readFileSync(new URL('../demo/quarry-lane.json', import.meta.url), 'utf8')) as File;
  const times = <T>(n: number, list: T[]) => Array.from({ length: n }, (_, i) => list[i % list.length] as T);
  const machines = times(300, file.machines).map(({ machine, plans }, i) => ({
    machine: { ...machine, name: `${machine.name} ${i + 1}` },
    plans: times(3, plans)
  }));
  return JSON.stringify({ ...file, machines, shelf: times(1000, file.shelf) }, null, 2);
};

test('a large workshop goes in and out with progress, and all of it opens', async ({ page, workshop }, info) => {
  await page.goto(workshop.url);
  const buffer = Buffer.from(largeFile());
  await page.getByLabel('import a file').setInputFiles({ name: 'large.json', mimeType: 'application/json', buffer });
  await expect(page.getByRole('progressbar')).toBeVisible();
  await expect(page.getByText('Added 300 machines, 900 plans and 1000 parts.')).toBeVisible({ timeout: 60_000 });
  // Each of 900 plans is judged and started before the shed shows them.
  await expect(page.getByRole('region', { name: 'Honey extractor 300' })).toBeAttached({ timeout: 60_000 });
  await expect(page.getByRole('link', { name: 'and 988 more' })).toBeAttached();
  const download = page.waitForEvent('download');
  await page.getByRole('button', { name: 'export the workshop' }).click();
  const path = info.outputPath('large.json');
  await (await download).saveAs(path);
  const out = JSON.parse(readFileSync(path, 'utf8')) as { machines: object[]; shelf: object[] };
  expect([out.machines.length, out.shelf.length]).toEqual([300, 1000]);

  const url = await workshop.plan('Kick wheel, powered 1', 'B');
  await page.goto(url);
  await expect(answers(page)).not.toBeEmpty();
  await station(page, 'Motor');
  await expect(page.getByRole('button', { name: /swap from shelf \(5\d\d\)/ })).toBeVisible();
  await page.getByRole('button', { name: 'rank the shelf for these jobs' }).click();
  await expect(
    page.getByRole('region', { name: 'The shelf ranked' }).locator('[data-candidate]').first()
  ).toBeVisible();
  await page.getByRole('link', { name: /^Build / }).click();
  await expect(
    page.getByRole('region', { name: 'Wiring and building' }).getByRole('radio', { name: 'parts' })
  ).toBeVisible();
  await page.goto(`${workshop.url}/#/shelf`);
  await expect(page.getByRole('navigation', { name: 'Parts on the shelf' }).locator('li a')).toHaveCount(1000);
});
