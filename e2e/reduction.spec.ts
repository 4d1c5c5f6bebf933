import type { Page } from '@playwright/test';
import { expect, answers, saved, station, test } from './workshop';

const searched = (page: Page) => page.getByRole('list', { name: 'Answers, best first' }).getByRole('listitem');

test('the search finds what the plan lacks, shows it on the ruler, and it is taken', async ({ page, workshop }) => {
  await workshop.loadDemo();
  await page.goto(await workshop.plan('Kick wheel, powered', 'B'));
  await station(page, 'Reduction');
  await expect(answers(page)).toContainText('2 of 3');
  await page.getByRole('button', { name: 'Find the best reduction' }).click();
  // Two belts with a cone reach both the slow end and the fast one.
  await expect(searched(page).first()).toContainText('3 of 3 jobs');
  await expect(page.getByText(/^Best of [\d\u202f]+ tried$/)).toBeVisible();
  await expect(page.getByRole('heading', { name: 'Why not simpler?' })).toBeVisible();
  await expect(page.getByRole('heading', { name: 'As the plan stands' })).toBeVisible();
  await page.getByRole('button', { name: 'on the ruler' }).first().click();
  await expect(page.getByRole('img', { name: /^Speed ruler: 3 bands over 3 jobs/ })).toBeVisible();
  await page.getByRole('button', { name: 'take this one' }).first().click();
  await page.getByRole('button', { name: 'back to the verdict' }).click();
  await expect(answers(page)).toContainText('3 of 3');
  await expect(page.getByRole('button', { name: /^A belt does not fit|One belt does not fit/ })).toHaveCount(0);
  await saved(page);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(answers(page)).toContainText('2 of 3');
});

test('bounds are kept, and nonsense in them is answered where it stands', async ({ page, workshop }) => {
  await workshop.loadDemo();
  await page.goto(await workshop.plan('Kick wheel, powered', 'B'));
  await station(page, 'Reduction');
  await page.getByRole('button', { name: 'Find the best reduction' }).click();
  await expect(searched(page).first()).toContainText('3 of 3 jobs');
  await page.getByText('Bounds: belts, room, what stays').click();
  await page.getByLabel('Most between shafts').fill('a yard or so');
  await expect(page.getByRole('alert').filter({ hasText: 'ask.centreMax' })).toBeVisible();
  await expect(searched(page).first()).toContainText('3 of 3 jobs');
  await page.getByLabel('Most between shafts').fill('10 in');
  await expect(page.getByRole('alert').filter({ hasText: 'ask.centreMax' })).toHaveCount(0);
  await page.getByLabel('Cones of two and three steps too').uncheck();
  await page.getByLabel('Poly-V, J').check();
  await expect(searched(page).first()).toContainText('2 of 3 jobs');
  await page.getByLabel('Only wheels from the shelf').check();
  await expect(page.getByText(/^On the shelf: /).first()).toBeVisible();
  await expect(page.getByText(/pulleys? \d+ mm/).filter({ hasText: 'To buy' })).toHaveCount(0);
});

test('a shaft is dragged and moved by keys, a wheel takes the size dropped on it, and the figures follow', async ({
  page,
  workshop
}) => {
  await workshop.loadDemo();
  await page.goto(await workshop.plan('Kick wheel, powered', 'B'));
  await station(page, 'Reduction');
  const centre = page.getByLabel('Between shafts').first();
  await expect(centre).toHaveValue('');
  const shaft = page.getByRole('button', { name: /^Shaft 2/ });
  const box = await shaft.boundingBox();
  if (!box) throw new Error('no shaft');
  await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2);
  await page.mouse.down();
  // With Alt it goes anywhere.
  await page.keyboard.down('Alt');
  await page.mouse.move(box.x + 40, box.y - 20, { steps: 8 });
  await page.mouse.up();
  await page.keyboard.up('Alt');
  await expect(centre).toHaveValue(/^3\d\d mm$/);
  await expect(page.getByText(/^belt 1[12]\d\d mm/)).toBeVisible();
  const dragged = parseFloat(await centre.inputValue());
  await shaft.press('Shift+ArrowRight');
  await expect(centre).not.toHaveValue(`${dragged} mm`);
  // One drag and one key are two changes.
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(centre).toHaveValue(`${dragged} mm`);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(centre).toHaveValue('');

  await page
    .getByRole('button', { name: /^280 mm A, shelf/ })
    .dragTo(page.locator('[data-wheel="reduction.stages[1].steps[0].driven"]'), { targetPosition: { x: 12, y: 40 } });
  await expect(page.getByLabel('on the driven').last()).toHaveValue('280 mm');
  await page.getByRole('button', { name: /^Choose the driving wheel of stage 1/ }).press('Enter');
  await page.getByRole('button', { name: '90 mm', exact: true }).click();
  await expect(page.getByLabel('on the driving shaft').first()).toHaveValue('90 mm');
});

test('a dragged shaft goes to where a belt fits, and says when it leaves one that is owned', async ({
  page,
  workshop
}) => {
  await workshop.shelve({
    sort: 'belt',
    name: 'Barn belt',
    length: '1120 mm',
    wheel: { diameter: '', measured: '', teeth: '', section: 'A', bore: '' }
  });
  await workshop.loadDemo();
  await page.goto(await workshop.plan('Kick wheel, powered', 'B'));
  await station(page, 'Reduction');
  await page.getByLabel('or belt length').first().fill('1120 mm');
  await expect(page.getByText(/^belt 1120 mm/)).toBeVisible();
  await saved(page);
  const shaft = page.getByRole('button', { name: /^Shaft 2/ });
  const asked = page.waitForResponse((r) => r.url().endsWith('/api/belts'));
  await shaft.press('ArrowRight');
  await asked;
  await expect(page.getByText(/^belt 1120 mm/)).toHaveCount(0);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByText(/^belt 1120 mm/)).toBeVisible();
  const box = await shaft.boundingBox();
  if (!box) throw new Error('no shaft');
  const [x, y] = [box.x + box.width / 2, box.y + box.height / 2];
  await page.mouse.move(x, y);
  await page.mouse.down();
  await page.mouse.move(x + 4, y);
  await expect(page.getByText('Barn belt from the shelf fits here.')).toBeVisible();
  await page.mouse.move(x + 60, y, { steps: 10 });
  await expect(page.getByText('That leaves Barn belt, which you have.')).toBeVisible();
  await page.mouse.up();
  const belt = page.getByLabel('or belt length').first();
  await expect(belt).not.toHaveValue('1120 mm');
  await page.getByRole('button', { name: 'Put it back' }).click();
  await expect(belt).toHaveValue('1120 mm');
  await expect(page.getByText('which you have')).toHaveCount(0);
});

test('every sort of stage is worked out, and a back gear is in or out', async ({ page, workshop }) => {
  await workshop.loadDemo();
  await page.goto(await workshop.plan('Power hacksaw', 'A'));
  await station(page, 'Reduction');
  await page.getByLabel('Back gear: can be put out of mesh').check();
  await expect(page.getByRole('img', { name: /^Speed ruler: 4 bands/ })).toBeVisible();
  await page.getByRole('button', { name: 'remove stage 2' }).click();
  for (const [kind, driver, driven] of [
    ['Link belt', '80 mm', '200 mm'],
    ['Flat belt', '100 mm', '250 mm'],
    ['Toothed belt', '20', '50'],
    ['Chain', '15', '40'],
    ['Worm and wheel', '2', '30']
  ] as const) {
    await page.getByRole('button', { name: 'add a stage' }).click();
    await page.getByLabel('Kind', { exact: true }).last().selectOption(kind);
    await page
      .getByLabel(kind === 'Worm and wheel' ? 'starts of the worm' : 'on the driving shaft')
      .last()
      .fill(driver);
    await page.getByLabel('on the driven').last().fill(driven);
    if (kind !== 'Worm and wheel') await page.getByRole('textbox', { name: 'Between shafts' }).last().fill('400 mm');
    await expect(page.getByRole('tabpanel').getByRole('button', { name: /^Ratio, step 1: / })).toBeVisible();
    await page.getByRole('button', { name: 'remove stage 2' }).click();
  }
});

test('two measured speeds name the wheel to measure again', async ({ page, workshop }) => {
  await workshop.loadDemo();
  await page.goto(await workshop.plan('Kick wheel, powered', 'B'));
  await station(page, 'Reduction');
  await page.getByText(/checked and sound$/).click();
  await expect(page.getByRole('button', { name: 'Measured ratio agrees', exact: true })).toBeVisible();
  await page.getByRole('textbox', { name: 'At the spindle' }).fill('180 rpm');
  await page.getByRole('button', { name: /^Measured ratio is/ }).click();
  await expect(page.getByText('The least that explains it')).toBeVisible();
  // It goes to the wheel that is to be measured.
  await expect(page.locator('input:focus')).toHaveValue('60 mm');
  await page.getByRole('textbox', { name: 'At the spindle' }).fill('fast');
  await expect(page.getByText('no number found in "fast"')).toBeVisible();
  await expect(page.getByRole('textbox', { name: 'At the spindle' })).toHaveValue('fast');
});

test('electronics alone are set beside gears', async ({ page, workshop }) => {
  await workshop.loadDemo();
  await page.goto(await workshop.plan('Kick wheel, powered', 'B'));
  await station(page, 'Reduction');
  await page.getByRole('radio', { name: 'gears or electronics' }).click();
  await expect(page.getByRole('img', { name: /^All-day torque at the spindle of electronics alone/ })).toBeVisible();
  await expect(page.getByText(/×\d.* at the slowest job here/)).toBeVisible();
});

test('a cone that wants two belts is turned to fit one at a click', async ({ page, workshop }) => {
  await workshop.loadDemo();
  await page.goto(await workshop.plan('Power hacksaw', 'A'));
  await station(page, 'Reduction');
  await page.getByLabel('on the driven').nth(1).fill('180 mm');
  await expect(
    page.getByRole('button', { name: 'One belt does not fit every step of stage 1', exact: true })
  ).toBeVisible();
  await page.getByRole('button', { name: 'Turn the driven steps to fit one belt' }).click();
  await expect(
    page.getByRole('button', { name: 'One belt does not fit every step of stage 1', exact: true })
  ).toHaveCount(0);
  await expect(page.getByLabel('on the driven').nth(1)).toHaveValue(/^22\d(\.\d)? mm$/);
});

test('a belt too weak for the work is told, and more belts mend it', async ({ page, workshop }) => {
  await workshop.loadDemo();
  await page.goto(await workshop.plan('Cider mill', 'A'));
  await station(page, 'Reduction');
  await page.getByLabel('Belts', { exact: true }).fill('1');
  await page.getByLabel('Belt section').selectOption('Z');
  await page.getByRole('button', { name: /works the belt to \d+\s?% of its rating/ }).click();
  await expect(page.getByRole('button', { name: /^Belt at its hardest job: 1\d\d/ })).toBeVisible();
  await page
    .getByRole('button', { name: /^Fit 2 belts side by side/ })
    .first()
    .click();
  await expect(page.getByLabel('Belts', { exact: true })).toHaveValue('2');
  await expect(page.getByRole('button', { name: /works the belt to/ })).toHaveCount(0);
  await page.getByLabel('Belts', { exact: true }).fill('a few');
  await expect(page.getByText('no number found in "a few"')).toBeVisible();
});

test('a shaft that is the weak link is named, with what to make to fit it', async ({ page, workshop }) => {
  await workshop.loadDemo();
  await page.goto(await workshop.plan('Cider mill', 'A'));
  await station(page, 'Reduction');
  await page.getByText('Shafts, bores and keys').click();
  await page.getByLabel('Shaft', { exact: true }).last().fill('8 mm');
  await expect(page.getByRole('button', { name: 'Driven shaft is the weak link', exact: true })).toBeVisible();
  await page.getByText(/checked and sound$/).click();
  await expect(page.getByText(/held by the driven shaft/).first()).toBeVisible();
  await page.getByRole('link', { name: /^Build / }).click();
  await page.getByRole('radio', { name: 'parts' }).click();
  await expect(page.getByText(/Turn a sleeve, 8\smm inside, 25\smm outside/)).toBeVisible();
});

test('nylon gears are the weak link, and say what mends it', async ({ page, workshop }) => {
  await workshop.loadDemo();
  await page.goto(await workshop.plan('Power hacksaw', 'A'));
  await station(page, 'Reduction');
  await expect(
    page.getByRole('button', { name: /^Gear teeth of stage 2 at their hardest job: \d\d\s?%/ })
  ).toBeVisible();
  await page.getByLabel('Made of', { exact: true }).selectOption('nylon');
  await expect(
    page.getByRole('button', { name: /works the pair of gears of stage 2 to 1\d\d\s?% of its rating/ })
  ).toBeVisible();
  await page
    .getByRole('button', { name: /^Fit gears \d+ mm wide/ })
    .first()
    .click();
  await expect(page.getByLabel('Face width')).toHaveValue(/^\d+ mm$/);
  await page.getByLabel('Face width').fill('wide');
  await expect(page.getByText('no number found in "wide"')).toBeVisible();
});

test('a band that only two steps reach between them is made into two jobs at a click', async ({ page, workshop }) => {
  await workshop.loadDemo();
  await page.goto(await workshop.plan('Cider mill', 'A'));
  await station(page, 'Reduction');
  await page.getByRole('button', { name: 'add a step (cone)' }).click();
  await page.getByLabel('Step 2: on the driving shaft').fill('65 mm');
  await page.getByLabel('on the driven').last().fill('190 mm');
  await station(page, 'Work');
  await page.getByText('Hard apples', { exact: true }).first().click();
  await page.getByRole('textbox', { name: 'Slowest', exact: true }).fill('120 rpm');
  await page.getByRole('textbox', { name: 'Fastest', exact: true }).fill('600 rpm');
  await expect(
    page.getByRole('button', { name: 'Hard apples: no one position reaches it all', exact: true })
  ).toBeVisible();
  await page.getByRole('button', { name: 'Make Hard apples a job for each position' }).first().click();
  await expect(page.getByText('Hard apples, step 2', { exact: true }).first()).toBeVisible();
  await expect(page.getByText('Hard apples, step 1', { exact: true }).first()).toBeVisible();
  await expect(page.getByRole('button', { name: /no one position reaches it all/ })).toHaveCount(0);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByText('Hard apples, step 2', { exact: true })).toHaveCount(0);
});

test('the cone is set beside one belt', async ({ page, workshop }) => {
  await workshop.loadDemo();
  await page.goto(await workshop.plan('Power hacksaw', 'A'));
  await station(page, 'Reduction');
  await page.getByRole('radio', { name: 'gears or electronics' }).click();
  const both = page.getByRole('region', { name: 'Keep the cone, or one belt' });
  await expect(both.getByRole('row', { name: /^Belt changes/ })).toContainText('none');
  await expect(both.getByRole('columnheader', { name: /^as it is, two positions/ })).toBeVisible();
  await expect(both.getByRole('columnheader', { name: /^one ratio, / })).toBeVisible();
});

test('a ratio with no pulleys yet is judged, and a wheel straight on the shaft', async ({ page, workshop }) => {
  await workshop.loadDemo();
  await page.goto(await workshop.plan('Power hacksaw', 'A'));
  await station(page, 'Reduction');
  await page.getByRole('button', { name: 'remove stage 2' }).click();
  await page.getByRole('button', { name: 'Remove step 2 of stage 1' }).click();
  await page.getByLabel('Kind', { exact: true }).selectOption('A ratio, known or measured');
  // 255 mm to 75 mm, less what the belt slips, stays the ratio it was.
  await expect(page.getByLabel('driving shaft, turns or rpm')).toHaveValue('255 mm');
  await expect(page.getByText('3.4 : 1', { exact: false }).first()).toBeVisible();
  await page.getByLabel('driving shaft, turns or rpm').fill('1440 rpm');
  await page.getByLabel('driven shaft', { exact: true }).fill('60 rpm');
  await expect(
    page.getByRole('button', { name: 'Still to be entered: What wheels make this ratio?' }).first()
  ).toBeVisible();
  await page.getByLabel('Kind', { exact: true }).selectOption('Coupled straight');
  await page.getByText('Shaft, bore and key').click();
  await page.getByLabel('Bore as it is').fill('5/8"');
  await page.getByLabel('Held by').selectOption('Key');
  await page.getByText(/checked and sound$/).click();
  await expect(
    page.getByRole('button', { name: "Wheel on the motor's shaft goes on as it is", exact: true })
  ).toBeVisible();
});
