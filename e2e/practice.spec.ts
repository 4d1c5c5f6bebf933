import { expect, test } from './workshop';

test('three leads are sorted from three readings', async ({ page, workshop }) => {
  await page.goto(`${workshop.url}/#/practice/leads/7`);
  const ohms: Record<string, number> = {};
  for (const pair of ['red to black', 'red to white', 'black to white']) {
    await page.getByRole('button', { name: `do it: Ohms, ${pair}` }).click();
    const row = page
      .getByRole('listitem')
      .filter({ hasText: `Ohms, ${pair}` })
      .last();
    await expect(row).toContainText('Ω');
    ohms[pair] = Number(/([\d.]+)\s*Ω/.exec((await row.textContent()) ?? '')?.[1]);
  }
  // The pair that reads highest is start and run in series; the third lead is common.
  const [highest = ''] = Object.entries(ohms).sort((a, b) => b[1] - a[1])[0] ?? [];
  const common = ['red', 'black', 'white'].find((lead) => !highest.includes(lead)) ?? '';
  const [start = ''] =
    Object.entries(ohms)
      .filter(([pair]) => pair.includes(common))
      .sort((a, b) => b[1] - a[1])[0]?.[0]
      .split(' to ')
      .filter((lead) => lead !== common) ?? [];
  await page.getByLabel('Common').selectOption(common);
  await page.getByLabel('To the start winding').selectOption(start);
  await page.getByRole('button', { name: 'That is my answer' }).click();
  await expect(page.getByRole('region', { name: 'How it went' })).toContainText('Right');
  await expect(page.getByRole('region', { name: 'How it went' })).toContainText('3 acts, 3 minutes');
});

test('a fuse is chosen by the plate, and bridging one is a stop however right the answer', async ({
  page,
  workshop
}) => {
  await page.goto(`${workshop.url}/#/practice/fuse/11`);
  await page.getByRole('button', { name: 'do it: Read its plate' }).click();
  await expect(page.locator('main')).toContainText(/[\d.]+\s*A on its plate/);
  const plate = Number(/([\d.]+)\s*A on its plate/.exec((await page.locator('main').textContent()) ?? '')?.[1]);
  const sizes = [2, 3.15, 4, 5, 6.3, 8, 10, 12.5, 16, 20, 25];
  const fuse = String(sizes.find((a) => a >= 1.25 * plate));
  await page.getByLabel('Time-delay fuse').selectOption(fuse);
  await page.getByRole('button', { name: 'That is my answer' }).click();
  await expect(page.getByRole('region', { name: 'How it went' })).toContainText('Right');
  await page.getByRole('button', { name: 'The same again' }).click();
  await page.getByRole('button', { name: 'do it: Bridge the fuse to try' }).click();
  await page.getByLabel('Time-delay fuse').selectOption(fuse);
  await page.getByRole('button', { name: 'That is my answer' }).click();
  await expect(page.getByRole('region', { name: 'How it went' })).toContainText('That could have hurt');
});

test('a first power-up in its order hurts nobody', async ({ page, workshop }) => {
  await page.goto(`${workshop.url}/#/practice/order/3`);
  const steps = [
    'Plug out, wait',
    'Clamp the motor',
    'Ohms from the plug',
    'Insulation',
    'Knob at nothing',
    'Lamp in series',
    'Enabled, knob up',
    'Right up, free',
    'Stop, from full',
    'Plug out while it runs',
    'Plug out, belt on'
  ];
  for (const [i, step] of steps.entries()) {
    await page.getByRole('button', { name: new RegExp(`do it: ${step}`) }).click();
    await expect(page.getByText(`${i + 1} done`)).toBeVisible();
  }
  await page.getByLabel('It may go to work').selectOption('yes');
  await page.getByRole('button', { name: 'That is my answer' }).click();
  await expect(page.getByRole('region', { name: 'How it went' })).toContainText('Right');
});

test('the simulated bench feeds a trial through the real door', async ({ page, workshop }) => {
  await workshop.loadDemo();
  await page.goto(`${workshop.url}/#/practice/bench`);
  await expect(page.getByText('spindle', { exact: true })).toBeVisible();
  await page.getByLabel('Strobe, flashes a minute').fill('600');
  await expect(page.getByText(/a blur|image|it stands/)).toBeVisible();
  await page.getByRole('button', { name: 'Feed the Trials screen' }).click();
  await expect(page.getByRole('button', { name: 'Stop feeding the Trials screen' })).toBeVisible();
  const other = await page.context().newPage();
  await other.goto(`${await workshop.plan('Kick wheel, powered', 'A')}/trials`);
  await other.getByRole('button', { name: /^Two speeds/ }).click();
  await expect(other.getByText('simulated bench', { exact: false })).toBeVisible();
  await expect(other.getByText('Read now, speed')).toBeVisible();
  await other.getByRole('button', { name: /Take it/ }).click();
  await expect(other.getByLabel('Spindle, reading 1')).toHaveValue(/rpm/);
});
