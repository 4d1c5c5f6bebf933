import { execFileSync } from 'node:child_process';
import { demoPlans, expect, answers, test } from './workshop';

/** The most pages a sheet may have. */
const sheets = [
  ['speed-plate', 1],
  ['settings', 2],
  ['verdict', 4],
  ['build', 3]
] as const;

for (const paper of ['A4', 'Letter'] as const)
  test(`every sheet of every plan prints on ${paper}, numbered, within its pages`, async ({ page, workshop }, info) => {
    test.setTimeout(240_000);
    await workshop.loadDemo();
    for (const [machine, letter] of demoPlans) {
      const plan = await workshop.plan(machine, letter);
      for (const [sheet, most] of sheets) {
        await page.goto(`${plan}/${sheet}`);
        await expect(page.getByRole('heading', { name: machine })).toBeVisible();
        await page.getByLabel('paper').selectOption(paper);
        const path = info.outputPath(`${machine}-${letter}-${sheet}.pdf`);
        await page.pdf({ path, preferCSSPageSize: true, printBackground: true });
        const pages = Number(/Pages: +(\d+)/.exec(execFileSync('pdfinfo', [path], { encoding: 'utf8' }))?.[1]);
        const which = `${machine}, plan ${letter}, ${sheet}`;
        expect(pages, which).toBeLessThanOrEqual(most);
        const text = execFileSync('pdftotext', ['-layout', path, '-'], { encoding: 'utf8' });
        expect(text, which).toContain(`1 of ${pages}`);
        expect(text, which).not.toMatch(/I_limit|NaN|undefined|back to the plan/);
        if (letter === 'A' && machine === 'Kick wheel, powered') {
          expect(text.slice(0, 700), which).toContain('Do not power it by this sheet');
          expect(text.slice(0, 900).replace(/\s+/g, ' '), which).toContain('Guard the moving parts');
        } else expect(text, which).not.toContain('Do not power it by this sheet');
      }
    }
  });

test('Ctrl P on a plan prints its verdict sheet, and on the wiring the build sheet', async ({ page, workshop }) => {
  await workshop.loadDemo();
  await page.addInitScript(() => {
    window.print = () => document.body.setAttribute('data-printed', location.hash);
  });
  const plan = await workshop.plan('Power hacksaw', 'A');
  await page.goto(plan);
  await expect(answers(page)).toBeVisible();
  await page.keyboard.press('Control+p');
  await expect(page.locator('body')).toHaveAttribute('data-printed', /\/verdict\?print$/);
  await expect(page.getByRole('heading', { name: 'What to set' })).toBeVisible();
  await page.goto(`${plan}/wire`);
  await expect(page.getByRole('img', { name: /^Wiring: / })).toBeVisible();
  await page.keyboard.press('Control+p');
  await expect(page.locator('body')).toHaveAttribute('data-printed', /\/build\?print$/);
});
