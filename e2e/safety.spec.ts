import type { BrowserContext, Page } from '@playwright/test';
import { answers, expect, field, machineLimits, saved, station, test, type Workshop } from './workshop';

/** Two windows on one plan's motor, both as it was saved. */
const twoWindows = async (page: Page, context: BrowserContext, workshop: Workshop) => {
  await workshop.loadDemo();
  const url = await workshop.plan('Kick wheel, powered', 'B');
  const other = await context.newPage();
  for (const p of [page, other]) {
    await p.goto(url);
    await station(p, 'Motor');
    await expect(field(p, 'Power')).toHaveValue('½ hp');
  }
  return other;
};

test('changes of two windows are put together, field by field', async ({ page, context, workshop }) => {
  const other = await twoWindows(page, context, workshop);
  await field(other, 'Amps').fill('2.9 A');
  await saved(other);
  await field(page, 'Power').fill('0.6 hp');
  await expect(field(page, 'Amps')).toHaveValue('2.9 A');
  await expect(field(page, 'Power')).toHaveValue('0.6 hp');
  await saved(page);
  await page.keyboard.press('Control+z');
  await expect(field(page, 'Power')).toHaveValue('½ hp');
  await expect(field(page, 'Amps')).toHaveValue('2.9 A');
  await page.keyboard.press('Control+Shift+z');
  await saved(page);
  await other.reload();
  await station(other, 'Motor');
  await expect(field(other, 'Power')).toHaveValue('0.6 hp');
  await expect(field(other, 'Amps')).toHaveValue('2.9 A');
});

test('undo takes back one’s own, and leaves what another window saved meanwhile', async ({
  page,
  context,
  workshop
}) => {
  const other = await twoWindows(page, context, workshop);
  await station(page, 'Supply');
  const breaker = field(page, 'Breaker or fuse');
  await breaker.fill('16 A');
  await saved(page);
  await field(other, 'Amps').fill('2.9 A');
  await saved(other);
  await station(page, 'Motor');
  await field(page, 'Volts').first().fill('170 V');
  await saved(page);
  await expect(field(page, 'Amps')).toHaveValue('2.9 A');
  // What the other window changes once more is not taken back with it, and is told.
  await field(page, 'Amps').fill('3.1 A');
  await saved(page);
  await other.reload();
  await station(other, 'Motor');
  await field(other, 'Amps').fill('3.3 A');
  await saved(other);
  await field(page, 'Speed').first().fill('1700 rpm');
  await saved(page);
  await expect(field(page, 'Amps')).toHaveValue('3.3 A');
  await page.keyboard.press('Control+z');
  await page.keyboard.press('Control+z');
  await expect(page.getByText('Left as another window has it: Motor, plate, amps')).toBeVisible();
  await page.keyboard.press('Control+z');
  await page.keyboard.press('Control+z');
  await expect(field(page, 'Amps')).toHaveValue('3.3 A');
  await expect(field(page, 'Volts').first()).toHaveValue('180 V');
  await saved(page);
  await station(page, 'Supply');
  await expect(breaker).toHaveValue('10 A');
});

test('two windows fill one trial, and undo loses neither’s rows', async ({ page, context, workshop }) => {
  await workshop.loadDemo();
  const address = `${await workshop.plan('Kick wheel, powered', 'B')}/trials`;
  const other = await context.newPage();
  for (const p of [page, other]) {
    await p.goto(address);
    await p.getByRole('button', { name: /^Two speeds, the ratio/ }).click();
  }
  const rows = (p: Page) => p.getByLabel(/^Speed, reading \d+$/);
  const read = async (p: Page, rpm: string) => {
    const at = (await rows(p).count()) + 1;
    await p.getByRole('button', { name: /Type a reading/ }).click();
    await p.getByLabel(`Speed, reading ${at}`, { exact: true }).fill(rpm);
    await saved(p);
  };
  const all = (p: Page) => rows(p).evaluateAll((list) => list.map((i) => (i as HTMLInputElement).value));
  await expect(rows(page)).toHaveCount(3);
  await read(page, '101 rpm');
  await read(other, '201 rpm');
  await read(page, '102 rpm');
  await read(other, '202 rpm');
  for (const p of [page, other]) {
    for (const keys of ['Control+z', 'Control+Shift+z'])
      for (let i = 0; i < 5; i++) {
        await p.locator('body').press(keys);
        await saved(p);
      }
  }
  await page.reload();
  await page.getByRole('button', { name: /^Two speeds, the ratio/ }).click();
  await expect.poll(() => all(page)).toEqual(expect.arrayContaining(['101 rpm', '102 rpm', '201 rpm', '202 rpm']));
  await expect(rows(page)).toHaveCount(7);
});

test('a field that both windows changed is asked about, and survives a reload', async ({ page, context, workshop }) => {
  const other = await twoWindows(page, context, workshop);
  await field(other, 'Power').fill('0.7 hp');
  await field(other, 'Amps').fill('2.9 A');
  await saved(other);
  await field(page, 'Power').fill('0.6 hp');
  const told = page.getByRole('alert', { name: 'Changed elsewhere' });
  await expect(told).toContainText('One field differs');
  await expect(told.getByRole('group', { name: 'Motor, plate, power' })).toContainText('here 0.6 hp');
  await expect(told).toContainText('there 0.7 hp');
  await expect(field(page, 'Power')).toHaveValue('0.6 hp');
  await page.reload();
  await station(page, 'Motor');
  await expect(told).toContainText('here 0.6 hp');
  await told.getByLabel('there 0.7 hp').check();
  await told.getByRole('button', { name: 'Save it so' }).click();
  await expect(told).toBeHidden();
  await expect(field(page, 'Power')).toHaveValue('0.7 hp');
  await page.keyboard.press('Control+z');
  await expect(field(page, 'Power')).toHaveValue('0.6 hp');
  await saved(page);
});

test('all of mine, or all of the other, at one click', async ({ page, context, workshop }) => {
  const other = await twoWindows(page, context, workshop);
  for (const [choice, power] of [
    ['Keep all of mine', '0.6 hp'],
    ['Take all of the other', '0.8 hp']
  ] as const) {
    await field(other, 'Power').fill('0.8 hp');
    await saved(other);
    await field(page, 'Power').fill('0.6 hp');
    await page.getByRole('button', { name: choice }).click();
    await saved(page);
    await expect(field(page, 'Power')).toHaveValue(power);
    for (const p of [page, other]) {
      await p.reload();
      await station(p, 'Motor');
      await expect(field(p, 'Power')).toHaveValue(power);
    }
    await field(page, 'Power').fill('½ hp');
    await saved(page);
    await other.reload();
    await station(other, 'Motor');
  }
});

test('two windows without a server keep a draft each, over a reload, and both are saved', async ({
  page,
  context,
  workshop
}) => {
  const other = await twoWindows(page, context, workshop);
  workshop.database('away');
  await field(page, 'Power').fill('0.6 hp');
  await field(other, 'Amps').fill('3.3 A');
  for (const p of [page, other]) await expect(p.getByText('not saved, kept here')).toBeVisible();
  workshop.database('back');
  await page.reload();
  await other.reload();
  for (const p of [page, other]) {
    await station(p, 'Motor');
    await saved(p);
  }
  await page.reload();
  await station(page, 'Motor');
  await expect(field(page, 'Power')).toHaveValue('0.6 hp');
  await expect(field(page, 'Amps')).toHaveValue('3.3 A');
});

test('what two closed windows left is found again, both of it', async ({ page, context, workshop }) => {
  const other = await twoWindows(page, context, workshop);
  const url = page.url();
  workshop.database('away');
  await field(page, 'Power').fill('0.6 hp');
  await expect(page.getByText('not saved, kept here')).toBeVisible();
  await field(other, 'Amps').fill('3.3 A');
  await expect(other.getByText('not saved, kept here')).toBeVisible();
  const again = await context.newPage();
  await page.close();
  await other.close();
  workshop.database('back');
  await again.goto(url);
  await station(again, 'Motor');
  await expect(field(again, 'Amps')).toHaveValue('3.3 A');
  await expect(field(again, 'Power')).toHaveValue('½ hp');
  await again.getByRole('button', { name: 'bring it in' }).click();
  await expect(field(again, 'Power')).toHaveValue('0.6 hp');
  await expect(field(again, 'Amps')).toHaveValue('3.3 A');
  await saved(again);
});

test('the server goes away and comes back while typing', async ({ page, workshop }) => {
  await workshop.loadDemo();
  await page.goto(await workshop.plan('Kick wheel, powered', 'B'));
  await station(page, 'Motor');
  await workshop.stop();
  await field(page, 'Power').fill('0.55 hp');
  await expect(page.getByText('not saved, kept here')).toBeVisible();
  await field(page, 'Amps').fill('3.1 A');
  await expect(page.getByText('The figures are from before')).toBeVisible();
  await workshop.start();
  await saved(page);
  // Nothing more is typed: 0.55 hp, 410 W, at 1750 rpm, 183.3 rad/s, is 2.24 N·m.
  await expect(page.getByRole('button', { name: /^Rated torque: 2.24/ }).first()).toBeVisible();
  await expect(page.getByText('The figures are from before')).toBeHidden();
  await page.reload();
  await station(page, 'Motor');
  await expect(field(page, 'Power')).toHaveValue('0.55 hp');
  await expect(field(page, 'Amps')).toHaveValue('3.1 A');
});

test('the database goes away while typing: figures still come, the save waits', async ({ page, workshop }) => {
  await workshop.loadDemo();
  await page.goto(await workshop.plan('Kick wheel, powered', 'B'));
  await station(page, 'Motor');
  workshop.database('away');
  await field(page, 'Power').fill('0.25 hp');
  await expect(page.getByText('The database is not answering', { exact: false })).toBeVisible();
  // A quarter horse, 186.4 W, at 1750 rpm, 183.3 rad/s, is 1.02 N·m.
  await expect(page.getByRole('button', { name: /^Rated torque: 1.02/ }).first()).toBeVisible();
  workshop.database('back');
  await saved(page);
});

test('a server started while the database is away says so, and works once it is back', async ({ page, workshop }) => {
  await workshop.loadDemo();
  await workshop.stop();
  workshop.database('away');
  await workshop.start('away');
  await page.goto(workshop.url);
  await expect(page.getByRole('alert')).toContainText('The database is not answering');
  workshop.database('back');
  await expect(page.getByRole('heading', { name: 'Cider mill' })).toBeVisible();
});

test('a draft of the version before, one for each plan, is found', async ({ page, workshop }) => {
  await workshop.loadDemo();
  const sheet = await workshop.sheet('Kick wheel, powered', 'B');
  const doc = {
    machine: sheet.machine,
    plan: { ...sheet.plan, motor: { ...sheet.plan.motor, origin: 'Typed last week' } }
  };
  await page.goto(workshop.url);
  await page.evaluate(([key, draft]) => localStorage.setItem(key, draft), [
    `jiriki.draft.${sheet.planId}`,
    JSON.stringify({ doc, planVersion: sheet.planVersion, machineVersion: sheet.machineVersion, tab: 'gone' })
  ] as const);
  await page.goto(await workshop.plan('Kick wheel, powered', 'B'));
  await station(page, 'Motor');
  await expect(page.getByLabel('Where it came from')).toHaveValue('Typed last week');
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
  const said = answers(page).getByRole('heading');
  const before = await said.allTextContents();
  const power = field(page, 'Power');
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
    await expect(said).toHaveText(before);
    await expect(answers(page)).toContainText('May it be powered? as before the entry that cannot be used');
  }
  await station(page, 'Supply');
  await page.getByRole('alert').getByRole('button', { name: 'Show it' }).click();
  await expect(power).toBeFocused();
  await power.fill('1/2 hp');
  await expect(power).not.toHaveAttribute('aria-invalid', 'true');
});

// A bare 25 is read in mm, even where inch is shown, and is too short for a cable.
test('an entry that cannot be used takes nothing away, on the sheet, in the shed or on the wall', async ({
  page,
  workshop
}) => {
  await workshop.loadDemo();
  const url = await workshop.plan('Kick wheel, powered', 'B');
  await page.goto(url);
  await page.getByRole('radio', { name: 'inch' }).click();
  await station(page, 'Supply');
  await page.getByLabel(/^Cable/).fill('25 mm');
  await saved(page);
  await page.reload();
  await expect(page.getByRole('tab', { name: /^Supply/ })).toBeVisible();
  await expect(page.getByRole('region', { name: 'Verdict' })).toContainText('One entry cannot be used.');
  await expect(page.getByRole('slider', { name: /^Reach of the spindle/ })).toBeVisible();
  await expect(page.getByRole('alert')).toContainText('The rest is worked out without.');
  await page.getByRole('alert').getByRole('button', { name: 'Show it' }).click();
  await expect(page.getByLabel(/^Cable/)).toBeFocused();
  await expect(page.getByLabel(/^Cable/)).toHaveAttribute('aria-invalid', 'true');

  await page.goto(`${url}/speed-plate`);
  await expect(page.getByText('Supply, cable, “25 mm”: must lie between', { exact: false })).toBeVisible();
  await expect(page.getByRole('rowheader', { name: 'Centring 4 kg' })).toBeVisible();
  await page.goto(`${workshop.url}/#/`);
  const row = page.getByRole('region', { name: 'Kick wheel, powered' });
  await expect(row.getByText('“25 mm” cannot be used', { exact: false })).toBeVisible();
  await expect(row.getByRole('link', { name: 'Open plan B of Kick wheel, powered' }).locator('svg')).toBeVisible();
});

// Whatever people call things, or do not, lists show every one of them.
test('equal and missing names blank nothing', async ({ page, workshop }) => {
  await workshop.loadDemo();
  const sheet = await workshop.sheet('Kick wheel, powered', 'B');
  const named = (name: string) => ({ ...sheet.machine.jobs[0], name, id: 'same' });
  await workshop.save(sheet, { jobs: ['Twice', 'Twice', '', ''].map(named) });
  for (const motor of [
    { ...sheet.plan.motor, name: 'Twin' },
    { ...sheet.plan.motor, name: 'Twin' },
    { ...sheet.plan.motor, name: '' },
    { ...sheet.plan.motor, name: '' }
  ])
    await workshop.shelve({ sort: 'motor', motor: { ...motor, origin: `from ${motor.name}` } });
  const drive = { ...sheet.plan.control, name: 'One drive' };
  for (let i = 0; i < 2; i++) await workshop.shelve({ sort: 'control', control: drive });

  const url = await workshop.plan('Kick wheel, powered', 'B');
  await page.goto(url);
  await station(page, 'Work');
  await expect(page.getByText('Twice', { exact: true }).first()).toBeVisible();
  await station(page, 'Motor');
  await page.getByRole('button', { name: 'rank the shelf for these jobs' }).click();
  const ranked = page.getByRole('region', { name: 'The shelf ranked' });
  await expect(ranked.locator('[data-candidate="Twin"]')).toHaveCount(2);
  await expect(ranked.getByRole('img', { name: /All-day torque/ })).toBeVisible();
  await page.getByRole('button', { name: 'back to the plan' }).click();
  await station(page, 'Control');
  await page.getByRole('button', { name: 'compare' }).first().click();
  await expect(page.locator('[data-control="phase-angle"]').filter({ hasText: 'One drive' })).toHaveCount(2);
  await page.goto(`${url}/speed-plate`);
  await expect(page.getByRole('rowheader', { name: 'Twice' })).toHaveCount(2);
  await expect(page.getByRole('rowheader', { name: 'Job without a name' })).toHaveCount(2);
  for (const paper of ['settings', 'build']) {
    await page.goto(`${url}/${paper}`);
    await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
  }
});

test('what hurts is stopped, and each stop is cleared at its field', async ({ page, workshop }) => {
  await workshop.loadDemo();
  await page.goto(await workshop.plan('Kick wheel, powered', 'B'));
  await station(page, 'Supply');
  const wet = page.getByRole('button', { name: 'Wet, and no residual-current device noted', exact: true });
  await page.getByLabel('Residual-current device', { exact: true }).selectOption('none');
  await expect(wet).toBeVisible();
  await page.getByLabel('Residual-current device', { exact: true }).selectOption('type A or F');
  await expect(wet).toHaveCount(0);
  await station(page, 'Work');
  await machineLimits(page);
  await page.getByLabel('Its load hangs').check();
  const hangs = page.getByRole('button', { name: 'Nothing holds the load when the motor lets go', exact: true });
  await expect(hangs).toBeVisible();
  await page.getByLabel('A brake grips it when the power is off').check();
  await expect(hangs).toHaveCount(0);
  await station(page, 'Control');
  await page.getByLabel('Speed told by').selectOption('0–10 V');
  const live = page.getByRole('button', { name: 'Its signal side is live', exact: true });
  await expect(live).toBeVisible();
  await live.click();
  await expect(page.getByLabel('An isolator keeps its signals apart from the mains')).toBeFocused();
  await page.getByLabel('An isolator keeps its signals apart from the mains').check();
  await expect(live).toHaveCount(0);
  await station(page, 'Motor');
  await page.getByRole('button', { name: 'more of the plate' }).click();
  await page.getByLabel('Enclosure').fill('IP 21');
  await page.getByRole('button', { name: 'less of the plate' }).click();
  // A finding opens the rest of the plate where its field stands.
  await page.getByRole('button', { name: 'Wet, and the motor is not known to keep water out', exact: true }).click();
  await expect(page.getByLabel('Enclosure')).toBeFocused();
});
