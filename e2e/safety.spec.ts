import { expect, headline, saved, station, test } from './workshop';

test('a second window that saves first is told of, and nothing typed is lost', async ({ page, context, workshop }) => {
  await workshop.loadDemo();
  const url = await workshop.plan('Kick wheel, powered', 'B');
  await page.goto(url);
  await station(page, 'Motor');
  await expect(page.getByLabel('Power', { exact: true })).toHaveValue('½ hp');
  const other = await context.newPage();
  await other.goto(url);
  await station(other, 'Motor');
  await other.getByLabel('Amps', { exact: true }).fill('2.9 A');
  await saved(other);

  await page.getByLabel('Power', { exact: true }).fill('0.6 hp');
  const told = page.getByRole('alert').filter({ hasText: 'changed in another window' });
  await expect(told).toBeVisible();
  await expect(page.getByLabel('Power', { exact: true })).toHaveValue('0.6 hp');

  await told.getByRole('button', { name: /Take the other/ }).click();
  await expect(page.getByLabel('Amps', { exact: true })).toHaveValue('2.9 A');
  await expect(page.getByLabel('Power', { exact: true })).toHaveValue('½ hp');
  await page.keyboard.press('Control+z');
  await expect(page.getByLabel('Power', { exact: true })).toHaveValue('0.6 hp');
  await saved(page);
});

test('keeping mine over another window saves mine', async ({ page, context, workshop }) => {
  await workshop.loadDemo();
  const url = await workshop.plan('Cider mill', 'A');
  await page.goto(url);
  await station(page, 'Motor');
  const other = await context.newPage();
  await other.goto(url);
  await station(other, 'Motor');
  await other.getByLabel('Amps', { exact: true }).fill('3.4 A');
  await saved(other);
  await page.getByLabel('Power', { exact: true }).fill('0.8 kW');
  await page.getByRole('button', { name: 'Keep mine' }).click();
  await saved(page);
  await page.reload();
  await station(page, 'Motor');
  await expect(page.getByLabel('Power', { exact: true })).toHaveValue('0.8 kW');
  await expect(page.getByLabel('Amps', { exact: true })).toHaveValue('3.3 A');
});

test('the server goes away and comes back while typing', async ({ page, workshop }) => {
  await workshop.loadDemo();
  await page.goto(await workshop.plan('Kick wheel, powered', 'B'));
  await station(page, 'Motor');
  await workshop.stop();
  await page.getByLabel('Power', { exact: true }).fill('0.55 hp');
  await expect(page.getByText('not saved, kept here')).toBeVisible();
  await page.getByLabel('Amps', { exact: true }).fill('3.1 A');
  await workshop.start();
  await saved(page);
  await page.reload();
  await station(page, 'Motor');
  await expect(page.getByLabel('Power', { exact: true })).toHaveValue('0.55 hp');
  await expect(page.getByLabel('Amps', { exact: true })).toHaveValue('3.1 A');
});

test('the database goes away while typing: figures still come, the save waits', async ({ page, workshop }) => {
  await workshop.loadDemo();
  await page.goto(await workshop.plan('Kick wheel, powered', 'B'));
  await station(page, 'Motor');
  workshop.database('away');
  await page.getByLabel('Power', { exact: true }).fill('0.25 hp');
  await expect(page.getByText('The database is not answering', { exact: false })).toBeVisible();
  // A quarter horse, 186.4 W, at 1750 rpm, 183.3 rad/s, is 1.02 N·m.
  await expect(page.getByRole('button', { name: /^Rated torque: 1.02/ }).first()).toBeVisible();
  workshop.database('back');
  await saved(page);
});

test('a tab closed before it could save finds its words again', async ({ page, context, workshop }) => {
  await workshop.loadDemo();
  const url = await workshop.plan('Kick wheel, powered', 'B');
  await page.goto(url);
  await station(page, 'Motor');
  workshop.database('away');
  await page.getByLabel('Where it came from').fill('Swapped for a goat');
  await expect(page.getByText('not saved, kept here')).toBeVisible();
  await page.close();
  workshop.database('back');
  const again = await context.newPage();
  await again.goto(url);
  await station(again, 'Motor');
  await expect(again.getByLabel('Where it came from')).toHaveValue('Swapped for a goat');
  await saved(again);
});

test('nonsense is answered at its field and nothing else changes', async ({ page, workshop }) => {
  await workshop.loadDemo();
  await page.goto(await workshop.plan('Kick wheel, powered', 'B'));
  await station(page, 'Motor');
  const before = await headline(page).textContent();
  const power = page.getByLabel('Power', { exact: true });
  for (const [typed, message] of [
    ['half a horse', 'no number found'],
    ['5 N·m', 'no unit of power'],
    ['1,750', 'can be read two ways'],
    ['-3 hp', 'must lie between'],
    ['9999 kW', 'must lie between']
  ] as const) {
    await power.fill(typed);
    await expect(page.getByText(message, { exact: false })).toBeVisible();
    await expect(power).toHaveAttribute('aria-invalid', 'true');
    await expect(power).toHaveValue(typed);
    await expect(headline(page)).toHaveText(before ?? '');
  }
  await station(page, 'Supply');
  await page.getByRole('alert').getByRole('button', { name: 'Show it' }).click();
  await expect(power).toBeFocused();
  await power.fill('1/2 hp');
  await expect(power).not.toHaveAttribute('aria-invalid', 'true');
});
