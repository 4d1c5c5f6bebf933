import { answers, expect, saved, test } from './workshop';
import type { Page } from '@playwright/test';

const contentAt = (page: Page) => page.evaluate(() => document.querySelector('main')?.getBoundingClientRect().y ?? 1e9);
/** The largest letters that stand on the screen, and where. */
const largest = (page: Page) =>
  page.evaluate(() => {
    let most = { size: 0, text: '' };
    const texts = document.createTreeWalker(document.body, NodeFilter.SHOW_TEXT);
    for (let node = texts.nextNode(); node; node = texts.nextNode()) {
      const el = node.parentElement;
      const box = el?.getBoundingClientRect();
      if (!el || !box || !node.textContent?.trim() || box.width < 2 || box.y > innerHeight) continue;
      const size = parseFloat(getComputedStyle(el).fontSize);
      if (size > most.size) most = { size, text: node.textContent.trim() };
    }
    return most;
  });

/** What of the page beside header and rail stands in its first 800 px: controls, and words that have a letter. */
const crowd = (page: Page) =>
  page.evaluate(() => {
    const seen = (el: Element, box: DOMRect) =>
      box.width > 1 &&
      box.height > 1 &&
      box.top < 800 &&
      box.bottom > 0 &&
      !el.closest('header, nav[aria-label="The work"]') &&
      el.checkVisibility({ visibilityProperty: true });
    const controls = Array.from(
      document.querySelectorAll('a, button, input, select, textarea, summary, [role=tab], [tabindex="0"]')
    ).filter((el) => seen(el, el.getBoundingClientRect())).length;
    let words = 0;
    const texts = document.createTreeWalker(document.body, NodeFilter.SHOW_TEXT);
    for (let node = texts.nextNode(); node; node = texts.nextNode()) {
      const el = node.parentElement;
      const range = document.createRange();
      range.selectNodeContents(node);
      if (!el || el.matches('option, script, style, title') || !seen(el, range.getBoundingClientRect())) continue;
      words += (node.textContent ?? '').split(/\s+/).filter((word) => /\p{L}/u.test(word)).length;
    }
    return { controls, words };
  });

test('a plan just made, and a full one, do not crowd the first screen', async ({ page, workshop }) => {
  await page.goto(workshop.url);
  await page.getByLabel('Machine', { exact: true }).fill('Kick wheel');
  await expect(page.getByLabel('Kind', { exact: true })).toHaveValue('potters-wheel');
  await page.getByRole('button', { name: 'Add it' }).click();
  await expect(answers(page)).toContainText('Not known yet');
  await saved(page);
  const made = await crowd(page);
  expect(made.controls).toBeLessThanOrEqual(25);
  expect(made.words).toBeLessThanOrEqual(250);
  await workshop.loadDemo();
  await page.goto(await workshop.plan('Kick wheel, powered', 'A'));
  await expect(answers(page)).toContainText('Big pots');
  const full = await crowd(page);
  expect(full.controls).toBeLessThanOrEqual(45);
  expect(full.words).toBeLessThanOrEqual(350);
});

test('the two answers are the largest letters, each with its first cure, and the content begins high', async ({
  page,
  workshop
}) => {
  await workshop.loadDemo();
  const plan = await workshop.plan('Kick wheel, powered', 'B');
  for (const [width, height, onPlan] of [
    [1280, 800, 330],
    [1024, 768, 340]
  ] as const) {
    await page.setViewportSize({ width, height });
    await page.goto(plan);
    await expect(answers(page)).toContainText('May it be powered? Yes, minding');
    await expect(answers(page)).toContainText('Does it do the jobs? 2 of 3. Big pots: short by');
    expect(await contentAt(page)).toBeLessThanOrEqual(onPlan);
    expect((await largest(page)).text).toMatch(/^(Yes, minding|2 of 3)/);
    for (const view of ['trials', 'log', 'power-up', 'what-is-wrong', 'sheets', 'wire']) {
      await page.goto(`${plan}/${view}`);
      await expect(answers(page)).toContainText('2 of 3. Big pots');
      expect(await contentAt(page), view).toBeLessThanOrEqual(175);
    }
  }
  await page.setViewportSize({ width: 390, height: 844 });
  await page.goto(plan);
  const heads = answers(page).getByRole('heading');
  await expect(heads).toHaveText([/^Power:\s+Yes, minding/, /^Jobs:\s+2 of 3\. Big pots/]);
  const rail = await page.getByRole('navigation', { name: 'The work' }).boundingBox();
  expect((await heads.last().boundingBox())?.y ?? 1e9).toBeLessThan(rail?.y ?? 0);
});

test('a cure is one click at the head; elsewhere the answers fold and the line is shown when asked for', async ({
  page,
  workshop
}) => {
  await workshop.loadDemo();
  const plan = await workshop.plan('Kick wheel, powered', 'B');
  await page.goto(`${plan}/trials`);
  const line = page.getByRole('navigation', { name: 'The line' });
  await expect(answers(page)).toBeVisible();
  await expect(line).toHaveCount(0);
  await page.getByRole('button', { name: 'show the line' }).click();
  await expect(line).toBeVisible();
  await page.getByRole('button', { name: 'fold the line' }).click();
  await expect(line).toHaveCount(0);
  await page.getByRole('link', { name: /^Plan/ }).click();
  await expect(line).toBeVisible();
  await answers(page).getByRole('button', { name: 'Fit a fan with its own supply' }).click();
  await expect(answers(page)).toContainText('Does it do the jobs? 3 of 3');
  await saved(page);
});

test('what an answer still wants is a link to where it is entered', async ({ page, workshop }) => {
  await workshop.loadDemo();
  await page.goto(await workshop.plan('Honey extractor', 'A'));
  await expect(answers(page)).toContainText('Does it do the jobs?');
  await page.getByRole('tab', { name: /^Motor/ }).click();
  await page.getByLabel('Kind of motor').selectOption({ index: 0 });
  await expect(answers(page)).toContainText('May it be powered? Not known yet');
  await answers(page).getByRole('button', { name: 'Still to be entered: What kind of motor is it?' }).click();
  await expect(page.locator('select:focus')).toBeVisible();
});
