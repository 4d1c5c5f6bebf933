import { expect, test, type Workshop } from './workshop';
import type { Page } from '@playwright/test';

const desk = { width: 1280, height: 800 };
const phone = { width: 390, height: 844 };

/** What is said of a machine, how its tests come out that do not come out sound, and what it turns out to be. */
interface Tale {
  machine: string;
  letter: string;
  says: string;
  symptom: string;
  found: Record<string, RegExp>;
  is: string;
  /** Nothing that has power on it may be asked for. */
  off?: boolean;
}

/** Opens "What is wrong?" of a plan, and says what it does in a person's own words. */
async function say(page: Page, workshop: Workshop, tale: Tale) {
  await page.goto(`${await workshop.plan(tale.machine, tale.letter)}/what-is-wrong`);
  await page.getByLabel(/What does it do/).fill(tale.says);
  // The first that is offered is the one that is meant.
  await expect(page.getByRole('list', { name: 'Symptoms' }).getByRole('button').first()).toHaveText(tale.symptom);
  await page.getByRole('button', { name: tale.symptom, exact: true }).click();
}

/** Makes the tests that are asked for, one after another, until one cause was found. */
async function follow(page: Page, tale: Tale) {
  const outcomes = page.getByRole('group', { name: 'How it came out' });
  const enough = page.getByText('That is enough to go by.');
  for (let made = 0; made < 7; made++) {
    await expect(outcomes.or(enough)).toBeVisible();
    if (await enough.isVisible()) break;
    if (tale.off) await expect(page.getByText(/^(Power on, nothing opened|Live: with a meter)/)).toHaveCount(0);
    const name = await page.locator('#next-test').innerText();
    const found = tale.found[name];
    const way = outcomes.getByRole('button');
    await (found ? way.filter({ hasText: found }) : way).first().click();
    await expect(page.getByText(`Tried so far: ${made + 1}`)).toBeVisible();
  }
  await expect(enough).toBeVisible();
  await expect(page.getByRole('heading', { name: tale.is, exact: true })).toBeVisible();
}

async function mendAndLog(page: Page, workshop: Workshop, tale: Tale) {
  await page
    .getByRole('button', { name: /^(Mended|Replaced): log it$/ })
    .first()
    .click();
  await expect(page.getByText('is in the log.')).toBeVisible();
  await page.goto(`${await workshop.plan(tale.machine, tale.letter)}/log`);
  await expect(page.getByText(tale.is, { exact: true })).toBeVisible();
}

const tales: Tale[] = [
  {
    machine: 'Power hacksaw',
    letter: 'A',
    says: 'I get a tingle off the vise when I lean on it',
    symptom: 'The frame tingles',
    found: { 'Earth to frame': /more, or open/ },
    is: 'The frame is not earthed',
    off: true
  },
  {
    machine: 'Power hacksaw',
    letter: 'A',
    says: 'breaker goes bang the moment I switch it on',
    symptom: 'Breaker trips at once',
    found: {
      'When exactly does it trip?': /the moment it is started/,
      'Which one tripped?': /the breaker/,
      'Start capacitor, off its leads': /next to no ohms/
    },
    is: 'Start capacitor has shorted',
    off: true
  },
  {
    machine: 'Power hacksaw',
    letter: 'A',
    says: 'after ten minutes of sawing the overload kicks out',
    symptom: 'Breaker or overload trips after minutes',
    found: {
      'When exactly does it trip?': /when it is warm/,
      "Overload relay's mark": /set under them/,
      'Let it cool, try again': /until it is warm/,
      'A lighter cut, or none': /it holds/
    },
    is: "Overload relay is set under the plate's amps"
  },
  {
    machine: 'Hoist',
    letter: 'B',
    says: 'the hoist came on by itself when the electricity came back',
    symptom: 'Starts by itself',
    found: {
      'When did it start?': /as power came back/,
      'The contactor, by hand': /a pair stays closed/
    },
    is: 'Contacts are welded shut',
    off: true
  }
];

for (const tale of tales)
  for (const [where, size] of Object.entries({ 'at the desk': desk, 'on a phone': phone }))
    test(`"${tale.says}", ${where}`, async ({ page, workshop }) => {
      await workshop.loadDemo();
      if (tale.machine === 'Hoist')
        await workshop.save(await workshop.sheet('Kick wheel, powered', 'B'), { name: 'Hoist', kind: 'other' });
      await page.setViewportSize(size);
      await say(page, workshop, tale);
      await follow(page, tale);
      await mendAndLog(page, workshop, tale);
    });

test('what was seen once is looked at again, and what was tried is taken back', async ({ page, workshop }) => {
  await workshop.loadDemo();
  const tale = {
    machine: 'Kick wheel, powered',
    letter: 'B',
    says: 'the belt squeals when it starts',
    symptom: 'Squeals as it starts'
  } as Tale;
  await say(page, workshop, tale);
  await expect(page.getByRole('heading', { name: 'Press the belt' })).toBeVisible();
  // Nor does a double click look twice.
  await page.getByRole('button', { name: /^slack/ }).dblclick();
  await expect(page.getByText('Tried so far: 1')).toBeVisible();
  await expect(page.getByText('It was seen once.')).toBeVisible();
  await expect(page.getByRole('heading', { name: 'Press the belt' })).toBeVisible();
  await page.getByRole('button', { name: /^slack/ }).click();
  await expect(page.getByText('That is enough to go by.')).toBeVisible();
  // A phone lets go of a page while its owner holds a meter.
  await page.reload();
  await expect(page.getByText('That is enough to go by.')).toBeVisible();
  await page.getByRole('button', { name: 'take it back: Press the belt' }).first().click();
  await expect(page.getByText('It was seen once.')).toBeVisible();
});

test('it was something else: any cause is logged, and one in own words', async ({ page, workshop }) => {
  await workshop.loadDemo();
  const tale = {
    machine: 'Power hacksaw',
    letter: 'A',
    says: 'it just hums',
    symptom: 'Hums, and will not start'
  } as Tale;
  await say(page, workshop, tale);
  await page.getByText(/^it was something else/).click();
  await page.getByLabel('What was it?').fill('spindle');
  await page.getByRole('button', { name: "Spindle's bearings are dry, tight or gone" }).click();
  await page.getByRole('list', { name: 'Other causes' }).getByRole('button', { name: 'Mended: log it' }).click();
  await expect(page.getByText('is in the log.')).toBeVisible();
  await page.getByRole('button', { name: 'it does something else' }).click();
  await page.getByLabel(/What does it do/).fill('it just hums');
  await page.getByRole('button', { name: tale.symptom, exact: true }).click();
  await page.getByText(/^it was something else/).click();
  await page.getByLabel('What was it?').fill('A mouse nest under the fan cover');
  await page.getByRole('button', { name: 'Mended: log “A mouse nest under the fan cover”' }).click();
  await page.goto(`${await workshop.plan(tale.machine, tale.letter)}/log`);
  await expect(page.getByText('A mouse nest under the fan cover', { exact: true })).toBeVisible();
  await expect(page.getByText("Spindle's bearings are dry, tight or gone", { exact: true })).toBeVisible();
});
