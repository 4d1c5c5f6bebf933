import { expect, answers, saved, test } from './workshop';
import type { Page } from '@playwright/test';

/** Moves by Tab until the control with this name has the focus; of several, the newest. */
async function tabTo(
  page: Page,
  name: string | RegExp,
  role: 'textbox' | 'combobox' | 'button' | 'tab' | 'checkbox' | 'link' | 'radio'
) {
  const target = page.getByRole(role, { name, exact: typeof name === 'string' }).last();
  await expect(target).toBeAttached();
  for (let i = 0; i < 150; i++) {
    if (await target.evaluate((el) => el === document.activeElement)) return target;
    await page.keyboard.press('Tab');
  }
  throw new Error(`Tab never reached ${name}`);
}

async function type(page: Page, name: string | RegExp, text: string) {
  await tabTo(page, name, 'textbox');
  await page.keyboard.press('Control+A');
  await page.keyboard.type(text);
}

async function choose(page: Page, name: string | RegExp, words: string) {
  const select = await tabTo(page, name, 'combobox');
  await page.keyboard.type(words);
  await expect(select.locator('option:checked')).toHaveText(new RegExp(`^${words}`, 'i'));
}

/** Moves by Tab to the fold with these words, the newest of several, and opens it. */
async function openFold(page: Page, words: string) {
  const fold = page.locator('summary').filter({ hasText: words }).last();
  for (let i = 0; i < 150; i++) {
    if (await fold.evaluate((el) => el === document.activeElement)) return page.keyboard.press('Enter');
    await page.keyboard.press('Tab');
  }
  throw new Error(`Tab never reached ${words}`);
}

async function goStation(page: Page, name: string) {
  const order = ['Supply', 'Control', 'Motor', 'Reduction', 'Work'];
  // The stations are one Tab stop; arrows move along the line.
  await page.locator('[role=tab][aria-selected=true]').focus();
  for (let i = 0; i < order.length; i++) {
    const at = await page.locator('[role=tab][aria-selected=true]').textContent();
    if (at?.includes(name)) return;
    await page.keyboard.press('ArrowRight');
  }
  throw new Error(`no station ${name}`);
}

test('a newcomer goes from an empty workshop to a printed plate by keyboard alone', async ({ page, workshop }) => {
  await page.goto(workshop.url);
  await expect(page.getByRole('heading', { name: 'Will this motor do what the machine must?' })).toBeVisible();

  await tabTo(page, 'Add it', 'button');
  await page.keyboard.press('Enter');
  await expect(page.getByText('What machine is it? A name is enough.')).toBeVisible();
  await page.keyboard.press('Shift+Tab');
  // A kind brings its usual jobs; this newcomer starts from nothing.
  await choose(page, 'Kind', 'Something');
  await page.keyboard.press('Shift+Tab');
  await page.keyboard.type('Bench lathe');
  await page.keyboard.press('Enter');

  await expect(answers(page)).toContainText('No job is put in yet');
  await goStation(page, 'Work');
  await tabTo(page, 'add a job', 'button');
  await page.keyboard.press('Enter');
  await expect(page.getByLabel('Job', { exact: true })).toBeFocused();
  await page.keyboard.type('Facing 60 mm steel');
  await type(page, 'Slowest', '60 rpm');
  await type(page, 'Fastest', '200 rpm');
  await type(page, 'Torque at the spindle', '5 N·m');
  await page.locator('[role=tab][aria-selected=true]').focus();
  await tabTo(page, 'add a job', 'button');
  await page.keyboard.press('Enter');
  await expect(page.getByLabel('Job', { exact: true }).last()).toBeFocused();
  await page.keyboard.type('Boring brass');
  await openFold(page, 'how its speed is known');
  await choose(page, 'Speed from', 'surface');
  await type(page, 'Surface speed', '40 m/min');
  await type(page, 'Smallest diameter', '30 mm');
  await type(page, 'Largest diameter', '60 mm');
  await choose(page, 'Load found by', 'power');
  await type(page, 'Power at the spindle', '60 W');

  await goStation(page, 'Motor');
  await choose(page, 'Kind of motor', 'Direct');
  await type(page, 'Power', '3/4 hp');
  await type(page, 'Speed', '1750 rpm');
  await type(page, 'Volts', '180');
  await type(page, 'Amps', '3.9 A');
  await choose(page, /^Thermal switch/, 'there is none');
  // Rated torque opens to its working: 3/4 hp over 1750 rpm is 3.05 N·m.
  await tabTo(page, /^Rated torque: 3.05/, 'button');
  await page.keyboard.press('Enter');
  await expect(page.getByText('T = P / ω')).toBeVisible();
  await page.keyboard.press('Escape');

  await goStation(page, 'Control');
  await choose(page, 'Kind', 'Phase');
  await type(page, 'Most volts out', '180 V');
  await type(page, 'Amps for ever', '5');
  await type(page, 'Current limit as set', '5.8 A');
  for (const name of [/^Fused/, /^In an earthed/, /^Starts only/, /^Choke/, /^No-volt/]) {
    await tabTo(page, name, 'checkbox');
    await page.keyboard.press('Space');
  }

  await goStation(page, 'Reduction');
  await tabTo(page, 'add a stage', 'button');
  await page.keyboard.press('Enter');
  await type(page, 'on the driving shaft', '75 mm');
  await type(page, 'on the driven', '150 mm');
  await type(page, 'Between shafts', '320 mm');
  await tabTo(page, 'Guarded', 'checkbox');
  await page.keyboard.press('Space');

  await goStation(page, 'Supply');
  await type(page, 'Volts at the socket', '230');
  await type(page, 'Hertz', '50');
  await type(page, 'Breaker or fuse', '16 A');
  await tabTo(page, /earthed/, 'checkbox');
  await page.keyboard.press('Space');

  await expect(answers(page)).toContainText('1 of 2');
  await expect(page.getByText('Facing 60 mm steel: short', { exact: false }).first()).toBeVisible();
  await saved(page);

  // Take the ratio that was tried.
  await tabTo(page, /^Try [0-9]/, 'button');
  await page.keyboard.press('Enter');
  await expect(answers(page)).toContainText('2 of 2');
  await saved(page);
  await page.keyboard.press('Control+z');
  await expect(answers(page)).toContainText('1 of 2');
  await page.keyboard.press('Control+Shift+Z');
  await expect(answers(page)).toContainText('2 of 2');

  await tabTo(page, /^Sheets/, 'link');
  await page.keyboard.press('Enter');
  await tabTo(page, 'Speed plate', 'link');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('heading', { name: 'Bench lathe' })).toBeVisible();
  await expect(page.getByRole('rowheader', { name: 'Facing 60 mm steel' })).toBeVisible();
});

test('by keys the first remedy is near, and so is how to go about it', async ({ page, workshop }) => {
  await workshop.loadDemo();
  await page.goto(await workshop.plan('Kick wheel, powered', 'B'));
  await expect(answers(page).getByRole('button', { name: 'Fit a fan with its own supply' })).toBeVisible();
  let keys = 0;
  const press = async (key: string) => {
    await page.keyboard.press(key);
    keys++;
  };
  await press('Tab');
  await expect(page.getByRole('button', { name: 'to the verdict' })).toBeFocused();
  await press('Enter');
  const remedy = page.getByRole('list', { name: 'Changes that were tried' }).getByRole('button').first();
  while (keys < 12 && !(await remedy.evaluate((b) => b === document.activeElement))) await press('Tab');
  await expect(remedy).toBeFocused();
  await press('Enter');
  expect(keys).toBeLessThanOrEqual(12);
  await expect(answers(page)).toContainText('3 of 3');
  await page.getByRole('button', { name: 'more ▾' }).click();
  await page.getByRole('menuitem', { name: /How to go about it/ }).click();
  await expect(page.getByRole('heading', { name: 'Words used here' })).toBeVisible();
});
