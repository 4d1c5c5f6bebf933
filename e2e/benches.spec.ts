import { answers, expect, field, find, machineLimits, moreOfJob, saved, station, test } from './workshop';

test('a job is weighed with a spring scale, breakaway apart from running', async ({ page, workshop }) => {
  await workshop.loadDemo();
  await page.goto(await workshop.plan('Power hacksaw', 'A'));
  await station(page, 'Work');
  await page.getByRole('button', { name: 'add a job' }).click();
  await page.getByLabel('Job', { exact: true }).last().fill('Thick bar');
  await page.getByLabel('Slowest').last().fill('60');
  await page.getByLabel('Fastest').last().fill('110');
  await moreOfJob(page);
  await page.getByLabel('Wanted of its speeds').last().selectOption('one speed will do');
  await page.getByLabel('Load found by').last().selectOption('weighed with a spring scale');
  await expect(
    page.getByRole('button', { name: 'Still to be entered: Thick bar is not filled in' }).first()
  ).toBeVisible();
  await page.getByLabel('Hooked at radius').fill('100 mm');
  await page.getByLabel('Pulls that keep it moving, reading 1').fill('8 kg');
  await page.getByLabel('Pulls that keep it moving, reading 2').fill('10 kg');
  await page.getByLabel('Pulls that just start it, reading 1').fill('150 kg');
  // Nine kilograms at 100 mm is 8.83 N·m; 150 to start it is 147, and the motor starts with 5.83 × 21.9 × 0.93 = 119.
  await expect(page.getByRole('button', { name: /^Thick bar: torque: 8.83/ })).toBeVisible();
  await expect(page.getByRole('button', { name: 'Thick bar: will not start it', exact: true })).toBeVisible();
  await page.getByLabel('Pulls that just start it, reading 1').fill('12 kg');
  await expect(answers(page)).toContainText('4 of 4');
  await page.getByLabel('Hooked at radius').fill('1 furlong');
  await expect(page.getByText('is no unit of length', { exact: false })).toBeVisible();
  await page.getByLabel('Hooked at radius').fill('4 in');
  await saved(page);
  await page.reload();
  await station(page, 'Work');
  await page.getByText('Thick bar', { exact: true }).first().click();
  await expect(page.getByLabel('Hooked at radius')).toHaveValue('4 in');
});

test('a motor comes from the shelf, is undone, and goes onto it', async ({ page, workshop }) => {
  await workshop.loadDemo();
  await page.goto(await workshop.plan('Kick wheel, powered', 'B'));
  await station(page, 'Motor');
  await page.getByRole('button', { name: /swap from shelf \(9\)/ }).click();
  await page
    .getByRole('listitem')
    .filter({ hasText: 'Walking-machine motor' })
    .getByRole('button', { name: 'Use it' })
    .click();
  await expect(page.getByLabel('Power', { exact: true })).toHaveValue('2.2 hp');
  // 2.2 hp is a peak: 0.7 of it is 1.15 kW, and at 4100 rpm that is 2.67 N·m.
  await expect(page.getByRole('button', { name: /^Rated torque: 2.67/ }).first()).toBeVisible();
  await expect(page.getByRole('button', { name: 'Peak rating on the plate' })).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByLabel('Power', { exact: true })).toHaveValue('½ hp');
  await page.getByRole('button', { name: /swap from shelf/ }).click();
  await page.getByRole('button', { name: "Put this plan's motor on the shelf" }).click();
  await expect(page.getByText('Put on the shelf.')).toBeVisible();
  await page.getByRole('button', { name: 'Remove ½ hp, ex grain dryer from the shelf' }).click();
  await page.getByRole('button', { name: 'Put back ½ hp, ex grain dryer' }).click();
  await expect(page.getByRole('dialog').getByRole('listitem')).toHaveCount(10);
});

test('a plate with half of it missing says what to measure, and a reading fills it', async ({ page, workshop }) => {
  await workshop.loadDemo();
  await page.goto(await workshop.plan('Kick wheel, powered', 'A'));
  await station(page, 'Motor');
  await page.getByLabel('Speed', { exact: true }).fill('');
  // Its body gives a guess, drawn as a band; without the body there is nothing to go by.
  await expect(page.getByRole('button', { name: 'Speed is a guess from the body' })).toBeVisible();
  await expect(page.getByText('all day, give or take 35 %')).toBeVisible();
  await page.getByLabel('Diameter', { exact: true }).fill('');
  await expect(page.getByText("Speed at the plate's volts").first()).toBeVisible();
  await expect(answers(page)).toContainText('Does it do the jobs? Not known yet');
  await expect(page.getByText('The reach is drawn once the line is complete.')).toBeVisible();
  await page.getByRole('button', { name: 'add a reading' }).click();
  await page.getByLabel('Reading', { exact: true }).selectOption('volts at open leads, spun');
  await page.getByLabel('Volts', { exact: true }).last().fill('74.4 V');
  await page.getByLabel('spun at').fill('820');
  await expect(answers(page)).not.toContainText('Does it do the jobs? Not known yet');
  await page.getByLabel('Amps', { exact: true }).fill('');
  await expect(answers(page)).not.toContainText('Does it do the jobs? Not known yet');
  await saved(page);
});

test('a cone is built, and the drawing and positions follow', async ({ page, workshop }) => {
  await workshop.loadDemo();
  await page.goto(await workshop.plan('Kick wheel, powered', 'A'));
  await station(page, 'Reduction');
  await page.getByRole('button', { name: 'add a step (cone)' }).click();
  await expect(
    page.getByRole('button', { name: 'Still to be entered: A pulley size is missing' }).first()
  ).toBeVisible();
  await page.getByLabel('on the driving shaft').last().fill('70 mm');
  await page.getByLabel('on the driven').last().fill('212 mm');
  await expect(page.getByRole('group', { name: 'Step drawn' })).toBeVisible();
  await page.getByRole('group', { name: 'Step drawn' }).getByRole('button', { name: '2' }).click();
  await expect(page.getByRole('region', { name: /^Reduction, end on/ }).getByText('⌀ 70 mm')).toBeVisible();
  await expect(page.getByRole('button', { name: /^Ratio, step 2: 3.06/ })).toBeVisible();
  await page.getByLabel('Between shafts').fill('120 mm');
  await expect(page.getByText('would touch', { exact: false })).toBeVisible();
  await page.getByRole('button', { name: 'Remove step 2 of stage 1' }).click();
  await page.getByLabel('Between shafts').fill('220 mm');
  await expect(page.getByRole('group', { name: 'Step drawn' })).toHaveCount(0);
  await saved(page);
});

test('three plans of a machine are made, told apart and moved between', async ({ page, workshop }) => {
  await workshop.loadDemo();
  await page.goto(workshop.url);
  const row = page.getByRole('region', { name: 'Kick wheel, powered', exact: true });
  await row.getByRole('button', { name: 'add a plan' }).click();
  await expect(page.getByRole('heading', { name: /plan C$/ })).toBeVisible();
  await station(page, 'Control');
  await page.getByLabel('Kind', { exact: true }).selectOption('Inverter, three-phase out');
  await saved(page);
  await page.getByRole('tab', { name: /^Control/ }).focus();
  await find(page, 'Plan B');
  await expect(page.getByRole('heading', { name: /plan B, Two belts$/ })).toBeVisible();
  await page.goto(workshop.url);
  await expect(row.getByRole('link', { name: 'Open plan C' })).toBeVisible();
});

test('hot and thin air takes from the reach, and a bare height is in the unit beside it', async ({
  page,
  workshop
}) => {
  await workshop.loadDemo();
  await page.goto(await workshop.plan('Cider mill', 'A'));
  await station(page, 'Work');
  await machineLimits(page);
  await expect(page.getByLabel('Hottest')).toHaveCount(0);
  await page.getByLabel('Over 40 °C?').selectOption('yes');
  await page.getByLabel('Hottest').fill('122 °F');
  await page.getByLabel('Above the sea').fill('1500 mm');
  await expect(page.getByText(/must lie between 10\sm and 6000\sm/)).toBeVisible();
  await page.getByLabel('Above the sea').fill('1500');
  await expect(page.getByLabel('Above the sea')).toHaveValue('1500');
  await page.getByLabel('Above the sea').blur();
  await expect(page.getByLabel('Above the sea')).toHaveValue('1500 m');
  await page.getByRole('button', { name: 'The air is hotter than motors are rated for', exact: true }).click();
  await expect(
    page.getByText(/the motor holds 91\s?% of its torque all day, and the drive gives 76\s?% of its amps/)
  ).toBeVisible();
  await expect(page.getByRole('button', { name: /^What the air leaves of its torque: 91/ })).toBeVisible();
});

test('a figure typed over another is in the other’s unit', async ({ page, workshop }) => {
  await workshop.loadDemo();
  await page.goto(await workshop.plan('Kick wheel, powered', 'B'));
  await station(page, 'Motor');
  const power = field(page, 'Power');
  await expect(power).toHaveValue(/hp$/);
  await power.fill('3/4');
  await power.blur();
  await expect(power).toHaveValue('3/4 hp');
  await power.fill('0.4 kW');
  await power.blur();
  await power.fill('0.6');
  await power.blur();
  await expect(power).toHaveValue('0.6 kW');
  await power.fill('');
  await power.blur();
  await power.fill('300');
  await power.blur();
  await expect(power).toHaveValue('300 W');
});

test('a plate is typed in one line and goes to its blanks at one press', async ({ page, workshop }) => {
  await workshop.loadDemo();
  await page.goto(await workshop.plan('Kick wheel, powered', 'B'));
  await station(page, 'Motor');
  await page.getByText('type the plate in one line').click();
  await page.getByLabel('Its plate, as it reads').fill('3~ 1.3 kW 940 rpm 230/400 V 5.8/3.4 A 50 Hz');
  await page.getByRole('button', { name: 'put it on the plate' }).click();
  await expect(page.getByLabel('Kind of motor')).toHaveValue('induction-3');
  await expect(field(page, 'Power')).toHaveValue('1.3 kW');
  await expect(field(page, 'Speed')).toHaveValue('940 rpm');
  await expect(field(page, 'Volts').first()).toHaveValue('230/400 V');
  await expect(page.getByLabel('Its plate, as it reads')).toHaveValue('');
});
