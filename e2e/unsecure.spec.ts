import { expect, saved, test } from './workshop';

test('over plain HTTP from another name, entries, trials and mended faults are kept all the same', async ({
  page,
  workshop
}) => {
  await workshop.loadDemo();
  await workshop.stop();
  await workshop.start('there', '--host', 'shed.test');
  const there = (url: string) => url.replace('127.0.0.1', 'shed.test');
  const wheel = there(await workshop.plan('Kick wheel, powered', 'B'));
  await page.goto(`${wheel}/log`);
  expect(await page.evaluate(() => window.isSecureContext)).toBe(false);
  await page.getByLabel('What happened').fill('Written from the other room');
  await page.getByRole('button', { name: 'Log it' }).click();
  await expect(page.getByLabel('What happened')).toHaveValue('');
  await page.reload();
  await expect(page.getByText('Written from the other room')).toBeVisible();

  await page.goto(`${wheel}/trials`);
  await page.getByRole('button', { name: /^A speed/ }).click();
  await page.getByRole('button', { name: /Type a reading/ }).click();
  await page.getByLabel('Speed, reading 1', { exact: true }).fill('207 rpm');
  await saved(page);
  await page.reload();
  await page.getByRole('button', { name: /^A speed/ }).click();
  await expect(page.getByLabel('Speed, reading 1', { exact: true })).toHaveValue('207 rpm');

  await page.goto(there(await workshop.plan('Power hacksaw', 'A')) + '/fault');
  await page.getByLabel(/What does it do/).fill('it just hums');
  await page.getByRole('button', { name: 'Hums, and will not start' }).click();
  await page
    .getByRole('button', { name: /^it was that: log it/ })
    .first()
    .click();
  await expect(page.getByText('is in the log.')).toBeVisible();
  await expect(page.getByRole('button', { name: /log it/ })).toHaveCount(0);
  await page.getByRole('button', { name: 'See it' }).click();
  await expect(page.getByRole('listitem').filter({ hasText: 'mended' }).first()).toBeVisible();
});
