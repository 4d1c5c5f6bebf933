import { execFileSync } from 'node:child_process';
import { readFileSync, writeFileSync } from 'node:fs';
import type { Page } from '@playwright/test';
import { expect, find, answers, saved, station, test } from './workshop';

test('the demo is loaded when asked, and its four machines have verdicts', async ({ page, workshop }) => {
  await page.goto(workshop.url);
  await page.getByRole('button', { name: 'load Quarry Lane shed' }).click();
  for (const name of ['Kick wheel, powered', 'Cider mill', 'Power hacksaw', 'Honey extractor'])
    await expect(page.getByRole('region', { name })).toBeVisible();
  await expect(page.getByText('3 of 3, the tightest with', { exact: false })).toHaveCount(2);
  await page.getByRole('link', { name: 'Open plan B of Kick wheel, powered' }).click();
  await expect(answers(page)).toContainText('2 of 3');
});

test('machines and plans are added, renamed, copied, deleted and brought back', async ({ page, workshop }) => {
  await workshop.loadDemo();
  await page.goto(workshop.url);
  await page.getByRole('button', { name: 'Rename Cider mill', exact: true }).click();
  await page.getByRole('textbox', { name: 'New name of Cider mill' }).fill('Apple scratter');
  await page.keyboard.press('Enter');
  const row = page.getByRole('region', { name: 'Apple scratter', exact: true });
  await expect(row).toBeVisible();
  await row.getByRole('button', { name: 'Copy plan A of Apple scratter' }).click();
  await expect(row.getByRole('link', { name: 'Open plan B' })).toBeVisible();
  await row.getByRole('button', { name: 'Delete plan B of Apple scratter' }).click();
  await expect(row.getByRole('link', { name: 'Open plan B' })).toHaveCount(0);
  await page.getByRole('button', { name: 'Undo', exact: true }).click();
  await expect(row.getByRole('link', { name: 'Open plan B' })).toBeVisible();
  await page.getByRole('button', { name: 'Delete Apple scratter', exact: true }).click();
  await expect(row).toHaveCount(0);
  await page.keyboard.press('Control+z');
  await expect(row).toBeVisible();
});

test('findings lead to their field and remedies lift the job', async ({ page, workshop }) => {
  await workshop.loadDemo();
  await page.goto(await workshop.plan('Kick wheel, powered', 'A'));
  await expect(answers(page)).toContainText('May it be powered? No');
  await page.getByRole('button', { name: /A if it stalls with no limit/ }).click();
  await expect(page.getByLabel('Current limit as set')).toBeFocused();
  await page.getByLabel('Current limit as set').fill('4.2 A');
  await expect(page.getByRole('button', { name: /A if it stalls with no limit/ })).toHaveCount(0);
  await page.getByRole('button', { name: "Can turn faster than the spindle's limit", exact: true }).click();
  await expect(page.getByRole('textbox', { name: 'or', exact: true })).toBeFocused();
  await page.keyboard.type('79 %');
  await answers(page).getByRole('button', { name: 'First: Guard the moving parts' }).click();
  await expect(page.getByRole('checkbox', { name: 'Guarded' })).toBeFocused();
  await page.keyboard.press('Space');
  await expect(answers(page)).not.toContainText('May it be powered? No');
  await page.getByRole('button', { name: 'Add a choke' }).first().click();
  await station(page, 'Control');
  await expect(page.getByRole('checkbox', { name: 'Choke in the motor lead' })).toBeChecked();
  await saved(page);
});

test('inch shows other figures and rewrites nothing typed', async ({ page, workshop }) => {
  await workshop.loadDemo();
  await page.goto(await workshop.plan('Kick wheel, powered', 'B'));
  await station(page, 'Motor');
  await expect(page.getByRole('button', { name: /^Rated torque: 2.03.N·m/ }).first()).toBeVisible();
  await page.getByRole('radio', { name: 'inch' }).click();
  await expect(page.getByRole('button', { name: /^Rated torque: 1.5.lbf·ft/ }).first()).toBeVisible();
  await expect(page.getByLabel('Diameter')).toHaveValue('102 mm');
  await saved(page);
});

test('the read-out follows pointer and keys, and names what binds', async ({ page, workshop }) => {
  await workshop.loadDemo();
  await page.goto(await workshop.plan('Kick wheel, powered', 'B'));
  const chart = page.getByRole('slider', { name: /^Reach of the spindle/ });
  await chart.focus();
  await page.keyboard.press('ArrowRight');
  await expect(chart).toHaveAttribute('aria-valuetext', /rpm: all day .* N·m, .* W, held by motor heat/);
  const box = await chart.boundingBox();
  if (!box) throw new Error('no chart');
  await page.mouse.move(box.x + box.width * 0.4, box.y + box.height / 2);
  await expect(page.getByText('5 in 15 min')).toBeVisible();
  await page.getByRole('radio', { name: 'power' }).click();
  await expect(page.getByRole('heading', { name: /power at the spindle/i })).toBeVisible();
});

test('the finder goes to fields and does things by keyboard', async ({ page, workshop }) => {
  await workshop.loadDemo();
  await page.goto(await workshop.plan('Kick wheel, powered', 'B'));
  await expect(answers(page)).toBeVisible();
  await find(page, 'reduction bench');
  await expect(page.getByRole('region', { name: 'Reduction, end on, to scale' })).toBeVisible();
  await find(page, 'night');
  await expect(page.locator('html')).toHaveAttribute('data-theme', 'night');
});

test('a file goes out and comes back; a broken one changes nothing', async ({ page, workshop }, info) => {
  await workshop.loadDemo();
  await page.goto(workshop.url);
  const download = page.waitForEvent('download');
  await page.getByRole('button', { name: 'export the workshop' }).click();
  const path = info.outputPath('workshop.json');
  await (await download).saveAs(path);
  await page.getByLabel('import a file').setInputFiles(path);
  await expect(page.getByText('Added 4 machines, 5 plans and 17 parts.')).toBeVisible();
  await expect(page.getByRole('region', { name: 'Cider mill' })).toHaveCount(2);
  // Dropped anywhere on the page it is brought in as well.
  const dropped = await page.evaluateHandle(
    (text) => {
      const data = new DataTransfer();
      data.items.add(new File([text], 'workshop.json', { type: 'application/json' }));
      return data;
    },
    readFileSync(path, 'utf8')
  );
  await page.getByRole('main').dispatchEvent('drop', { dataTransfer: dropped });
  await expect(page.getByRole('region', { name: 'Cider mill' })).toHaveCount(3);
  const broken = info.outputPath('broken.json');
  writeFileSync(broken, '{"format":"jiriki","version":1,\n"machines":[{"machine":');
  await page.getByLabel('import a file').setInputFiles(broken);
  await expect(page.getByRole('alert')).toContainText(
    'Nothing was changed. line 2, column 23: the file breaks off here'
  );
  await expect(page.getByRole('region', { name: 'Cider mill' })).toHaveCount(3);
});

for (const paper of ['A4', 'Letter'] as const)
  test(`the speed plate prints on ${paper}`, async ({ page, workshop }, info) => {
    await workshop.loadDemo();
    await page.goto(`${await workshop.plan('Kick wheel, powered', 'B')}/speed-plate`);
    await expect(page.getByRole('heading', { name: 'Kick wheel, powered' })).toBeVisible();
    await page.getByLabel('paper').selectOption(paper);
    const path = info.outputPath('plate.pdf');
    await page.pdf({ path, preferCSSPageSize: true, printBackground: true });
    const text = execFileSync('pdftotext', ['-layout', path, '-'], { encoding: 'utf8' });
    expect(text).toContain('Never over');
    expect(text).toMatch(/300 *rpm/);
    expect(text).toContain('Trimming');
    expect(text).not.toContain('back to the plan');
    const facts = execFileSync('pdfinfo', [path], { encoding: 'utf8' });
    expect(facts).toMatch(/Pages: +1\n/);
    expect(facts).toMatch(paper === 'A4' ? /Page size: +59[45].* x 84[12]/ : /Page size: +612 x 792/);
  });

/** What of the reach's names covers another, a band of a job, or leaves the drawing. */
const covered = (page: Page) =>
  page.locator('.job text:not(.halo), [aria-label="Reach"] text.says').evaluateAll((texts) => {
    const boxes = texts.map((t) => t.getBoundingClientRect());
    const crossed = (box: DOMRect) =>
      Array.from(document.querySelectorAll<SVGPathElement>('.job > path')).some((path) => {
        const toScreen = path.getScreenCTM();
        return Array.from({ length: 61 }, (_, i) => path.getPointAtLength((path.getTotalLength() * i) / 60)).some(
          (at) => {
            const p = at.matrixTransform(toScreen ?? undefined);
            // Letters without tails and accents fill the middle of their box.
            return p.x > box.left && p.x < box.right && p.y > box.top + 4 && p.y < box.bottom - 2;
          }
        );
      });
    const overlaps = (a: DOMRect, b: DOMRect) =>
      a.left < b.right && b.left < a.right && a.top + 4 < b.bottom && b.top + 4 < a.bottom;
    const drawing = texts[0]?.closest('svg')?.getBoundingClientRect();
    return texts
      .filter((t, i) =>
        boxes.some(
          (mine, at) =>
            at === i &&
            ((t.closest('.job') && crossed(mine)) ||
              boxes.some((b, k) => k !== i && overlaps(mine, b)) ||
              (drawing && (mine.left < drawing.left - 1 || mine.right > drawing.right + 1)))
        )
      )
      .map((t) => t.textContent);
  });

test('on the reach no name covers another or a band, at four widths', async ({ page, workshop }) => {
  await workshop.loadDemo();
  for (const machine of ['Honey extractor', 'Kick wheel, powered', 'Power hacksaw', 'Cider mill']) {
    for (const width of [1280, 1024, 768, 390]) {
      await page.setViewportSize({ width, height: 900 });
      await page.goto(await workshop.plan(machine, 'A'));
      await expect(page.locator('.job text:not(.halo)').first()).toBeVisible();
      await expect.poll(() => covered(page), `${machine}, ${width} px`).toEqual([]);
    }
  }
});

test('eight jobs are told by numbers, with their names in a key', async ({ page, workshop }) => {
  await workshop.loadDemo();
  await page.goto(await workshop.plan('Kick wheel, powered', 'B'));
  await station(page, 'Work');
  for (let i = 0; i < 5; i++) {
    await page.getByRole('button', { name: 'add a job' }).click();
    await page
      .getByRole('textbox', { name: 'Slowest', exact: true })
      .last()
      .fill(`${30 + 15 * i}`);
    await page
      .getByRole('textbox', { name: 'Fastest', exact: true })
      .last()
      .fill(`${60 + 30 * i}`);
    await page
      .getByRole('textbox', { name: 'Torque at the spindle' })
      .last()
      .fill(`${2 + i} N·m`);
  }
  const key = page.getByRole('list', { name: 'Jobs on the chart' });
  await expect(key.getByRole('listitem')).toHaveCount(8);
  await expect(key).toContainText('Big pots');
  await saved(page);
  for (const width of [1280, 1024, 768, 390]) {
    await page.setViewportSize({ width, height: 900 });
    await expect.poll(() => covered(page), `${width} px`).toEqual([]);
  }
});
