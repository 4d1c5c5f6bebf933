import { expect, field, answers, machineLimits, station, test } from './workshop';

test.use({ locale: 'en-US' });

/** Counts what a person does: a click, a field filled in, a choice made. */
const counter = () => {
  let steps = 0;
  return {
    step: async (does: Promise<unknown>) => {
      steps++;
      await does;
    },
    taken: () => steps
  };
};
const mostSteps = 7;

test('a potter with a washing machine’s motor has an honest verdict on the jobs within seven steps', async ({
  page,
  workshop
}) => {
  const { step, taken } = counter();
  await page.goto(workshop.url);
  await step(page.getByRole('button', { name: "Kick wheel + washing machine's motor" }).click());
  await expect(page.getByLabel('Its plate, as it reads')).toBeFocused();
  await step(page.getByLabel('Its plate, as it reads').fill('1/2 hp, 1725 rpm, 115 V, 8.2 A'));
  await step(page.getByLabel('Pulleys, gears or a ratio').fill('2 1/4 in driving 20 in, 17 in apart'));
  await expect(page.getByText('Read: V belt · 2 1/4 in · 20 in · 17 in.')).toBeVisible();
  await step(page.getByRole('button', { name: 'Add it' }).click());
  // One speed on the line cannot cover a potter's band: that is said, and not that something is missing.
  await expect(answers(page)).toContainText(/Does it do the jobs\? 0 of 3\. Centring: not (fast|slow) enough/);
  await expect(answers(page)).toContainText('May it be powered? No');
  expect(taken()).toBeLessThanOrEqual(mostSteps);
});

test('a lathe owner with a three-phase motor has an honest verdict on the jobs within seven steps', async ({
  page,
  workshop
}) => {
  const { step, taken } = counter();
  await page.goto(workshop.url);
  await step(page.getByLabel('Machine', { exact: true }).fill('Bench lathe'));
  await expect(page.getByLabel('Kind', { exact: true })).toHaveValue('lathe');
  await step(page.getByLabel('Its plate, as it reads').fill('3~, 1.5 hp, 1740 rpm, 230 V, 4.3 A, 60 Hz'));
  await expect(page.getByLabel('Its kind')).toHaveValue('induction-3');
  await step(page.getByLabel('Pulleys, gears or a ratio').fill('3 in driving 9 in, 16 in apart'));
  await step(page.getByLabel('From').selectOption({ label: 'a large outlet, 240 V 60 Hz' }));
  await step(page.getByLabel('Through').selectOption({ label: 'Inverter' }));
  await step(page.getByRole('button', { name: 'Add it' }).click());
  await expect(answers(page)).toContainText(/Does it do the jobs\? 0 of 3\. Facing steel, large: short by \d+/);
  await expect(answers(page).getByRole('button', { name: 'look for a better reduction' })).toBeVisible();
  expect(taken()).toBeLessThanOrEqual(mostSteps);
});

test('a belt grinder on a magnet motor is told how likely it is, and to weigh it, within seven steps', async ({
  page,
  workshop
}) => {
  const { step, taken } = counter();
  await page.goto(workshop.url);
  await step(page.getByRole('button', { name: 'Belt grinder + treadmill motor' }).click());
  await step(page.getByLabel('Its plate, as it reads').fill('2.6 hp, 4600 rpm, 130 V, 17.5 A, continuous duty'));
  await step(page.getByLabel('Pulleys, gears or a ratio').fill('4 in driving 3 1/2 in, 12 in apart'));
  await step(page.getByRole('button', { name: 'Add it' }).click());
  await expect(answers(page)).toContainText(/Does it do the jobs\? Not known yet: (×|short by).* so far/);
  const wants = (name: string) => answers(page).getByRole('button', { name: `Still to be entered: ${name}` });
  await step(wants('Amps the drive can give for ever').first().click());
  await step(page.keyboard.type('20'));
  await expect(answers(page)).toContainText(/Does it do the jobs\? Not known yet: likely (×|short by)/);
  await expect(answers(page)).toContainText('By a usual load and wheel.');
  await expect(wants('Belt at full bite: weigh its load')).toBeVisible();
  expect(taken()).toBeLessThanOrEqual(mostSteps);
});

test('a name that tells no kind leaves it blank, and so does the plan', async ({ page, workshop }) => {
  await page.goto(workshop.url);
  await page.getByLabel('Machine', { exact: true }).fill('Kick wheel');
  await expect(page.getByLabel('Kind', { exact: true })).toHaveValue('potters-wheel');
  await page.getByLabel('Machine', { exact: true }).fill('The green one');
  await expect(page.getByLabel('Kind', { exact: true })).toHaveValue('');
  await page.getByRole('button', { name: 'Add it' }).click();
  await expect(answers(page)).toContainText('No job is put in yet');
  await expect(
    page.getByRole('button', { name: 'Still to be entered: What sort of machine is it?' }).first()
  ).toBeVisible();
});

test('what the browser tells is said in one line, and everything follows it: inches, words, money', async ({
  page,
  workshop
}) => {
  await page.goto(workshop.url);
  const habits = page.getByRole('region', { name: 'Units, region and money' });
  await expect(habits.getByLabel('Units')).toHaveValue('inch');
  await expect(habits.getByLabel('Region')).toHaveValue('north-america');
  await expect(habits.getByLabel('Money')).toHaveValue('$');
  await habits.getByRole('button', { name: 'That is right' }).click();
  await expect(habits).toHaveCount(0);
  await page.reload();
  await expect(page.getByRole('heading', { name: 'Will this motor do what the machine must?' })).toBeVisible();
  await expect(habits).toHaveCount(0);

  await page.getByLabel('Machine', { exact: true }).fill('Old lathe');
  await page.getByRole('button', { name: 'Add it' }).click();
  await station(page, 'Work');
  // A bare number is read in the unit beside it, and shown as it was read.
  await machineLimits(page);
  const largest = field(page, 'Largest that turns');
  await largest.fill('13 1/2');
  await expect(largest).toHaveValue('13 1/2');
  await largest.blur();
  await expect(largest).toHaveValue('13 1/2 in');
  await page.getByText('Facing steel, large', { exact: true }).first().click();
  await expect(field(page, 'Smallest diameter').first()).toHaveValue(/^1 \d+\/16 in$/);
  await expect(field(page, 'Depth of cut').first()).toHaveValue(/ in$/);
  await station(page, 'Supply');
  await expect(page.getByLabel(/are grounded$/)).toBeVisible();
  await field(page, 'Volts at the outlet').fill('120');
  await field(page, 'Hertz').fill('60');
  const cable = page.getByLabel('Cable, one way');
  await cable.fill('40');
  await cable.blur();
  await expect(cable).toHaveValue('40 ft');
  await page.getByLabel('Its conductor').fill('14');
  await page.getByLabel('Its conductor').blur();
  await expect(page.getByLabel('Its conductor')).toHaveValue('14 AWG');
  await station(page, 'Reduction');
  await page.getByRole('button', { name: 'add a stage' }).click();
  await page.getByLabel('on the driving shaft').fill('3');
  await page.getByLabel('on the driven').fill('10');
  await page.getByLabel('on the driven').blur();
  await expect(page.getByLabel('on the driven')).toHaveValue('10 in');
  await expect(page.getByRole('group', { name: 'Wheels to put on' })).toContainText('3.5 in');
  await page.goto(`${workshop.url}/#/shelf`);
  await page.getByRole('button', { name: 'Add a motor' }).click();
  await page.getByLabel('What is the motor called?').fill('Barn motor');
  await page.getByRole('button', { name: 'Keep it' }).click();
  await field(page, 'Cost').fill('15');
  await field(page, 'Cost').blur();
  await expect(field(page, 'Cost')).toHaveValue('$15');
});

test('units, region and money are changed in the menu, and the page follows', async ({ page, workshop }) => {
  await workshop.loadDemo();
  await page.goto(await workshop.plan('Kick wheel, powered', 'A'));
  await expect(page.getByRole('heading', { name: /^torque at the spindle, lbf·ft/i })).toBeVisible();
  await page.getByRole('button', { name: 'more ▾' }).click();
  await page.getByRole('menuitem', { name: /^Units: inch/ }).click();
  await page.getByRole('menuitemradio', { name: 'metric' }).click();
  await page.keyboard.press('Escape');
  await page.keyboard.press('Escape');
  await expect(page.getByRole('heading', { name: /^torque at the spindle, N·m/i })).toBeVisible();
});

test('the first screen’s pulley is dragged and the verdict follows; nothing of it is kept', async ({
  page,
  workshop
}) => {
  await page.goto(workshop.url);
  const pulley = page.getByRole('slider', { name: 'Pulley on the spindle' });
  await expect(page.getByText(/Big pots: short by/)).toBeVisible();
  const before = await page.getByText(/Big pots: (short|just|×)/).textContent();
  const box = await pulley.boundingBox();
  if (!box) throw new Error('no pulley');
  const from = Number(await pulley.getAttribute('aria-valuenow'));
  await page.mouse.move(box.x + box.width * 0.75, box.y + box.height / 2);
  await page.mouse.down();
  await page.mouse.move(box.x + box.width * 0.88, box.y + box.height / 2, { steps: 6 });
  await page.mouse.up();
  await expect.poll(async () => Number(await pulley.getAttribute('aria-valuenow'))).toBeGreaterThan(from);
  await expect(page.getByText(/Big pots: (short|just|×)/)).not.toHaveText(before ?? '');
  const dragged = Number(await pulley.getAttribute('aria-valuenow'));
  await pulley.press('PageDown');
  await expect(pulley).toHaveAttribute('aria-valuenow', String(dragged - 40));
  await page.reload();
  await expect(pulley).toHaveAttribute('aria-valuenow', String(from));
  await expect(page.getByRole('region', { name: 'Kick wheel, powered' })).toHaveCount(0);
});

test('a special word tells what it means where it is focused or pointed at', async ({ page, workshop }) => {
  await workshop.loadDemo();
  await page.goto(await workshop.plan('Kick wheel, powered', 'A'));
  await station(page, 'Control');
  await field(page, 'Current limit as set').focus();
  await expect(page.getByText('The most amps a drive lets through', { exact: false })).toBeVisible();
  await page.keyboard.press('Escape');
  await page.getByRole('tab', { name: /^Reduction/ }).hover();
  await expect(page.getByText('What stands between motor and spindle', { exact: false })).toBeVisible();
});
