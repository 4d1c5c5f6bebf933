import { expect, saved, station, test } from './workshop';

test('the log writes itself, is searched and filtered, and strikes out with an undo', async ({ page, workshop }) => {
  await workshop.loadDemo();
  const plan = await workshop.plan('Kick wheel, powered', 'B');
  await page.goto(plan);
  await station(page, 'Supply');
  await page.getByLabel('Breaker or fuse').fill('13 A');
  await saved(page);
  await page.getByRole('link', { name: /^Log/ }).click();
  await expect(page.getByText('Plan changed', { exact: true }).first()).toBeVisible();
  await expect(page.getByText('supply', { exact: true })).toBeVisible();
  await page.getByLabel('Search the log').fill('evening');
  await expect(page.getByText('Two evening classes.')).toBeVisible();
  await expect(page.getByText('Flywheel off, bearings washed out')).toHaveCount(0);
  await page.getByLabel('Search the log').fill('');
  await page.getByRole('group', { name: 'Only these' }).getByRole('button', { name: 'Hours run' }).click();
  await expect(page.getByText('Ran 5.5 h')).toBeVisible();
  await expect(page.getByText('Belts: done')).toHaveCount(0);
  await page.getByRole('button', { name: 'strike out Ran 4 h' }).click();
  await expect(page.getByText('14.5 h on it')).toBeVisible();
  await page.getByRole('button', { name: 'Undo', exact: true }).last().click();
  await expect(page.getByText('18.5 h on it')).toBeVisible();
  const csv = await (
    await fetch(`${workshop.url}${(await page.getByRole('link', { name: 'as CSV' }).getAttribute('href')) ?? ''}`)
  ).text();
  expect(csv.split('\n')[0]).toContain('happened,what,plan,title');
  expect(csv).toContain('Two evening classes.');
  await page.getByRole('button', { name: 'Brushes: done today' }).click();
  await expect(page.getByRole('listitem').filter({ hasText: 'Brushes' }).first()).toContainText('fine');
});

test('on a phone entries wait while the server is away, and go in order, none twice', async ({ page, workshop }) => {
  await workshop.loadDemo();
  await page.setViewportSize({ width: 390, height: 844 });
  const plan = await workshop.plan('Kick wheel, powered', 'B');
  await page.goto(`${plan}/log`);
  await expect(page.getByText('18.5 h on it')).toBeVisible();
  await expect(page.getByRole('navigation', { name: 'The work' }).getByRole('listitem')).toHaveCount(4);
  await workshop.stop();
  const write = async (title: string, hours = '') => {
    await page.getByLabel('What happened').fill(title);
    if (hours) await page.getByLabel('Hours it ran').fill(hours);
    await page.getByRole('button', { name: 'Log it' }).click();
    await expect(page.getByLabel('What happened')).toHaveValue('');
  };
  await write('First on the phone');
  await write('Second on the phone', '2');
  await page.getByLabel('Picture', { exact: true }).setInputFiles({
    name: 'look.png',
    mimeType: 'image/png',
    buffer: Buffer.from(
      'iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mNk+M9QDwADhgGAWjR9awAAAABJRU5ErkJggg==',
      'base64'
    )
  });
  await write('Third, with a picture');
  await expect(page.getByText('3 entries wait here')).toBeVisible();
  await workshop.start();
  await expect(page.getByText('entries wait here')).toHaveCount(0, { timeout: 30_000 });
  await expect(page.getByRole('img', { name: 'Picture 1 of Third, with a picture' })).toBeVisible();
  await expect(page.getByText('20.5 h on it')).toBeVisible();
  for (const title of ['First on the phone', 'Second on the phone', 'Third, with a picture'])
    await expect(page.getByText(title, { exact: true })).toHaveCount(1);
  await page.reload();
  await expect(page.getByText('Third, with a picture', { exact: true })).toHaveCount(1);
  const sideways = await page.evaluate(
    () => document.documentElement.scrollWidth - document.documentElement.clientWidth
  );
  expect(sideways).toBeLessThanOrEqual(0);
});
