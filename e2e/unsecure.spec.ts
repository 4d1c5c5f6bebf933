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
  // While it is still being sent it stands among what waits, too.
  await expect(page.getByText('Written from the other room').first()).toBeVisible();

  await page.goto(`${wheel}/trials`);
  await page.getByRole('button', { name: /^A speed/ }).click();
  await page.getByRole('button', { name: /Type a reading/ }).click();
  await page.getByLabel('Speed, reading 1', { exact: true }).fill('207 rpm');
  await saved(page);
  await page.reload();
  await page.getByRole('button', { name: /^A speed/ }).click();
  await expect(page.getByLabel('Speed, reading 1', { exact: true })).toHaveValue('207 rpm');

  await page.goto(there(`${workshop.url}/`));
  await page.getByRole('link', { name: 'what is wrong with Power hacksaw?' }).click();
  await page.getByLabel(/What does it do/).fill('it just hums');
  await page.getByRole('button', { name: 'Hums, and will not start' }).click();
  const outcomes = page.getByRole('group', { name: 'How it came out' });
  const enough = page.getByText('That is enough to go by.');
  for (let made = 0; made < 7; made++) {
    await expect(outcomes.or(enough)).toBeVisible();
    if (await enough.isVisible()) break;
    const gone = outcomes.getByRole('button', { name: /^(low, open or leaking|it starts whichever way)/ });
    await ((await gone.count()) ? gone : outcomes.getByRole('button')).first().click();
    await expect(page.getByText(`Tried so far: ${made + 1}`)).toBeVisible();
  }
  await page.getByRole('button', { name: 'Replaced: log it' }).first().click();
  await expect(page.getByText('is in the log.')).toBeVisible();
  await expect(page.getByRole('button', { name: /log it$/ })).toHaveCount(0);
});
