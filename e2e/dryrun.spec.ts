import { readFileSync } from 'node:fs';
import type { Page } from '@playwright/test';
import { expect, answers, saved, station, test } from './workshop';

/** Opens the dry run of a plan, and waits until it was run. */
const dryRun = async (page: Page, address: string) => {
  await page.goto(address);
  await page.getByRole('link', { name: /^Dry run/ }).click();
  await expect(went(page).getByRole('heading')).toBeVisible();
};
const went = (page: Page) => page.getByRole('region', { name: 'How it went' });
const script = (page: Page) => page.getByRole('region', { name: 'What happens' });
const time = (page: Page) => page.getByRole('slider', { name: 'Time in the run' });
/** Where the hand is, s. */
const at = async (page: Page) => Number(await time(page).getAttribute('aria-valuenow'));

test('the cider mill jams on a stone, and a remedy that was run mends it', async ({ page, workshop }) => {
  await workshop.loadDemo();
  const plan = await workshop.plan('Cider mill', 'A');
  await dryRun(page, plan);
  await expect(went(page).getByRole('heading')).toContainText('Stalls under A stone in a windfall');
  await expect(page.getByRole('link', { name: /^Dry run/ })).toContainText('to watch');
  await went(page).getByRole('button', { name: 'Limit at 7' }).first().click();
  await expect(went(page).getByRole('heading')).toContainText('Nothing stalls');
  await expect(went(page).getByText('Stalls under A stone in a windfall')).toHaveCount(0);
  await expect(went(page).getByText(/^Holds A stone in a windfall for/)).toBeVisible();
  await saved(page);
  await page.keyboard.press('Control+z');
  await expect(went(page).getByRole('heading')).toContainText('Stalls under A stone in a windfall');
  await page.keyboard.press('Control+Shift+z');
  await expect(went(page).getByRole('heading')).toContainText('Nothing stalls');
  await saved(page);
  await page.goto(plan);
  await station(page, 'Control');
  await expect(page.getByLabel('Current limit as set')).toHaveValue(/^7\s?A$/);
});

test('the kick wheel is leaned on until it stalls, and the script is kept with the plan', async ({
  page,
  workshop
}) => {
  await workshop.loadDemo();
  const plan = await workshop.plan('Kick wheel, powered', 'B');
  await dryRun(page, plan);
  await expect(went(page).getByRole('heading')).toContainText('Stalls under Leaning on the rim');
  await script(page)
    .getByRole('button', { name: /Leaning on the rim/ })
    .click();
  await script(page).getByLabel('Torque', { exact: true }).fill('12');
  await expect(went(page).getByRole('heading')).toContainText('Nothing stalls');
  await script(page).getByLabel('Torque', { exact: true }).fill('60');
  await expect(went(page).getByRole('heading')).toContainText('Stalls under Leaning on the rim');
  await script(page).getByLabel('When').fill('soup');
  await expect(
    script(page)
      .getByText(/soup|cannot|number/)
      .first()
  ).toBeVisible();
  await saved(page);
  await page.reload();
  await expect(went(page).getByRole('heading')).toBeVisible();
  await script(page)
    .getByRole('button', { name: /Leaning on the rim/ })
    .click();
  await expect(script(page).getByLabel('When')).toHaveValue('soup');
  await script(page).getByLabel('When').fill('29 s');
  await expect(script(page).getByText('60 N·m at the spindle, for 5 s')).toBeVisible();
  await expect(went(page).getByRole('heading')).toContainText('Stalls under Leaning on the rim');
  await script(page).getByRole('button', { name: 'the usual script' }).click();
  await expect(script(page).getByText('the usual for such a machine')).toBeVisible();
  await expect(script(page).getByText('Leaning in hard')).toBeVisible();
  await page.keyboard.press('Control+z');
  await expect(script(page).getByText('Leaning on the rim')).toBeVisible();
});

test("the hacksaw's motor overstays its start winding, and the verdict says so too", async ({ page, workshop }) => {
  await workshop.loadDemo();
  const plan = await workshop.plan('Power hacksaw', 'A');
  await dryRun(page, plan);
  await page.getByLabel('Inertia at the spindle').fill('14 kg·m²');
  await expect(went(page).getByText(/^Its start winding is in for/)).toBeVisible();
  await expect(page.getByRole('link', { name: /^Dry run/ })).toContainText('stop');
  await saved(page);
  await page.getByRole('link', { name: /^Plan/ }).click();
  const verdict = page.getByRole('region', { name: 'Verdict' });
  await expect(verdict.getByText('In the dry run, simulated')).toBeVisible();
  await expect(verdict.getByRole('link', { name: /^Its start winding is in for/ })).toBeVisible();
});

test("the honey extractor's stop, by its own friction and by more of it", async ({ page, workshop }) => {
  await workshop.loadDemo();
  await dryRun(page, await workshop.plan('Honey extractor', 'A'));
  await expect(went(page).getByText(/^Turns on for 8/)).toBeVisible();
  await page.getByLabel('Its own friction').fill('5 N·m');
  await expect(went(page).getByText(/^Stands .* after the stop/)).toBeVisible();
  await page.getByLabel('Its own friction').fill('forty rods');
  await expect(page.getByRole('alert').or(page.getByText(/rods/)).first()).toBeVisible();
  await expect(time(page)).toBeVisible();
});

test('scrubbed, played and looked at closer by keys alone, with nothing turning for those who want it still', async ({
  page,
  workshop
}) => {
  await workshop.loadDemo();
  await dryRun(page, await workshop.plan('Kick wheel, powered', 'B'));
  await time(page).focus();
  await page.keyboard.press('ArrowRight');
  const step = await at(page);
  expect(step).toBeGreaterThan(0);
  await page.keyboard.press('Shift+ArrowRight');
  expect(await at(page)).toBeGreaterThan(4 * step);
  await page.keyboard.press('End');
  const ends = await at(page);
  expect(ends).toBeGreaterThan(30);
  await page.keyboard.press('Home');
  expect(await at(page)).toBe(0);
  await page.keyboard.press('+');
  await page.keyboard.press('ArrowRight');
  expect(await at(page)).toBeLessThan(step);
  await page.keyboard.press('-');
  await page.keyboard.press('Home');
  await page.keyboard.press('Space');
  await expect.poll(() => at(page)).toBeGreaterThan(0.4);
  await expect(page.getByRole('button', { name: 'Pause' })).toBeVisible();
  // The journeys ask for reduced motion: figures follow, nothing turns.
  await expect(page.locator('path.mark, .turning')).toHaveCount(0);
  await page.keyboard.press('Space');
  await expect(page.getByRole('button', { name: 'Run it', exact: true })).toBeVisible();
  await expect(time(page)).toHaveAttribute('aria-valuetext', /rpm, motor .* A, winding .* °C/);
});

test('the line turns as it plays, and starts from the sheet', async ({ page, workshop }) => {
  await page.emulateMedia({ reducedMotion: 'no-preference' });
  await workshop.loadDemo();
  await page.goto(await workshop.plan('Kick wheel, powered', 'B'));
  await expect(answers(page)).toBeVisible();
  await page.getByRole('button', { name: 'press start' }).click();
  const mark = page.locator('path.mark').first();
  await expect(mark).toBeVisible();
  const before = await mark.getAttribute('d');
  await expect.poll(() => mark.getAttribute('d')).not.toBe(before);
  await expect(page.locator('.meter').last()).toContainText('90 rpm');
  await page.getByRole('button', { name: 'let it be' }).click();
  await expect(page.locator('.meter')).toHaveCount(0);
});

test('run over what is not known, a day, another plan beside it, and as a table', async ({ page, workshop }) => {
  await workshop.loadDemo();
  await dryRun(page, await workshop.plan('Kick wheel, powered', 'A'));
  await page.getByRole('button', { name: 'run it 200 times over it' }).click();
  const unknown = page.getByRole('region', { name: 'What is not known' });
  await expect(unknown.getByText(/Drawn: .*inertia, half to twice/)).toBeVisible({ timeout: 20_000 });
  await page.getByLabel('Beside it').selectOption({ label: 'B, Two belts' });
  await expect(page.locator('.ghost')).toHaveCount(3);
  const download = page.waitForEvent('download');
  await page.getByRole('button', { name: 'save it as CSV' }).click();
  const lines = readFileSync(await (await download).path(), 'utf8')
    .trim()
    .split('\r\n');
  expect(lines[0]).toContain('seconds,motor rpm,spindle rpm');
  expect(lines.length).toBeGreaterThan(300);
  expect(lines.slice(1).every((l) => l.split(',').every((v) => Number.isFinite(Number(v))))).toBe(true);
  await page.getByRole('radio', { name: 'a working day' }).click();
  await expect(
    page.getByRole('region', { name: 'A working day' }).getByText('Big pots alone is too much')
  ).toBeVisible();
  await expect(page.getByRole('img', { name: /^Winding and case through the day/ })).toBeVisible();
});

test('what cannot be run says why, and a server that is away takes nothing', async ({ page, workshop }) => {
  await workshop.loadDemo();
  const plan = await workshop.plan('Honey extractor', 'A');
  await dryRun(page, plan);
  await workshop.stop();
  await page.getByLabel('Its own friction').fill('3 N·m');
  await expect(page.getByText('The server is not answering').first()).toBeVisible();
  await expect(time(page)).toBeVisible();
  await workshop.start();
  await saved(page);
  await page.reload();
  await expect(page.getByLabel('Its own friction')).toHaveValue('3 N·m');
  await page.goto(plan);
  await station(page, 'Motor');
  await page.getByLabel('Volts', { exact: true }).fill('');
  await page.getByLabel('Speed', { exact: true }).first().fill('');
  await saved(page);
  await page.getByRole('link', { name: /^Dry run/ }).click();
  await expect(page.getByText('It cannot be run yet.')).toBeVisible();
});

test('a script that takes long says so, runs by itself with a stop, and claims nothing before', async ({
  page,
  workshop
}) => {
  await workshop.loadDemo();
  const plan = await workshop.plan('Cider mill', 'A');
  // No script of the demo takes long: the server's answer is made to say so, and the run itself is held back.
  await page.route('**/api/dryrun', async (route) => {
    const answer = await route.fetch();
    const said = (await answer.json()) as object;
    await route.fulfill({ json: { ...said, long: true, runs: false, findings: [], headline: '' } });
  });
  let letGo: () => void = () => undefined;
  const held = new Promise<void>((resolve) => (letGo = resolve));
  await page.route('**/api/dryrun/whole', async (route) => {
    await held;
    await route.continue().catch(() => undefined);
  });
  await page.goto(plan);
  await page.getByRole('link', { name: /^Dry run/ }).click();
  await expect(page.getByText('This script takes a while to run.')).toBeVisible();
  await expect(page.getByRole('progressbar', { name: 'Run so far' })).toBeVisible();
  await expect(went(page)).toHaveCount(0);
  await page.getByRole('button', { name: 'stop running it' }).click();
  await expect(page.getByText('It was not run to its end.')).toBeVisible();
  await expect(page.getByRole('link', { name: /^Dry run/ })).toContainText('not yet');
  letGo();
  await page.getByRole('button', { name: 'run it', exact: true }).click();
  await expect(went(page).getByRole('heading')).toContainText('Stalls under A stone in a windfall');
});
