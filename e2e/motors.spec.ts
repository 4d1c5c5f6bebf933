import { expect, saved, station, test, moreOfJob } from './workshop';

test('a motor with no plate at all: named, read twice, ranked and chosen', async ({ page, workshop }) => {
  await workshop.loadDemo();
  await page.goto(`${workshop.url}/#/what-is-it`);
  await page.getByLabel('It came out of').selectOption('Floor scrubber or polisher');
  // As a person would, with a motor of two leads, brushes and magnets whose inside cannot be seen.
  const seen: Record<string, string> = {
    'Are there brushes?': 'Yes, two or four carbon brushes',
    'Twist the two thickest leads together: is the shaft stiffer to turn?': 'Clearly stiffer',
    'How many thick leads come out?': 'Two',
    'Is there a capacitor?': 'None'
  };
  const next = page.getByRole('region', { name: 'Next look' });
  const answer = page.getByRole('region', { name: 'Answer' });
  await expect(next.or(answer)).toBeVisible();
  for (let asked = 0; asked < 8 && !(await answer.isVisible()); asked++) {
    const question = (await next.getByRole('heading').textContent()) ?? '';
    await next.getByRole('button', { name: seen[question] ?? "Can't tell" }).click();
    await expect(answer.or(next.getByRole('heading').filter({ hasNotText: question }))).toBeVisible();
  }
  await expect(answer.getByRole('heading')).toHaveText('It is: direct current, permanent magnet');
  await expect(page.getByRole('list', { name: 'Kinds it may be' })).toContainText('It has brushes');
  await page.getByRole('button', { name: 'Put it on the shelf as that' }).click();

  // Two bench readings in place of a plate.
  await expect(page.getByRole('heading', { name: /ex floor scrubber/ })).toBeVisible();
  await page.getByLabel('Volts', { exact: true }).fill('180 V');
  await page.getByLabel('Amps', { exact: true }).fill('5 A');
  await page.getByRole('button', { name: 'Put it in' }).click();
  await page.getByLabel('Volts', { exact: true }).last().fill('72 V');
  await page.getByLabel('spun at').fill('800 rpm');
  await expect(page.getByRole('list', { name: 'Constants from the readings' })).toContainText('0.859');
  await page.getByRole('button', { name: 'add a reading' }).click();
  await page.getByLabel('Reading', { exact: true }).last().selectOption('ohms at a rotor position');
  await page.getByLabel('Ohms, leads off').fill('3.1 Ω');
  await expect(page.getByRole('list', { name: 'Constants from the readings' })).toContainText('3.1');
  // 180 V × 5 A × 0.75 is 675 W, at (180 − 15.5) ÷ 0.859 rad/s: 3.53 N·m.
  await expect(page.getByRole('button', { name: /^Rated torque: 3.53/ })).toBeVisible();
  await saved(page);

  await page.goto(await workshop.plan('Kick wheel, powered', 'A'));
  await station(page, 'Motor');
  await page.getByRole('button', { name: 'rank the shelf for these jobs' }).click();
  const ours = page.getByRole('listitem').filter({ hasText: 'ex floor scrubber or polisher' }).first();
  await expect(ours).toContainText('3 of 3 jobs');
  await ours.getByLabel('side by side').check();
  await page.getByRole('radio', { name: 'same ratio' }).click();
  await expect(page.getByRole('img', { name: /All-day torque at the spindle of .*ex floor scrubber/ })).toBeVisible();
  await ours.getByRole('button', { name: 'use it in this plan' }).click();
  await expect(page.getByRole('tab', { name: /^Motor/i })).toContainText('ex floor scrubber or polisher');
  await saved(page);
  await page.keyboard.press('Control+z');
  await expect(page.getByRole('tab', { name: /^Motor/i })).not.toContainText('polisher');
});

test('a plate that lies is caught, and what it hides is said', async ({ page, workshop }) => {
  await workshop.loadDemo();
  await page.goto(await workshop.plan('Kick wheel, powered', 'B'));
  await station(page, 'Motor');
  const finding = (name: string | RegExp) =>
    page.getByRole('region', { name: 'Verdict' }).getByRole('button', { name });
  await page.getByLabel('Power', { exact: true }).fill('2.5 hp');
  // 180 V × 2.8 A is 504 W in, 428 W out at the best.
  await expect(finding("The amps cannot carry the plate's 1.86 kW")).toBeVisible();
  await expect(page.getByText('504 W going in, so 428 W out at the very best')).toBeVisible();
  await page.getByLabel('Amps', { exact: true }).fill('10 A');
  await page.getByLabel('Rating').selectOption('peak, duty');
  await expect(finding('Peak rating on the plate')).toBeVisible();
  await page.getByLabel('Rating').selectOption('part of the time');
  await page.getByLabel('Duty').fill('S3 40 %');
  // √0.4 of 1864 W is 1.18 kW.
  await expect(page.getByText('Counted as 1.18 kW for hours of work')).toBeVisible();

  await page.getByLabel('Kind of motor').selectOption('Three-phase induction');
  await page.getByLabel('Rating').selectOption('all day');
  await page.getByLabel('Power', { exact: true }).fill('0.75 kW');
  await page.getByLabel('Volts', { exact: true }).first().fill('230/400 V');
  await page.getByLabel('Amps', { exact: true }).fill('3.3/1.9 A');
  await page.getByLabel('Hertz', { exact: true }).fill('50 Hz');
  await page.getByLabel('Speed', { exact: true }).first().fill('1498 rpm');
  await expect(finding(/^Slip of 0.13 % is suspicious/)).toBeVisible();
  await page.getByLabel('Speed', { exact: true }).first().fill('1400 rpm');
  await page.getByText(/checked and sound$/).click();
  await expect(finding(/^Linked for 230 V here/)).toBeVisible();
  await page.getByLabel('Links set for').selectOption('higher volts');
  await expect(finding(/^Linked for 400 V here/)).toBeVisible();
});

test('a grinder with no wheel marking is stopped until it has one', async ({ page, workshop }) => {
  await page.goto(workshop.url);
  await page.getByLabel('Machine', { exact: true }).fill('Sharpening stone');
  await page.getByLabel('Kind', { exact: true }).selectOption('Grinder');
  await page.getByRole('button', { name: 'Add it' }).click();
  await expect(page.getByText('Sharpening', { exact: true }).first()).toBeVisible();
  const stop = page.getByRole('listitem').filter({ has: page.getByRole('img', { name: 'Stop' }) });
  await expect(stop.filter({ hasText: 'No speed marked on the wheel' })).toBeVisible();
  await page.getByRole('button', { name: 'No speed marked on the wheel', exact: true }).click();
  await expect(page.getByLabel('Marked on wheel, chuck or disc')).toBeFocused();
  await page.keyboard.type('2850 rpm');
  await expect(stop.filter({ hasText: 'No speed marked on the wheel' })).toHaveCount(0);
  await expect(page.getByText('Wheels burst')).toHaveCount(0);
  await saved(page);
});

test('jobs by their methods: a cut, the old motor, an inertia, and a slip in units', async ({ page, workshop }) => {
  await page.goto(workshop.url);
  await page.getByLabel('Machine', { exact: true }).fill('Big lathe');
  await page.getByRole('button', { name: 'Add it' }).click();
  await page.getByText('Facing steel, large', { exact: true }).first().click();
  // S235 with 1 × 0.12 mm: 1780 × 0.12^−0.17 × 0.12 mm² is 306 N, at 75 mm 23 N·m.
  await expect(page.getByRole('button', { name: /^Facing steel, large: torque: 23.N·m/ })).toBeVisible();
  await expect(
    page.getByRole('button', { name: /^Facing steel, large: removal rate: 3.6.cm³\/min, 0.22.in³\/min/ })
  ).toBeVisible();
  await page.getByLabel('Depth of cut').first().fill('2 mm');
  await expect(page.getByRole('button', { name: /^Facing steel, large: torque: 45.9/ })).toBeVisible();
  await page.getByLabel('Load found by').first().selectOption('the motor it had');
  await page.getByLabel("Old motor's power").fill('1/2 hp');
  await page.getByLabel('at', { exact: true }).fill('1425 rpm');
  await page.getByRole('button', { name: 'add a position' }).click();
  await page.getByLabel('On the motor').fill('60 mm');
  await page.getByLabel('on the spindle', { exact: true }).fill('240 mm');
  // 373 W × 0.95 at 356 rpm is 9.49 N·m.
  await expect(page.getByRole('button', { name: /^Facing steel, large: torque: 9.49/ })).toBeVisible();
  await page.getByLabel('Load found by').first().selectOption('worked out from the cut');
  await expect(page.getByLabel('Depth of cut').first()).toHaveValue('2 mm');
  await page.getByLabel('Load found by').first().selectOption('torque, as known');
  await moreOfJob(page);
  await page.getByLabel('Speed from').first().selectOption('turns per minute');
  await page.getByLabel('Slowest').first().fill('20 rev/s');
  await page.getByLabel('Torque at the spindle').first().fill('90 N·m');
  await page.getByLabel('Power, if you have it').first().fill('1800 W');
  await expect(page.getByRole('button', { name: /divided by turns\?/ })).toBeVisible();
  await expect(page.getByText('is 14.3 N·m, not 90', { exact: false })).toBeVisible();
  await saved(page);
});

test('the shelf: a part with a picture, undone, taken off and put back; leads and capacitor judged', async ({
  page,
  workshop
}) => {
  await page.goto(`${workshop.url}/#/shelf`);
  await page.getByRole('button', { name: 'Add a motor' }).click();
  // Called by its plate, it has the plate's entries; what none was made of is said.
  const called = 'Sluice motor, 0.6 kW, 925 rpm, 14 kg';
  await page.getByLabel('What is the motor called?').fill(called);
  await expect(page.getByText('Read: 0.6 kW · 925 rpm. Not read: 14 kg.')).toBeVisible();
  await page.getByRole('button', { name: 'Keep it' }).click();
  await expect(page.getByLabel('Name', { exact: true })).toHaveValue(called);
  await expect(page.getByLabel('Power', { exact: true })).toHaveValue('0.6 kW');
  await page.getByLabel('Lies').fill('Top shelf');
  await page.getByLabel('Cost').fill('a pint');
  await expect(page.getByText('write it as a number', { exact: false })).toBeVisible();
  await page.getByLabel('Cost').fill('£12');
  await expect(page.getByText('write it as a number', { exact: false })).toHaveCount(0);
  const picture = await page.screenshot({ clip: { x: 0, y: 0, width: 400, height: 300 } });
  await page.getByLabel('Add pictures').setInputFiles({ name: 'motor.png', mimeType: 'image/png', buffer: picture });
  await expect(page.getByRole('img', { name: 'Picture 1' })).toBeVisible();
  await page
    .getByLabel('Add pictures')
    .setInputFiles({ name: 'notes.jpg', mimeType: 'image/jpeg', buffer: Buffer.from('no picture') });
  await expect(page.getByRole('alert')).toContainText('not a JPEG, PNG or WebP');
  await saved(page);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByLabel('Cost')).toHaveValue('');
  await page.getByRole('button', { name: 'Redo' }).click();
  await expect(page.getByLabel('Cost')).toHaveValue('£12');
  await saved(page);
  await page.reload();
  await expect(page.getByLabel('Lies')).toHaveValue('Top shelf');
  await expect(page.getByRole('img', { name: 'Picture 1' })).toBeVisible();
  await page.getByRole('button', { name: 'take it off the shelf' }).click();
  await page.getByRole('button', { name: 'Put it back' }).click();
  await expect(page.getByRole('link', { name: /Sluice motor/ })).toBeVisible();

  await page.getByRole('link', { name: 'what holds what' }).click();
  await page.getByLabel('Where you are').selectOption('North America');
  await page.getByLabel('Machine, motor or part').fill('washing machine, belt');
  await expect(page.getByText('Split-phase, resistance start; else')).toBeVisible();

  await page.goto(`${workshop.url}/#/what-is-it`);
  await page.getByRole('radio', { name: 'which lead is which' }).click();
  for (const [i, ohms] of ['4.2', '14', '18'].entries()) await page.getByLabel(`Ohms, reading ${i + 1}`).fill(ohms);
  await page.getByRole('button', { name: 'Sort the leads' }).click();
  await expect(page.getByText('black is common, red is run, white is start.')).toBeVisible();
  await page.getByLabel('Ohms, reading 2').fill('soup');
  await page.getByRole('button', { name: 'Sort the leads' }).click();
  await expect(page.getByText('no number found', { exact: false })).toBeVisible();
  await page.getByRole('radio', { name: 'capacitor and switch' }).click();
  await page.getByLabel('It is for').selectOption('running');
  await page.getByLabel('Made as').selectOption('black round can');
  await page.getByRole('button', { name: 'Judge it' }).click();
  await expect(page.getByText('An electrolytic must not stay in circuit')).toBeVisible();
});

test('a motor named for a plan comes to its sheet as a change that can be undone', async ({ page, workshop }) => {
  await workshop.loadDemo();
  await page.goto(await workshop.plan('Kick wheel, powered', 'B'));
  await station(page, 'Motor');
  await page.getByRole('link', { name: 'what is it?' }).click();
  await page.getByRole('button', { name: 'Direct volts' }).click();
  await page.getByRole('button', { name: 'Smooth curved magnets' }).click();
  await page.getByRole('button', { name: 'Use it in plan B of Kick wheel, powered' }).click();
  await expect(page.getByLabel('Kind of motor')).toHaveValue('pm-dc');
  await expect(page.getByLabel('Power', { exact: true })).toHaveValue('');
  await saved(page);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByLabel('Power', { exact: true })).toHaveValue('½ hp');
  await saved(page);
});

test('an answer is changed, another question asked, and a motor left unsettled says so', async ({ page, workshop }) => {
  await page.goto(`${workshop.url}/#/what-is-it`);
  const next = page.getByRole('region', { name: 'Next look' });
  const kinds = page.getByRole('list', { name: 'Kinds it may be' });
  await expect(next.getByRole('heading')).toHaveText('What does the plate say of its supply?');
  await next.getByRole('button', { name: 'One phase of mains' }).click();
  await expect(kinds).toContainText('The plate asks for mains with its hertz.');
  await page.getByRole('button', { name: 'Change: What does the plate say of its supply?' }).click();
  await expect(next.getByRole('heading')).toHaveText('What does the plate say of its supply?');
  // By key: the fourth answer is direct volts.
  await page.keyboard.press('4');
  await expect(kinds.getByRole('listitem').first()).toContainText('Direct current, permanent magnet');
  await page.getByText('ask something else instead').click();
  await page.getByRole('button', { name: 'How many thick leads come out?' }).click();
  await next.getByRole('button', { name: 'Four to six' }).click();
  await expect(kinds.getByRole('listitem').first()).toContainText('Direct current, wound field');
  await page.getByRole('button', { name: 'start over' }).click();
  await expect(next.getByRole('heading')).toHaveText('What does the plate say of its supply?');
  // One who can tell nothing is told what is most common, and that it is no more than that.
  const answer = page.getByRole('region', { name: 'Answer' });
  for (let asked = 0; asked < 14 && !(await answer.isVisible()); asked++) {
    const question = (await next.getByRole('heading').textContent()) ?? '';
    await page.keyboard.press('0');
    await expect(answer.or(next.getByRole('heading').filter({ hasNotText: question }))).toBeVisible();
  }
  await expect(answer.getByRole('heading')).toContainText('It is most likely');
});

test('the ranking says why a motor was not tried, and two windows on the shelf do not overwrite each other', async ({
  page,
  context,
  workshop
}) => {
  await workshop.loadDemo();
  await page.goto(`${workshop.url}/#/shelf`);
  await page.getByRole('button', { name: 'Add a motor' }).click();
  await page.getByLabel('What is the motor called?').fill('Mystery');
  await page.getByRole('button', { name: 'Keep it' }).click();
  await expect(page.getByLabel('Name', { exact: true })).toHaveValue('Mystery');
  await saved(page);
  const other = await context.newPage();
  await other.goto(page.url());
  await other.getByLabel('Lies').fill('Here');
  await saved(other);
  await page.getByLabel('Lies').fill('There');
  const told = page.getByRole('alert', { name: 'Changed elsewhere' });
  await expect(told).toContainText('there Here');
  await expect(page.getByLabel('Lies')).toHaveValue('There');
  await other.close();

  await page.goto(await workshop.plan('Cider mill', 'A'));
  await station(page, 'Motor');
  await page.getByRole('button', { name: 'rank the shelf for these jobs' }).click();
  const mystery = page.getByRole('listitem').filter({ hasText: 'Mystery' });
  await expect(mystery).toContainText('Not tried: What kind of motor is it?');
  await expect(page.getByRole('listitem').filter({ hasText: 'ex conveyor, on this plan' })).toContainText('of 3 jobs');
  await mystery.getByRole('link', { name: 'open it' }).click();
  await expect(page.getByLabel('Lies')).toHaveValue('There');
  await told.getByRole('button', { name: 'Take all of the other' }).click();
  await expect(page.getByLabel('Lies')).toHaveValue('Here');
  await saved(page);
});

test('a battery sags and lasts, a stepper keeps twice the torque, a fan is slowed by capacitors', async ({
  page,
  workshop
}) => {
  await workshop.loadDemo();
  await page.goto(await workshop.plan('Honey extractor', 'A'));
  await station(page, 'Supply');
  // 24 V less 10 A × 60 mΩ; four fifths of 430 Wh at 24 V × 10.6 A is 81.2 min.
  await expect(page.getByRole('button', { name: /^Volts left at the motor's rated amps: 23.4/ })).toBeVisible();
  await expect(page.getByRole('button', { name: /^Lasts at full load: 81.2/ })).toBeVisible();
  await page.getByLabel('Ohms inside, with leads').fill('400 mΩ');
  await expect(page.getByRole('button', { name: 'The battery sags under load' })).toBeVisible();

  await station(page, 'Motor');
  await page.getByRole('button', { name: /swap from shelf/ }).click();
  await page
    .getByRole('listitem')
    .filter({ hasText: 'Plotter stepper' })
    .getByRole('button', { name: 'Use it' })
    .click();
  await station(page, 'Control');
  await expect(page.getByText('Suits this motor: Stepper driver.')).toBeVisible();
  await page.getByLabel('Kind', { exact: true }).selectOption('Stepper driver');
  await page.getByLabel('Most volts out').fill('36 V');
  await expect(page.getByRole('button', { name: 'Loses steps without a word' })).toBeVisible();
  await station(page, 'Work');
  await page.getByText('First side, slow', { exact: true }).first().click();
  await expect(
    page.getByText('Margin wanted ×2: a stepper keeps twice the torque in hand.', { exact: false }).first()
  ).toBeVisible();

  await station(page, 'Motor');
  await page.getByRole('button', { name: /swap from shelf/ }).click();
  await page.getByRole('listitem').filter({ hasText: 'Barn fan' }).getByRole('button', { name: 'Use it' }).click();
  // 1020 of 1280 rpm is 0.506 of the power and 4.9 dB quieter.
  await expect(page.getByText('51 % of the power, −4.9 dB against the largest; starts 100 %')).toBeVisible();
  await expect(page.getByRole('button', { name: /^Does not start every time on 9/ })).toBeVisible();
});

test('a file of the version before is read: its readings, its saw and its motors', async ({ page, workshop }) => {
  const older = {
    format: 'jiriki',
    version: 1,
    machines: [
      {
        machine: { name: 'Old saw', kind: 'saw', jobs: [] },
        plans: [
          {
            motor: {
              name: 'Old motor',
              kind: 'pm-dc',
              plate: { power: '1/2 hp', volts: '180 V', amps: '2.8 A' },
              bench: { openVolts: '74.4 V', spunSpeed: '820 rpm', resistance: '7.6 Ω' }
            }
          }
        ]
      }
    ],
    shelf: [{ id: 'x', motor: { name: 'Old spare', kind: 'induction-3', plate: { power: '0.75 kW' } } }]
  };
  await workshop.loadDemo();
  await page.goto(workshop.url);
  await page
    .getByLabel('import a file')
    .setInputFiles({ name: 'older.json', mimeType: 'application/json', buffer: Buffer.from(JSON.stringify(older)) });
  await expect(page.getByText('Added 1 machines, 1 plans and 1 parts.')).toBeVisible();
  await page.goto(`${workshop.url}/#/shelf`);
  await expect(page.getByRole('link', { name: 'Old spare' })).toBeVisible();
  await page.goto(await workshop.plan('Old saw', 'A'));
  await station(page, 'Work');
  await expect(page.getByLabel('Kind', { exact: true })).toHaveValue('hacksaw');
  await page.getByRole('button', { name: "start from a power hacksaw's usual jobs" }).click();
  await expect(page.getByText('Mild steel bar', { exact: true }).first()).toBeVisible();
  await station(page, 'Motor');
  await expect(page.getByLabel('spun at')).toHaveValue('820 rpm');
  await expect(page.getByLabel('Ohms, leads off')).toHaveValue('7.6 Ω');
  await expect(page.getByRole('list', { name: 'Constants from the readings' })).toContainText('0.866');
  await saved(page);
});
