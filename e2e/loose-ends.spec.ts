import { expect, test, type Page } from '@playwright/test';
import { arrive, beginVisit, expectAccessible, jump, lookAtGate, signIn, type } from './walk';
import { Workshop } from './workshop';

let workshop: Workshop;
test.beforeAll(async () => {
  workshop = await Workshop.start({ demo: true });
});
test.afterAll(() => workshop.remove());

const toEnds = (page: Page) => page.getByRole('button', { name: /^Loose ends, / }).click();
const choose = (page: Page, group: string, option: string) =>
  page.getByRole('radiogroup', { name: group }).getByRole('radio', { name: option, exact: true }).click();

async function openByHand(page: Page, what: string, fasteners?: string) {
  await page.getByRole('button', { name: 'I have opened something…' }).click();
  await page.getByRole('radio', { name: what, exact: true }).click();
  if (fasteners) await page.getByLabel('How many fasteners hold it').fill(fasteners);
  await page.getByRole('button', { name: 'Write it down as open' }).click();
}

test('killed with two ends open and a wait running, gone on with on another device, closed with proof, signed', async ({
  page,
  browser,
}) => {
  await page.goto(workshop.url);
  await signIn(page, 'Isla', '246810');
  await beginVisit(page, 'FH 02', { meter: '208000', state: 'Stood cold' });
  await toEnds(page);
  await openByHand(page, 'Undertray off', '6');
  await openByHand(page, 'Oil filler cap off');
  await page.getByRole('button', { name: 'Start a timer…' }).click();
  await page.getByRole('radio', { name: /^Draining, 10:00/ }).click();
  await expect(page.getByText(/^9:\d\d left/)).toBeVisible();
  await expectAccessible(page);
  await expect(page.getByText('Saved and sent.')).toBeVisible();
  const url = page.url().replace(/\/ends.*/, '');
  // Power gone: the page, and everything its profile held.
  await page.context().close();

  const context = await browser.newContext({ viewport: { width: 390, height: 844 } });
  const other = await context.newPage();
  await other.goto(workshop.url);
  await signIn(other, 'Callum', '135791');
  await expect(other.getByText('Saved and sent.')).toBeVisible();
  await other.goto(url);
  await expect(other.getByText('You were away. Before going on: this is still open.')).toBeVisible();
  await expect(other.getByText(/Opened .* by Isla/)).toHaveCount(2);
  await expect(other.getByText(/^[89]:\d\d left/)).toBeVisible();

  // Signing is refused with the list, to an inspector without a way round.
  await other.getByRole('button', { name: 'To the walk' }).click();
  await other.getByRole('button', { name: 'Overview and signing' }).click();
  await expect(other.getByRole('heading', { name: 'Still open: 2' })).toBeVisible();
  await other.getByRole('button', { name: 'Sign', exact: true }).click();
  await expect(other.getByRole('button', { name: /^Sign/ })).toBeDisabled();
  await other.getByRole('button', { name: 'To the loose ends' }).click();

  await other.getByRole('button', { name: 'Close it: Undertray off' }).click();
  await other.getByRole('button', { name: 'It is closed: Undertray off' }).click();
  await expect(other.getByText('Fasteners back in: 0 to 6.')).toBeVisible();
  await other.getByLabel('Fasteners back in: Undertray off').fill('5');
  await expect(other.getByText('Not all fasteners are back (6).')).toBeVisible();
  await other.getByRole('button', { name: 'It is so' }).click();
  await other.getByRole('button', { name: 'It is closed: Undertray off' }).click();
  await other.getByRole('button', { name: 'It is closed: Oil filler cap off' }).click();
  await expect(other.getByRole('heading', { name: 'Nothing is open' })).toBeVisible();
  await other.getByRole('button', { name: 'Stop: draining' }).click();
  await expect(other.getByText('Nothing is draining, settling or warming up.')).toBeVisible();

  await other.getByRole('button', { name: 'To the walk' }).click();
  await other.getByRole('button', { name: 'Overview and signing' }).click();
  await other.getByRole('button', { name: 'Sign', exact: true }).click();
  await other.getByRole('button', { name: /^Sign with/ }).click();
  await expect(other.getByText('Undertray off: closed, 5 fasteners in, not all fasteners are back.')).toBeVisible();
  await expect(other.getByText('Saved and sent.')).toBeVisible();
  await other.getByRole('button', { name: 'Sticker and bay card' }).click();
  await expect(other.getByRole('img', { name: 'Opens this vehicle' })).toBeVisible();
  await expect(other.getByRole('group', { name: 'Bay card' }).getByText('Nothing is open.')).toBeVisible();
  await expectAccessible(other);
  const id = /visit\/([0-9a-f-]+)/.exec(url)?.[1] ?? '';
  const visit = await (await other.request.get(`${workshop.url}/api/inspections/${id}`)).json();
  expect(visit.inspection.signedAt).not.toBeNull();
  expect(visit.inspection.signedOver).toBeNull();
  await context.close();
});

test('the cold gate keeps the engine off; an oil service drains, fills in stages and asks about a wrong torque', async ({
  page,
}) => {
  await page.goto(workshop.url);
  await signIn(page, 'Isla', '246810');
  await arrive(page, 'FH 11');
  await page.getByLabel('Odometer, km').fill('41100');
  await page.getByRole('radio', { name: 'Stood cold' }).click();
  await page.getByLabel('Hours it has stood').fill('11');
  await page.getByRole('radio', { name: '¾', exact: true }).click();
  await page.getByRole('button', { name: 'To the cold gate' }).click();
  await lookAtGate(page, { oil: '-0.2', coolant: '0.7', belts: 'sound' });
  await expect(page.getByText('Oil on the stick? No: do not start the engine.')).toBeVisible();
  // What lies on the ground is told as the leak it is.
  const ground = page.getByRole('group', { name: 'Ground dry under it?' });
  await ground.getByRole('button', { name: 'Something lies there…' }).click();
  await ground.getByRole('radio', { name: 'Drop forming' }).click();
  await expect(page.getByText('Ground dry under it? No: do not start the engine.')).toBeVisible();
  await ground.getByRole('checkbox', { name: 'Dry', exact: true }).click();
  await expect(page.getByText('Ground dry under it? No')).toBeHidden();
  await page.getByRole('button', { name: 'To the walk' }).click();
  await toEnds(page);
  const start = page.getByRole('button', { name: 'Start engine' });
  await expect(start).toBeDisabled();
  await page.goBack();
  await page.goto(`${page.url()}/gate`);
  await lookAtGate(page, { oil: '0.8' });
  await expect(page.getByText('Passed: the engine may be started.')).toBeVisible();
  await page.getByRole('button', { name: 'To the walk' }).click();
  await toEnds(page);
  await start.click();

  // The route is planned anew and says what comes next.
  await page.getByRole('button', { name: 'To the walk' }).click();
  await page.getByRole('button', { name: 'Jump to a point' }).click();
  await expect(page.getByText(/ min: Underside/).first()).toBeVisible();
  await expect(page.getByText(/min to go/)).toBeVisible();
  await page.getByRole('button', { name: 'Close', exact: true }).click();
  await toEnds(page);

  // While it runs the stick tells nothing true: kept, marked, asked again.
  await page.getByRole('button', { name: 'To the walk' }).click();
  await jump(page, 'cold.oil');
  await type(page, 'Engine oil on the stick', '0.7');
  await expect(page.getByText(/Kept, but not judged: it wants .*Read it again then/)).toBeVisible();
  await toEnds(page);
  await page.getByRole('button', { name: 'Engine off' }).click();
  await expect(page.getByText('Settling')).toBeVisible();

  await page.getByRole('button', { name: 'Begin an oil service' }).click();
  await page.getByRole('button', { name: 'Filler cap off', exact: true }).click();
  await page.getByRole('button', { name: 'Drain plug out', exact: true }).click();
  await expect(page.getByText('Draining')).toBeVisible();
  await expect(page.getByText(/Do not start: .*drain plug out, engine oil to fill/)).toBeVisible();
  await page.getByRole('button', { name: 'Filter off', exact: true }).click();
  await page.getByRole('button', { name: 'Close it: Drain plug out' }).click();
  const torque = page.getByRole('textbox', { name: 'Torque: Drain plug out' });
  await torque.fill('5000');
  await torque.press('Enter');
  await expect(page.getByText(/ to \d+ N·m/).first()).toBeVisible();
  await torque.fill('30');
  await torque.press('Enter');
  await choose(page, 'Washer', 'Reused');
  await expect(page.getByText('This workshop always fits a new washer.')).toBeVisible();
  await choose(page, 'Washer', 'New');
  await page.getByRole('button', { name: 'It is closed: Drain plug out' }).click();
  await expect(page.getByText(/Drain plug out: closed/)).toBeVisible();
  const stage = page.getByRole('textbox', { name: 'Litres of this stage' });
  await stage.fill('2.5');
  await stage.press('Enter');
  await expect(page.getByText(/2\.50? L in so far/)).toBeVisible();
  await expectAccessible(page);
});
