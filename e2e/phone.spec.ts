import type { Page } from '@playwright/test';
import { expect, answers, test } from './workshop';

const phone = { width: 390, height: 844 };
const views = ['', '/wire', '/power-up', '/sheets', '/ranking', '/controls'];

/** Nothing wider than the page, which would have to be pushed sideways. */
const sideways = (page: Page) =>
  page.evaluate(() => document.documentElement.scrollWidth - document.documentElement.clientWidth);

/** What is to be pressed and is smaller than a fingertip: by its own box, or by the label that presses it. Links within
 *  a line of words are left out. */
const small = (page: Page) =>
  page.evaluate(() => {
    const tall = (el: Element) => el.getBoundingClientRect().height;
    const within = (el: Element) => {
      const line = el.parentElement?.closest('p, dd, li, td, summary, span, label, h2');
      return getComputedStyle(el).display === 'inline' || (line && tall(line) >= 44 && el.matches('a, button'));
    };
    const pressed = 'main a, main button, main input, main select, main summary, nav a, nav button';
    return Array.from(document.querySelectorAll(pressed))
      .filter((el) => el.checkVisibility() && tall(el) > 0)
      .filter((el) => {
        const label = el.closest('label');
        return Math.max(tall(el), label ? tall(label) : 0) < 43.5 && !within(el);
      })
      .map((el) => `${el.tagName} ${el.getAttribute('aria-label') ?? el.textContent?.trim() ?? ''} ${tall(el)}`);
  });

test('on a phone the first power-up is two taps away, a step a screen', async ({ page, workshop }) => {
  await workshop.loadDemo();
  await page.setViewportSize(phone);
  await page.goto(workshop.url);
  const taps: string[] = [];
  const tap = async (name: string | RegExp) => {
    taps.push(String(name));
    await page.getByRole('link', { name }).first().click();
  };
  await tap('Open plan A of Cider mill');
  await tap(/^Power up/);
  await expect(page.getByText(/^Step 1 of \d+, plug out$/i)).toBeInViewport();
  await expect(page.getByRole('button', { name: 'Done' })).toBeInViewport();
  expect(taps.length).toBeLessThanOrEqual(2);
  await page.getByLabel('Read').fill('0.2 V');
  await page.getByRole('button', { name: 'Done' }).click();
  await expect(page.getByText(/^Step 2 of \d+, plug out$/i)).toBeVisible();
  await page.getByRole('button', { name: 'Step before' }).click();
  await expect(page.getByLabel('Read')).toHaveValue('0.2 V');
  await expect(page.getByText(/^done /)).toBeVisible();
  // A live step waits for every dead one.
  for (let i = 0; i < 30 && !(await page.getByText(/supply on$/i).isVisible()); i++) {
    await page.getByRole('button', { name: 'Next step' }).click();
  }
  await expect(page.getByText('First everything with the plug out.')).toBeVisible();
  await expect(page.getByRole('button', { name: 'Done' })).toBeDisabled();
});

test('on a phone wires are ticked off by their names, size and colour', async ({ page, workshop }) => {
  await workshop.loadDemo();
  await page.setViewportSize(phone);
  await page.goto(`${await workshop.plan('Kick wheel, powered', 'B')}/wire`);
  const wire = page.getByRole('checkbox', { name: /^Wire 1, X0:L to Q1:1/ });
  await wire.check();
  const row = page.getByRole('listitem').filter({ has: wire });
  await expect(row).toContainText(/mm²; brown/);
  await expect(row).toContainText('Single-phase supply to Isolator');
  await page.reload();
  await expect(wire).toBeChecked();
});

test('on a phone, and at 200 %, nothing goes sideways and all is large enough for a thumb', async ({
  page,
  workshop
}) => {
  await workshop.loadDemo();
  const plan = await workshop.plan('Power hacksaw', 'A');
  const found: string[] = [];
  for (const width of [390, 640]) {
    await page.setViewportSize({ width, height: 844 });
    const pages = ['', '/#/shelf', '/#/shelf/donors', '/#/what-is-it', '/#/how-to'].map((path) => workshop.url + path);
    for (const url of [...pages, ...views.map((view) => plan + view)]) {
      await page.goto(url);
      await expect(url === plan ? answers(page) : page.getByRole('heading', { level: 1 }).first()).toBeVisible();
      const over = await sideways(page);
      if (over > 0) found.push(`${url} is ${over} px too wide at ${width}`);
      if (width === 390) found.push(...(await small(page)).map((what) => `${url}: ${what}`));
    }
  }
  expect(found).toEqual([]);
});

test('on a phone a station opens its bench as a page with a way back, and the rail is a bar at the foot', async ({
  page,
  workshop
}) => {
  await workshop.loadDemo();
  await page.setViewportSize(phone);
  const plan = await workshop.plan('Kick wheel, powered', 'A');
  await page.goto(plan);
  await expect(answers(page)).toBeVisible();
  for (const tab of await page.getByRole('tab').all()) expect((await tab.boundingBox())?.height).toBeCloseTo(56, 0);
  const verdict = page.getByRole('region', { name: 'Verdict' });
  await expect(verdict).toBeVisible();
  await expect(page.getByLabel('Amps for ever')).toHaveCount(0);
  await page.getByRole('tab', { name: /^Control/ }).click();
  await expect(page.getByRole('heading', { name: 'Control', level: 1 })).toBeVisible();
  await expect(verdict).toHaveCount(0);
  await expect(page.getByRole('tab', { name: /^Motor/ })).toBeVisible();
  await expect(page.getByLabel('Amps for ever')).toHaveAttribute('inputmode', 'decimal');
  await expect(page.getByLabel('Name').first()).not.toHaveAttribute('inputmode', 'decimal');
  await page.goBack();
  await expect(verdict).toBeVisible();
  // What is asked for opens its bench with its field in sight.
  await verdict
    .getByRole('button', { name: /^Guard the moving parts/ })
    .first()
    .click();
  await expect(page.getByRole('button', { name: 'back to the plan' })).toBeAttached();
  await expect(page.locator('main :focus')).toBeInViewport();
  await page.getByRole('button', { name: 'back to the plan' }).click();
  await expect(verdict).toBeVisible();

  const rail = page.getByRole('navigation', { name: 'The work' });
  const box = await rail.boundingBox();
  expect(Math.round((box?.y ?? 0) + (box?.height ?? 0))).toBe(phone.height);
  await expect(rail.getByRole('link')).toHaveText([/^Plan/, /^Power up/, /^Trials/, /^Log/]);
  await rail.getByRole('button', { name: 'More' }).click();
  await page.getByRole('menuitem', { name: /^What is wrong\?/ }).click();
  await expect(page).toHaveURL(/what-is-wrong$/);
});
