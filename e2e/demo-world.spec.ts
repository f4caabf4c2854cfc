import { expect, test } from '@playwright/test';
import { expectAccessible, goOn, jump, lookAtGate, signIn, toPage, toVehicle } from './walk';
import { Workshop } from './workshop';

let workshop: Workshop;
test.beforeAll(async () => {
  workshop = await Workshop.start({ demo: true });
});
test.afterAll(() => workshop.remove());

test('what drains is taken up at its open ends; its timer runs on', async ({ page }) => {
  await page.goto(workshop.url);
  await signIn(page, 'Callum', '135791');
  await goOn(page, 'FH 05');
  await expect(page.getByText('Drain plug out').first()).toBeVisible();
  await expect(page.getByText('Oil filler cap off').first()).toBeVisible();
  await expect(page.getByText(/Draining/).first()).toBeVisible();
  await expectAccessible(page);
});

test('what is ready is signed, and its forecasts stand on the board at once', async ({ page }) => {
  await page.goto(workshop.url);
  await signIn(page, 'Callum', '135791');
  await goOn(page, 'FH 04');
  // Older than ten minutes: whatever came first, the way to signing is on the spine.
  await page.goto(
    page
      .url()
      .replace(/\/(ends|gate)?(\?.*)?$/, '')
      .replace(/\/$/, '') + '/overview',
  );
  await expect(page.getByText('Every point was seen.')).toBeVisible();
  await page.getByRole('button', { name: 'Sign', exact: true }).click();
  await expect(page.getByText(/Signed by Callum/)).toBeVisible();
  await expect(page.getByText('Saved and sent.')).toBeVisible();
  await page.goto(`${workshop.url}/fleet`);
  await expect(page.getByRole('link', { name: /^FH 04 Tread/ })).toBeVisible();
  await expect(page.getByRole('link', { name: /^FH 04 Advisory: / })).toBeVisible();
});

test('a no at the gate waits for a lead, who says why it may be started', async ({ page }) => {
  await page.goto(workshop.url);
  await signIn(page, 'Maren', '112358');
  await goOn(page, 'FH 13');
  const [visit] = /^.*\/visit\/[^/]+/.exec(page.url()) ?? [];
  await page.goto(`${visit}/gate`);
  await expect(page.getByRole('heading', { name: 'Cold gate' })).toBeVisible();
  const why = (question: string) => page.getByLabel(`${question} No. Why it may be started all the same`);
  await why('Ground dry under it?').fill('Overflow of the bottle; wiped and dry since.');
  await page.getByRole('button', { name: 'Let it be started' }).click();
  await expect(page.getByText('Ground dry under it? No. A lead lets it start: Overflow')).toBeVisible();
  await expect(page.getByText('The engine may be started.')).toBeVisible();
  // Over that no, and over nothing else.
  await lookAtGate(page, { oil: '-0.3' });
  await expect(page.getByText('Oil on the stick? No: do not start the engine.')).toBeVisible();
  await expect(page.getByText('The engine may be started.')).toBeHidden();
});

test('a life of three years: renewed parts, their ages and their own lines', async ({ page }) => {
  await page.goto(workshop.url);
  await signIn(page, 'Isla', '246810');
  await toVehicle(page, 'FH 10');
  const vehicle = page.url();
  await toPage(page, 'Wear');
  await expect(page.getByText(/: tyre new .* on it/).first()).toBeVisible();
  await toPage(page, 'Life');
  await page.getByRole('radio', { name: 'Parts' }).click();
  await expect(page.getByText(/New: (tyre|pads)/).first()).toBeVisible();
  await page.goto(`${vehicle}/trend/${encodeURIComponent('tyre.tread@1L:centre')}`);
  await expect(page.getByRole('heading', { name: 'Trend' })).toBeVisible();
  await page.getByRole('button', { name: 'As a table' }).click();
  await expect(page.getByText(/, new part/).first()).toBeVisible();
});

test('what a step needs is done where it is needed, and hangs on the spine until it is closed', async ({ page }) => {
  await page.goto(workshop.url);
  await signIn(page, 'Isla', '246810');
  await goOn(page, 'FH 07');
  await page.goto(page.url().replace(/\/ends.*$/, ''));
  await jump(page, 'coolant strength');
  const group = page.getByRole('group', { name: 'Done to the vehicle for this step' });
  await group.getByRole('button', { name: 'Coolant cap off' }).click();
  await expect(group).toBeHidden();
  await expect(page.getByRole('button', { name: 'Loose ends, 1 open' })).toBeVisible();
  await jump(page, 'rock nearside front');
  await group.getByRole('button', { name: 'Lifted' }).click();
  await group.getByRole('button', { name: 'Stands seated, vehicle shaken' }).click();
  await expect(group).toBeHidden();
  await expectAccessible(page);
  await page.getByRole('button', { name: 'Loose ends, 1 open' }).click();
  await expect(page.getByText('Coolant cap off').first()).toBeVisible();
  await page.getByRole('button', { name: 'Sound at the end: off' }).click();
  await page.reload();
  await expect(page.getByRole('button', { name: 'Sound at the end: on' })).toBeVisible();
});
