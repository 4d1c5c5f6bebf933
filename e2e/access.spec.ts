import AxeBuilder from '@axe-core/playwright';
import { demoPlans, expect, answers, station, test } from './workshop';

for (const theme of ['day', 'night'] as const)
  test(`no accessibility violation on any view by ${theme}`, async ({ page, workshop }) => {
    // Some forty scans of several seconds each, more on a busy machine.
    test.setTimeout(600_000);
    await page.addInitScript((t) => localStorage.setItem('jiriki.theme', t), theme);
    const scan = async (view: string) => {
      const { violations } = await new AxeBuilder({ page }).analyze();
      expect(violations.map((v) => `${view}: ${v.id} ${v.nodes.map((n) => n.target.join(' ')).join(' | ')}`)).toEqual(
        []
      );
    };
    await page.goto(workshop.url);
    await expect(page.getByRole('heading', { name: 'Will this motor do what the machine must?' })).toBeVisible();
    await scan('empty shed');
    await workshop.loadDemo();
    await page.reload();
    await expect(page.getByRole('region', { name: 'Cider mill' })).toBeVisible();
    await scan('shed');
    const plan = await workshop.plan('Kick wheel, powered', 'A');
    await page.goto(plan);
    await expect(answers(page)).toBeVisible();
    for (const name of ['Supply', 'Control', 'Motor', 'Reduction', 'Work']) {
      await station(page, name);
      await expect(page.locator(`[role=tab][aria-selected=true]`)).toContainText(name);
      await scan(name);
    }
    await page.getByText('Big pots', { exact: true }).first().click();
    await scan('a job opened');
    await page.keyboard.press('Escape');
    await page
      .getByRole('button', { name: /Show the working/ })
      .first()
      .click();
    await expect(page.getByText('common practice').or(page.getByText('derived')).first()).toBeVisible();
    await scan('a working');
    await page.keyboard.press('Escape');
    await station(page, 'Motor');
    await page.getByRole('button', { name: /swap from shelf/ }).click();
    await expect(page.getByRole('dialog')).toBeVisible();
    await scan('the shelf');
    await page.keyboard.press('Escape');
    await page.getByRole('button', { name: 'rank the shelf for these jobs' }).click();
    await expect(page.getByRole('img', { name: /^All-day torque/ })).toBeVisible();
    await scan('the ranking');
    await page.getByRole('button', { name: 'back to the plan' }).click();
    await station(page, 'Reduction');
    await page.getByRole('button', { name: 'Find the best reduction' }).click();
    await expect(page.getByRole('list', { name: 'Answers, best first' }).getByRole('listitem').first()).toBeVisible();
    await scan('the search');
    await station(page, 'Control');
    await page.getByRole('button', { name: 'compare controls' }).click();
    await expect(page.getByRole('img', { name: /^All-day torque/ })).toBeVisible();
    await scan('controls compared');
    await page.getByRole('link', { name: /^Build / }).click();
    await expect(page.getByRole('img', { name: /^Wiring: / })).toBeVisible();
    await scan('wiring');
    for (const tab of ['parts', 'other ways']) {
      await page.getByRole('radio', { name: tab }).click();
      await scan(tab);
    }
    await page.getByRole('link', { name: /^Power up / }).click();
    await expect(page.getByText('Plug out and in sight', { exact: false })).toBeVisible();
    await scan('first power-up');
    await page.getByRole('link', { name: /^Dry run/ }).click();
    await expect(page.getByRole('slider', { name: 'Time in the run' })).toBeVisible();
    await page.getByRole('button', { name: /^change, event 5/ }).click();
    await page.getByRole('button', { name: 'run it 200 times over it' }).click();
    await expect(page.getByText(/^Drawn: /)).toBeVisible({ timeout: 20_000 });
    await scan('the dry run');
    await page.getByRole('radio', { name: 'a working day' }).click();
    await expect(page.getByRole('img', { name: /^Winding and case/ })).toBeVisible();
    await scan('a working day');
    await page.getByRole('link', { name: /^Trials/ }).click();
    await page.getByRole('button', { name: /^Knob against speed/ }).click();
    await page.getByRole('button', { name: /Type a reading/ }).click();
    await page.getByRole('button', { name: 'instruments' }).click();
    await expect(page.getByRole('region', { name: 'Instruments' })).toBeVisible();
    await scan('trials');
    await page.getByRole('button', { name: 'from a CSV file' }).click();
    await page.getByRole('button', { name: /^By ear/ }).click();
    await scan('by ear');
    await page.getByRole('link', { name: /^Log/ }).click();
    await expect(page.getByText('Two evening classes.')).toBeVisible();
    await scan('the log');
    await page.getByRole('link', { name: /^What is wrong/ }).click();
    await scan('what is wrong');
    await page.getByRole('button', { name: 'Sparks round the brushes' }).click();
    await expect(page.getByRole('group', { name: 'How it came out' })).toBeVisible();
    await page.getByRole('group', { name: 'How it came out' }).getByRole('button').first().click();
    await expect(page.getByText('Tried so far')).toBeVisible();
    await scan('a fault, one test made');
    await page.getByRole('link', { name: /^Sheets / }).click();
    await scan('sheets to print');
    await page.getByRole('link', { name: 'beside' }).click();
    await expect(page.getByRole('columnheader', { name: 'A, One belt' })).toBeVisible();
    await scan('two plans beside each other');
    await page.getByRole('button', { name: 'more ▾' }).click();
    await scan('the menu');
    await page.keyboard.press('Escape');
    await page.keyboard.press('/');
    await page.keyboard.type('1.4 hp at 2850 rpm');
    await expect(page.getByText('torque', { exact: true })).toBeVisible();
    await scan('the finder with an answer');
    await page.keyboard.press('Escape');
    await page.goto(`${workshop.url}/#/practice/fuse/4`);
    await page.getByRole('button', { name: 'do it: Read its plate' }).click();
    await page.getByLabel('Time-delay fuse').selectOption({ index: 3 });
    await page.getByRole('button', { name: 'That is my answer' }).click();
    await expect(page.getByRole('region', { name: 'How it went' })).toBeVisible();
    await scan('an exercise, marked');
    await page.goto(`${workshop.url}/#/practice/bench`);
    await expect(page.getByText('spindle', { exact: true })).toBeVisible();
    await scan('the practice bench');
    await page.goto(`${workshop.url}/#/how-to`);
    await expect(page.getByRole('heading', { name: 'Words used here' })).toBeVisible();
    await scan('how to go about it');
    await page.goto(`${await workshop.plan('Kick wheel, powered', 'B')}/verdict`);
    await expect(page.getByRole('heading', { name: 'What to set' })).toBeVisible();
    await scan('the verdict sheet');
    await page.keyboard.press('Escape');
    await page.goto(`${workshop.url}/#/shelf`);
    await page.getByRole('link', { name: /ex barn hoist/ }).click();
    await expect(page.getByRole('list', { name: 'Constants from the readings' })).toBeVisible();
    await scan('a motor on the shelf');
    await page.getByRole('link', { name: 'what holds what' }).click();
    await expect(page.getByRole('heading', { name: 'Tumble dryer' })).toBeVisible();
    await scan('donors');
    await page.goto(`${workshop.url}/#/what-is-it`);
    await page.getByRole('region', { name: 'Next look' }).getByRole('button').first().click();
    await expect(page.getByRole('button', { name: /^Change: / })).toBeVisible();
    await scan('what is it');
    await page.getByRole('radio', { name: 'which lead is which' }).click();
    await page.getByLabel('Ohms, reading 1').fill('4.2');
    await page.getByRole('button', { name: 'Sort the leads' }).click();
    await expect(page.getByRole('img', { name: 'The windings, drawn' })).toBeVisible();
    await scan('leads');
    await page.goto(`${plan}/speed-plate`);
    await expect(page.getByRole('heading', { name: 'Kick wheel, powered' })).toBeVisible();
    await scan('speed plate');
    await page.goto(`${plan}/settings`);
    await expect(page.getByRole('heading', { name: 'Kick wheel, powered' })).toBeVisible();
    await scan('settings sheet');
    await page.goto(`${plan}/build`);
    await expect(page.getByRole('heading', { name: 'First power-up' })).toBeVisible();
    await scan('build sheet');
  });

for (const [width, height] of [
  [390, 844],
  [768, 1024],
  [640, 400] // 1280 by 800 at 200 %
] as const)
  test(`nothing is cut off sideways at ${width} px`, async ({ page, workshop }) => {
    await workshop.loadDemo();
    await page.setViewportSize({ width, height });
    const overflow = () =>
      page.evaluate(() => document.documentElement.scrollWidth - document.documentElement.clientWidth);
    await page.goto(workshop.url);
    await expect(page.getByRole('region', { name: 'Honey extractor' })).toBeVisible();
    expect(await overflow()).toBeLessThanOrEqual(0);
    await page.goto(await workshop.plan('Kick wheel, powered', 'B'));
    await expect(answers(page)).toBeVisible();
    expect(await overflow()).toBeLessThanOrEqual(0);
    await station(page, 'Motor');
    await page.getByRole('button', { name: 'rank the shelf for these jobs' }).click();
    await expect(page.getByRole('img', { name: /^All-day torque/ })).toBeVisible();
    expect(await overflow()).toBeLessThanOrEqual(0);
    const more = page.getByRole('button', { name: 'More', exact: true });
    if (await more.isVisible()) {
      await more.click();
      await page.getByRole('menuitem', { name: /^Build / }).click();
    } else await page.getByRole('link', { name: /^Build / }).click();
    await expect(page.getByRole('img', { name: /^Wiring: / })).toBeVisible();
    for (const tab of ['wiring', 'parts', 'other ways']) {
      await page.getByRole('radio', { name: tab }).click();
      expect(await overflow(), tab).toBeLessThanOrEqual(0);
    }
    await page.getByRole('link', { name: /^Power up / }).click();
    await expect(page.getByRole('heading', { name: 'First power-up' })).toBeVisible();
    expect(await overflow()).toBeLessThanOrEqual(0);
    await page.goto(`${await workshop.plan('Kick wheel, powered', 'B')}/beside`);
    await expect(page.getByRole('columnheader', { name: 'A, One belt' })).toBeVisible();
    expect(await overflow()).toBeLessThanOrEqual(0);
    await page.getByRole('navigation', { name: 'The work' }).getByRole('link', { name: /^Plan/ }).click();
    await station(page, 'Reduction');
    await page.getByRole('button', { name: 'Find the best reduction' }).click();
    await expect(page.getByRole('list', { name: 'Answers, best first' }).getByRole('listitem').first()).toBeVisible();
    expect(await overflow()).toBeLessThanOrEqual(0);
    await station(page, 'Control');
    await page.getByRole('button', { name: 'compare controls' }).click();
    await expect(page.getByRole('img', { name: /^All-day torque/ })).toBeVisible();
    expect(await overflow()).toBeLessThanOrEqual(0);
    await page.goto(`${workshop.url}/#/shelf`);
    await page.getByRole('link', { name: /ex barn hoist/ }).click();
    await expect(page.getByRole('list', { name: 'Constants from the readings' })).toBeVisible();
    expect(await overflow()).toBeLessThanOrEqual(0);
    await page.goto(`${workshop.url}/#/what-is-it`);
    await expect(page.getByRole('region', { name: 'Next look' })).toBeVisible();
    expect(await overflow()).toBeLessThanOrEqual(0);
  });

test('at 1280 nothing is cut in the line or in a select', async ({ page, workshop }) => {
  await workshop.loadDemo();
  /** Texts wider or taller than where they stand, and choices longer than their blank. */
  const cut = () =>
    page.evaluate(() => {
      const brush = document.createElement('canvas').getContext('2d');
      if (!brush) throw new Error('no canvas');
      const texts = Array.from(document.querySelectorAll<HTMLElement>('nav[aria-label="The line"] :is(.title, p)'))
        .filter((el) => el.scrollWidth > el.clientWidth + 1 || el.scrollHeight > el.clientHeight + 2)
        .map((el) => el.textContent?.trim());
      const selects = Array.from(document.querySelectorAll('select'))
        .filter((el) => el.checkVisibility())
        .filter((el) => {
          const style = getComputedStyle(el);
          brush.font = `${style.fontWeight} ${style.fontSize} ${style.fontFamily}`;
          const wide = brush.measureText(el.selectedOptions[0]?.text ?? '').width;
          return wide + parseFloat(style.paddingLeft) + 22 > el.clientWidth;
        })
        .map((el) => el.selectedOptions[0]?.text);
      return [...texts, ...selects];
    });
  const found: string[] = [];
  for (const [machine, letter] of demoPlans) {
    await page.goto(await workshop.plan(machine, letter));
    await expect(answers(page)).toBeVisible();
    for (const name of ['Supply', 'Control', 'Motor', 'Reduction', 'Work']) {
      await station(page, name);
      await expect(page.locator(`[role=tab][aria-selected=true]`)).toContainText(name);
      found.push(...(await cut()).map((text) => `${machine}, ${name}: ${text}`));
    }
  }
  expect([...new Set(found)]).toEqual([]);
});
