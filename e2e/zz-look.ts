import { headline, expect, station, test } from './workshop';
const shots = JSON.parse(process.env.SHOTS ?? '[]') as { machine: string; plan: string; station: string; click?: string; name: string; w?: number; h?: number; inch?: boolean }[];
test('look', async ({ page, workshop }) => {
  await workshop.loadDemo();
  for (const s of shots) {
    await page.setViewportSize({ width: s.w ?? 1280, height: s.h ?? 800 });
    await page.goto(await workshop.plan(s.machine, s.plan));
    await expect(headline(page)).toBeVisible();
    await station(page, s.station);
    if (s.click) await page.getByText(s.click, { exact: true }).first().click();
    await page.waitForTimeout(700);
    await page.screenshot({ path: `/tmp/${s.name}.png` });
  }
});
