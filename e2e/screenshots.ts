import { fileURLToPath } from 'node:url';
import type { Page } from '@playwright/test';
import { expect, headline, station, test } from './workshop';

const shot = (page: Page, name: string) => page.screenshot({ path: fileURLToPath(new URL(`../docs/screenshots/${name}.png`, import.meta.url)) });

test('one picture of each main view', async ({ page, workshop }) => {
  await workshop.loadDemo();
  const sheet = async (machine: string, letter: string, bench: string, name: string) => {
    await page.goto(await workshop.plan(machine, letter));
    await expect(headline(page)).toBeVisible();
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
  await sheet('Kick wheel, powered', 'B', 'Motor', 'plan-sheet');
  await sheet('Kick wheel, powered', 'B', 'Reduction', 'reduction-bench');
  await sheet('Kick wheel, powered', 'A', 'Control', 'control-bench');
  await sheet('Power hacksaw', 'A', 'Supply', 'supply-bench');
  await sheet('Honey extractor', 'A', 'Work', 'work-bench');
  await page.getByText('First side, slow', { exact: true }).first().click();
  await shot(page, 'work-bench');

  await page.goto(`${await workshop.plan('Kick wheel, powered', 'B')}/speed-plate`);
  await page.setViewportSize({ width: 860, height: 1000 });
  await expect(page.getByRole('heading', { name: 'Kick wheel, powered' })).toBeVisible();
  await shot(page, 'speed-plate');

  await page.evaluate(() => localStorage.setItem('jiriki.theme', 'night'));
  await page.setViewportSize({ width: 768, height: 1024 });
  await page.goto('about:blank');
  await sheet('Cider mill', 'A', 'Motor', 'plan-sheet-tablet-night');
  await page.setViewportSize({ width: 390, height: 844 });
  await shed('shed-phone-night');
});
