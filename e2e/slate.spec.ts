import { expect, find, saved, test } from './workshop';

test('one field from opening the application to the first answer, and on into a plan', async ({ page, workshop }) => {
  await page.goto(workshop.url);
  const slate = page.getByLabel('Type what you have, in shop words');
  await slate.fill('1.4 hp at 2850 rpm, 230 V 50 Hz');
  // 1044 W over 298.5 rad/s.
  await page.getByRole('button', { name: /^torque: 3\.5.N·m/ }).click();
  await expect(page.getByRole('dialog', { name: 'Working of torque' })).toContainText('T = P / ω');
  await page.keyboard.press('Escape');
  await page.getByRole('radio', { name: 'inch' }).click();
  await expect(page.getByRole('button', { name: /^torque: 2\.58.lbf·ft/ })).toBeVisible();
  await page.getByRole('radio', { name: 'metric' }).click();
  await page.reload();
  await expect(slate).toHaveValue('1.4 hp at 2850 rpm, 230 V 50 Hz');
  await page.getByRole('button', { name: 'start a plan with this motor' }).click();
  await page.locator('#station-motor').click();
  await expect(page.getByLabel('Power', { exact: true })).toHaveValue('1.4 hp');
  await expect(page.getByLabel('Speed', { exact: true })).toHaveValue('2850 rpm');
  await saved(page);
  await page.getByRole('button', { name: 'Undo', exact: true }).click();
  await expect(page.getByLabel('Power', { exact: true })).toHaveValue('');
});

test('what the slate does not understand it says, with what it does', async ({ page, workshop }) => {
  await page.goto(workshop.url);
  const slate = page.getByLabel('Type what you have, in shop words');
  await slate.fill('good day');
  await expect(page.getByText('No figure in it')).toBeVisible();
  await slate.fill('14 kg');
  await expect(page.getByText('is 14 kg').first()).toBeVisible();
  await slate.fill('14 kg and 3 µF');
  await page.getByRole('button', { name: '5 kg at 180 mm' }).click();
  await expect(slate).toHaveValue('5 kg at 180 mm');
  await expect(page.getByRole('button', { name: /^torque of the pull: 8\.83.N·m/ })).toBeVisible();
});

test('the finder asks the slate too, and what comes of it goes into the open plan', async ({ page, workshop }) => {
  await workshop.loadDemo();
  await page.goto(await workshop.plan('Cider mill', 'A'));
  await expect(page.locator('#station-reduction')).toBeVisible();
  await page.keyboard.press('/');
  await page.keyboard.type('90 : 315 mm on 420 mm centres');
  await page.getByRole('button', { name: 'put this belt in this plan' }).click();
  await page.locator('#station-reduction').click();
  await expect(page.getByLabel('on the driving shaft').first()).toHaveValue('90 mm');
  await expect(page.getByLabel('Between shafts').first()).toHaveValue('420 mm');
  await saved(page);
});

test('the finder finds trials, words, exercises and what is wrong by what people call them', async ({
  page,
  workshop
}) => {
  await workshop.loadDemo();
  await page.goto(await workshop.plan('Cider mill', 'A'));
  await expect(page.locator('#station-reduction')).toBeVisible();
  const found = page.locator('[data-command-item]');
  await page.keyboard.press('/');
  const finder = page.getByPlaceholder('Find a field, a finding or something to do');
  for (const [typed, name] of [
    ['strobe', 'Trial: '],
    ['torque wrench', 'Trial: '],
    ['simulation', 'Dry run'],
    ['clutch', 'clutch'],
    ['coil', 'Trial: '],
    ['diagram', 'Wiring, parts, other ways'],
    ['training', 'Practice bench'],
    ['hums', 'What is wrong: Hums, and will not start'],
    ['growls', 'What is wrong: ']
  ] as const) {
    await finder.fill(typed);
    await expect(found.filter({ hasText: name }).first(), typed).toBeVisible();
  }
  await finder.fill('hums');
  await found.filter({ hasText: 'What is wrong: Hums' }).click();
  await expect(page).toHaveURL(/what-is-wrong$/);
  await expect(page.getByText('Switch it off at once').first()).toBeVisible();
  await page.keyboard.press('/');
  await finder.fill('knob');
  await found.filter({ hasText: 'Trial: Knob against speed' }).click();
  await expect(page).toHaveURL(/trials$/);
  await expect(page.getByRole('heading', { name: 'Knob against speed' })).toBeVisible();
  await find(page, 'back-EMF');
  await expect(page).toHaveURL(/how-to$/);
  await expect(page.getByText('back-EMF', { exact: true })).toBeInViewport();
});
