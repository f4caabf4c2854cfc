import { expect, test, type Page } from '@playwright/test';
import { arrive, expectAccessible, jump, lookAtGate, signIn, toPage, toPlace, toVehicle, type } from './walk';
import { Workshop } from './workshop';

let workshop: Workshop;
test.beforeAll(async () => {
  workshop = await Workshop.start({ demo: true });
});
test.afterAll(() => workshop.remove());

const toEnds = (page: Page) => page.getByRole('button', { name: /^Loose ends, / }).click();
const toWalk = (page: Page) => page.getByRole('button', { name: 'To the walk' }).click();
const choose = (page: Page, group: string, option: string) =>
  page.getByRole('radiogroup', { name: group }).getByRole('radio', { name: option, exact: true }).click();

/** Closes an end with its proof: figures by their field, choices by their group. */
async function close(page: Page, end: string, figures: Record<string, string>, choices: Record<string, string> = {}) {
  // What needs no proof is closed with one touch.
  const needsProof = Object.keys(figures).length + Object.keys(choices).length > 0;
  if (needsProof) await page.getByRole('button', { name: `Close it: ${end}` }).click();
  for (const [field, value] of Object.entries(figures)) {
    const box = page.getByRole('textbox', { name: new RegExp(`^${field}`) });
    await box.fill(value);
    await box.press('Enter');
  }
  for (const [group, option] of Object.entries(choices)) await choose(page, group, option);
  await page.getByRole('button', { name: `It is closed: ${end}` }).click();
}

test('an oil service on a cold-gated van, signed; the due date counts from it, and the wheel bolts come again until they are done', async ({
  page,
}) => {
  await page.goto(workshop.url);
  await signIn(page, 'Maren', '112358');
  await arrive(page, 'FH 11');
  await page.getByLabel('Odometer, km').fill('41100');
  await page.getByRole('radio', { name: 'Stood cold' }).click();
  await page.getByLabel('Hours it has stood').fill('11');
  await page.getByRole('radio', { name: 'Full', exact: true }).click();
  await page.getByRole('button', { name: 'To the cold gate' }).click();
  // Low, but there is some: the engine may be started, and the walk does not ask for it again.
  await lookAtGate(page, { oil: '0.1', coolant: '0.7', belts: 'sound', ground: 'dry' });
  await expect(page.getByText('Passed: the engine may be started.')).toBeVisible();
  await expectAccessible(page);
  await toWalk(page);
  await expect(page.getByRole('heading', { name: 'Brake fluid present' })).toBeVisible();
  // The same oil with the bonnet up: what it was is said and counts here too; nothing is asked again.
  await jump(page, 'oil.level');
  await expect(page.getByText('Earlier today, engine oil on the stick: 0.10.')).toBeVisible();
  await expect(page.getByText('Advisory', { exact: true }).first()).toBeVisible();

  await toEnds(page);
  await page.getByRole('button', { name: 'Start engine' }).click();
  await page.getByRole('button', { name: 'Engine off' }).click();
  await page.getByRole('button', { name: 'Begin an oil service' }).click();
  await page.getByRole('button', { name: 'Filler cap off', exact: true }).click();
  await page.getByRole('button', { name: 'Drain plug out', exact: true }).click();
  // While it drains, a wheel comes off.
  await page.getByRole('button', { name: 'I have opened something…' }).click();
  await page.getByRole('radio', { name: 'Wheel off', exact: true }).click();
  await page.getByRole('radio', { name: 'Nearside front', exact: true }).click();
  await page.getByRole('button', { name: 'Write it down as open' }).click();
  await page.getByRole('button', { name: 'Filter off', exact: true }).click();
  await close(page, 'Oil filter off', {}, { 'Old seal came off with the filter': 'Yes' });
  await close(page, 'Drain plug out', { Torque: '30' }, { Washer: 'New' });
  await expect(page.getByText(/Do not start: .*engine oil to fill/)).toBeVisible();
  const stage = page.getByRole('textbox', { name: 'Litres of this stage' });
  for (const litres of ['3.9', '1.1']) {
    await stage.fill(litres);
    await stage.press('Enter');
  }
  await expect(page.getByText(/5\.00? L in so far/)).toBeVisible();
  await close(page, 'Oil filler cap off', {});
  await page.getByRole('button', { name: 'Start engine' }).click();
  await toWalk(page);
  await jump(page, 'cabin.oillamp');
  await type(page, 'Oil lamp out after', '3');
  await toEnds(page);
  await page.getByRole('button', { name: 'Engine off' }).click();
  await close(page, 'Engine oil to fill', { 'Litres put in': '5.0', 'Level afterwards': '0.9' });
  await page.getByRole('button', { name: 'The dash shows the new interval: Service indicator to reset' }).click();
  await close(
    page,
    'Wheel off',
    { 'Fasteners back in': '6', Torque: '120' },
    { 'Tightened on the ground, crosswise': 'Yes' },
  );
  await expectAccessible(page);
  await toWalk(page);
  await page.getByRole('button', { name: 'Overview and signing' }).click();
  await page.getByRole('button', { name: 'Sign', exact: true }).click();
  await page.getByRole('button', { name: /^Sign with/ }).click();
  await expect(page.getByText(/^Signed by Maren/)).toBeVisible();

  // The job stands, and what falls due is counted from it; the low oil of the morning is settled.
  await page.goto(workshop.url);
  const bolts = page.getByRole('button', { name: 'Wheel bolts of FH 11: torqued again, crosswise' });
  await expect(bolts).toBeVisible();
  await toVehicle(page, 'FH 11');
  await expect(page.getByText('Wheel bolts again: 41\u202f150 km to 41\u202f200 km')).toBeVisible();
  await expect(page.getByText(/^Next Engine oil and filter: 61.100 km or /)).toBeVisible();
  await expect(page.getByRole('link', { name: /^Top coolant hose Advisory/ })).toBeVisible();
  await expect(page.getByRole('link', { name: /^Engine oil on the stick (Advisory|Fail)/ })).toHaveCount(0);

  // The bolts come again until somebody has torqued them: a look that saw none changes nothing, an entry does.
  await toPage(page, 'Life');
  await page.getByRole('button', { name: /^Write down fuel/ }).click();
  await page.getByRole('radio', { name: 'Job done' }).click();
  await page.getByRole('radio', { name: 'Wheel bolts torqued again' }).click();
  await page.getByLabel('Odometer, km').fill('41180');
  await page.getByRole('button', { name: 'Keep', exact: true }).click();
  await toPage(page, 'Now');
  await expect(page.getByText(/^Next Engine oil and filter/)).toBeVisible();
  await expect(page.getByText(/^Wheel bolts again/)).toHaveCount(0);
  await toPlace(page, 'Yard');
  await expect(page.getByRole('heading', { name: 'All vehicles' })).toBeVisible();
  await expect(bolts).toHaveCount(0);
});
