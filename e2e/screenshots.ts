import { fileURLToPath } from 'node:url';
import type { Page } from '@playwright/test';
import { expect, answers, station, test } from './workshop';

const shot = (page: Page, name: string) =>
  page.screenshot({ path: fileURLToPath(new URL(`../docs/screenshots/${name}.png`, import.meta.url)) });

test('one picture of each main view', async ({ page, workshop }) => {
  await page.goto(workshop.url);
  await page.getByRole('button', { name: 'That is right' }).click();
  await expect(page.getByText(/Big pots: short by/)).toBeVisible();
  await page.evaluate(() => document.fonts.ready);
  await shot(page, 'first-screen');
  await workshop.loadDemo();
  const sheet = async (machine: string, letter: string, bench: string, name: string) => {
    await page.goto(await workshop.plan(machine, letter));
    await expect(answers(page)).toBeVisible();
    await station(page, bench);
    await page.mouse.move(0, 0);
    await expect(page.locator('[role=tab][aria-selected=true]')).toContainText(bench);
    await shot(page, name);
  };
  const shed = async (name: string) => {
    await page.goto(workshop.url);
    await expect(page.getByRole('region', { name: 'Honey extractor' })).toBeVisible();
    await page.evaluate(() => document.fonts.ready);
    await shot(page, name);
  };
  await shed('shed');
  await page.getByLabel('Type what you have, in shop words').fill('1.4 hp at 2850 rpm, wheel 180 mm');
  await expect(page.getByText('torque', { exact: true })).toBeVisible();
  await shot(page, 'slate');
  await sheet('Kick wheel, powered', 'B', 'Motor', 'plan-sheet');
  await page.getByRole('link', { name: 'beside' }).click();
  await expect(page.getByRole('columnheader', { name: 'A, One belt' })).toBeVisible();
  await shot(page, 'beside');
  await sheet('Kick wheel, powered', 'B', 'Reduction', 'reduction-bench');
  await page.getByRole('button', { name: 'Find the best reduction' }).click();
  await page.getByRole('button', { name: 'on the ruler' }).first().click();
  await shot(page, 'reduction-bench');
  await page.getByRole('button', { name: 'back to the verdict' }).click();
  await page.getByRole('link', { name: /^Build / }).click();
  await expect(page.getByRole('img', { name: /^Wiring: / })).toBeVisible();
  await shot(page, 'wiring');
  await page.getByRole('link', { name: /^Plan / }).click();
  await sheet('Power hacksaw', 'A', 'Supply', 'supply-bench');
  await sheet('Honey extractor', 'A', 'Work', 'work-bench');
  await page.getByText('First side, slow', { exact: true }).first().click();
  await shot(page, 'work-bench');

  await sheet('Kick wheel, powered', 'B', 'Motor', 'ranking');
  await page.getByRole('button', { name: 'rank the shelf for these jobs' }).click();
  await expect(page.getByRole('img', { name: /^All-day torque/ })).toBeVisible();
  await shot(page, 'ranking');
  await page.goto(`${workshop.url}/#/shelf`);
  await page.getByRole('link', { name: /ex barn hoist/ }).click();
  await expect(page.getByRole('list', { name: 'Constants from the readings' })).toBeVisible();
  await shot(page, 'shelf');
  await page.goto(await workshop.plan('Kick wheel, powered', 'B'));
  await page.getByRole('link', { name: /^Dry run/ }).click();
  await page.getByLabel('Beside it').selectOption({ label: 'A, One belt' });
  await expect(page.locator('.ghost')).toHaveCount(3);
  const hand = page.getByRole('slider', { name: 'Time in the run' });
  await hand.focus();
  await page.keyboard.press('End');
  await page.keyboard.press('Shift+ArrowLeft');
  await page.keyboard.press('Shift+ArrowLeft');
  await hand.blur();
  await shot(page, 'dry-run');
  await page.goto(`${workshop.url}/#/what-is-it`);
  await page.getByLabel('It came out of').selectOption('Washing machine, belt driven');
  await page
    .getByRole('button', { name: 'Yes, two or four carbon brushes' })
    .or(page.getByRole('button', { name: 'One phase of mains, ~, with hertz' }))
    .first()
    .click();
  await expect(page.getByRole('button', { name: /^Change: / })).toBeVisible();
  await shot(page, 'what-is-it');

  await page.goto(`${await workshop.plan('Kick wheel, powered', 'B')}/trials`);
  await page.getByRole('button', { name: /^Knob against speed/ }).click();
  await expect(page.getByText('as measured')).toBeVisible();
  await shot(page, 'trials');
  await page.goto(`${await workshop.plan('Power hacksaw', 'A')}/what-is-wrong`);
  await page.getByRole('button', { name: 'Hums, and will not start' }).click();
  await page.getByRole('group', { name: 'How it came out' }).getByRole('button').first().click();
  await expect(page.getByText('Tried so far')).toBeVisible();
  await shot(page, 'what-is-wrong');
  await page.goto(`${workshop.url}/#/practice/leads/7`);
  await page.getByRole('button', { name: 'do it: Ohms, red to black' }).click();
  await page.getByRole('button', { name: 'do it: Ohms, red to white' }).click();
  await expect(page.getByText('2 done')).toBeVisible();
  await shot(page, 'practice');

  await page.setViewportSize({ width: 860, height: 1000 });
  await page.goto(`${await workshop.plan('Kick wheel, powered', 'B')}/speed-plate`);
  await expect(page.getByRole('heading', { name: 'Kick wheel, powered' })).toBeVisible();
  await shot(page, 'speed-plate');

  await page.evaluate(() => localStorage.setItem('jiriki.theme', 'night'));
  await page.setViewportSize({ width: 768, height: 1024 });
  await page.goto('about:blank');
  await page.goto(await workshop.plan('Cider mill', 'A'));
  await expect(answers(page)).toBeVisible();
  await page.getByRole('link', { name: /^Build / }).click();
  await page.getByRole('link', { name: /^Power up / }).click();
  await expect(page.getByText('Plug out and in sight', { exact: false })).toBeVisible();
  await shot(page, 'power-up-tablet-night');
  await page.setViewportSize({ width: 390, height: 844 });
  await page.goto(`${await workshop.plan('Kick wheel, powered', 'B')}/log`);
  await expect(page.getByText('Two evening classes.')).toBeVisible();
  await shot(page, 'log-phone-night');
});
