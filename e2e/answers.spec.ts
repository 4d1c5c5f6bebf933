import type { Page } from '@playwright/test';
import { answers, expect, saved, test } from './workshop';

const verdict = (page: Page) => page.getByRole('region', { name: 'Verdict' });
const asked = (page: Page) => verdict(page).getByRole('button', { name: /^Still to be entered: / });

/** Follows what the answer still asks for, by its name, and enters it where that leads. */
async function enter(page: Page, what: string | RegExp, text: string) {
  await verdict(page)
    .getByRole('button', { name: typeof what === 'string' ? `Still to be entered: ${what}` : what, exact: true })
    .first()
    .click();
  const field = page.locator('input:focus, select:focus');
  await expect(field).toBeFocused();
  if ((await field.evaluate((el) => el.tagName)) === 'SELECT') await field.selectOption(text);
  else {
    await field.fill(text);
    await field.press('Tab');
  }
}

async function tick(page: Page, stop: string) {
  await verdict(page).getByRole('button', { name: stop, exact: true }).click();
  await expect(page.locator('input[type=checkbox]:focus')).toBeFocused();
  await page.keyboard.press('Space');
  await expect(verdict(page).getByRole('button', { name: stop, exact: true })).toHaveCount(0);
}

test('a plan goes from nothing to its first yes by following what its answer asks for', async ({ page, workshop }) => {
  await page.goto(workshop.url);
  const form = page.locator('form').filter({ has: page.getByRole('button', { name: 'Add it' }) });
  await form.locator('select').first().selectOption({ label: 'Drill press' });
  await form.locator('input').first().fill('Column drill');
  await form.getByRole('button', { name: 'Add it' }).first().click();
  await expect(answers(page)).toContainText('Does it do the jobs? Not known yet');
  await expect(verdict(page)).toContainText('Still to be entered:');

  await enter(page, 'What kind of motor is it?', 'induction-3');
  await enter(page, 'Speed or poles of the motor', '1410 rpm');
  await enter(page, 'Volts of the motor', '230 V');
  await enter(page, 'Amps or power of the motor', '2.7 A');
  await enter(page, 'What will control it?', 'inverter');
  await enter(page, 'Volts at the socket', '230 V');
  // Nobody said that it is coupled straight, so it is not; at one click it is.
  await expect(page.getByRole('tab', { name: /^Reduction/ })).toContainText('Not said yet');
  await verdict(page)
    .getByRole('button', { name: 'Still to be entered: What is between motor and spindle?' })
    .first()
    .click();
  await page.getByRole('button', { name: 'say that it is coupled straight' }).click();
  await expect(page.getByRole('tab', { name: /^Reduction/ })).toContainText('Coupled straight');
  await expect(answers(page)).toContainText('May it be powered? No');
  for (const stop of [
    'Frame not earthed',
    'No enclosure noted',
    'Restarts by itself after a power cut',
    'No fuse in a live line'
  ])
    await tick(page, stop);
  // What is still blank makes no yes.
  await expect(answers(page)).toContainText('May it be powered? Not known yet');
  await enter(page, 'How fast may it turn?', '3000 rpm');
  await enter(page, 'Amps the drive can give for ever', '4 A');
  await enter(page, 'Breaker of the circuit', '16 A');
  await expect(asked(page).first()).toContainText('Conductor of the cable');
  // Where one choice is safe for all it is offered, and stays said until somebody has read it.
  await verdict(page).getByRole('button', { name: 'Take 1.5\u202fmm², as this breaker asks' }).click();
  await expect(answers(page)).toContainText(/May it be powered\? Yes/);
  await expect(verdict(page).getByText('Taken as dry')).toBeVisible();
  await verdict(page).getByRole('button', { name: 'Conductor taken on offer', exact: true }).click();
  await page.getByRole('button', { name: 'I have read it off the cable' }).click();
  await expect(verdict(page).getByRole('button', { name: 'Conductor taken on offer', exact: true })).toHaveCount(0);
  await saved(page);
  await page.reload();
  await expect(answers(page)).toContainText(/May it be powered\? Yes/);

  // One entry taken away again, and it is not known any more: on the sheet, on the rail and in the shed.
  await page.getByRole('tab', { name: /^Supply/ }).click();
  await page.getByLabel('Breaker or fuse').fill('');
  await page.getByLabel('Breaker or fuse').press('Tab');
  await expect(answers(page)).toContainText('May it be powered? Not known yet');
  await expect(page.getByRole('link', { name: /^Power up/ })).toContainText('not known yet');
  await saved(page);
  await page.goto(workshop.url);
  await expect(page.getByText('Not known yet: breaker of the circuit.')).toBeVisible();
});

test('where the search finds nothing it says what comes nearest and which bound to widen', async ({
  page,
  workshop
}) => {
  await workshop.loadDemo();
  await page.goto(await workshop.plan('Kick wheel, powered', 'A'));
  await page.getByRole('tab', { name: /^Reduction/ }).click();
  await page.getByRole('button', { name: 'Find the best reduction' }).click();
  const found = page.getByRole('region', { name: 'Best reductions' });
  await found.getByText('Bounds: belts, room, what stays').click();
  await found.getByRole('checkbox', { name: /^Cones/ }).uncheck();
  const widen = found.getByRole('list', { name: 'Bounds to widen' });
  await expect(widen.getByRole('button', { name: /^Allow cones: 3 of 3 jobs/ })).toBeVisible();
  await widen.getByRole('button', { name: /^Allow cones/ }).click();
  await expect(found.getByRole('checkbox', { name: /^Cones/ })).toBeChecked();
  await expect(widen).toHaveCount(0);
  await found.getByLabel('Largest wheel').fill('60 mm');
  await found.getByLabel('Largest wheel').press('Tab');
  await expect(found.getByRole('heading', { name: 'What comes nearest' })).toBeVisible();
  await expect(found.getByText(/held by/).first()).toBeVisible();
});
