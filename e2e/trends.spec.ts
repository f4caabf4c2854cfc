import { expect, test } from '@playwright/test';
import { expectAccessible, goOn, jump, signIn, toPage, toPlace, toVehicle, type } from './walk';
import { Workshop } from './workshop';

let workshop: Workshop;
test.beforeAll(async () => {
  workshop = await Workshop.start({ demo: true });
});
test.afterAll(() => workshop.remove());

test('a life sheet tells what changed, takes fuel, a new part and a rotation, and gives them back', async ({
  page,
}) => {
  await page.goto(workshop.url);
  await signIn(page, 'Callum', '135791');
  await toVehicle(page, 'FH 07');
  await expect(page.getByText(/The inner pad nearside front wears about .* times as fast since/)).toBeVisible();
  await expectAccessible(page);
  const vehicle = page.url();
  await toPage(page, 'Wear');
  await expect(page.getByText(/Uses about \d+ % more fuel since .* Brakes that drag/)).toBeVisible();
  await expect(page.getByText(/Engine oil, rear crank seal: .*Two stages worse/)).toBeVisible();
  await expectAccessible(page);
  await toPage(page, 'Life');
  await expect(page.getByText(/L per 100 km, full to full/)).toBeVisible();
  await expectAccessible(page);

  await page.getByRole('button', { name: /^Write down/ }).click();
  // A tired hand: no litres, and a meter that no vehicle has.
  await page.getByRole('button', { name: 'Keep' }).click();
  await expect(page.getByText(/^How much: 0.01 L to/)).toBeVisible();
  await page.getByLabel('How much, L').fill('48');
  await page.getByLabel(/^Odometer/).fill('99999999999');
  await page.getByRole('button', { name: 'Keep' }).click();
  await expect(page.getByText(/^Meter: 0 to/)).toBeVisible();
  await page.getByLabel(/^Odometer/).fill('8320');
  await page.getByRole('button', { name: 'Keep' }).click();
  await expect(page.getByText(/^Behind the last visit/)).toBeVisible();
  await page.getByLabel(/^Odometer/).fill('83200');
  await page.getByRole('button', { name: 'Keep' }).click();
  await expect(page.getByText('Fuel 48.00 L, full')).toBeVisible();
  await expect(page.getByText('83\u202f200 km')).toBeVisible();
  // A long trip that is coming moves the dates; without a distance it is no plan.
  await page.getByRole('button', { name: /^Write down/ }).click();
  await page.getByRole('radio', { name: 'Coming trip' }).click();
  await page.getByRole('button', { name: 'Keep' }).click();
  await expect(page.getByText(/^How far: 1 km to/)).toBeVisible();
  await page.getByLabel('How far over what is usual, km').fill('2500');
  await page.getByRole('radio', { name: '2 weeks' }).click();
  await page.getByRole('button', { name: 'Keep' }).click();
  await expect(page.getByText(/Coming trip: 2.500 km over what is usual, by/)).toBeVisible();
  await page.getByRole('button', { name: /^Write down/ }).click();
  await page.getByRole('radio', { name: 'New part' }).click();
  await page.getByRole('radio', { name: 'Pads' }).click();
  await page.getByRole('button', { name: 'Keep' }).click();
  await expect(page.getByText('Where: choose the wheel')).toBeVisible();
  await page.getByRole('radio', { name: 'Nearside front' }).click();
  await page.getByLabel('Measured when new, mm').fill('11.6');
  await page.getByRole('button', { name: 'Keep' }).click();
  await expect(page.getByText(/^New: pads nearside front/)).toBeVisible();
  await toPage(page, 'Wear');
  await expect(page.getByText(/Nearside front: pads new/)).toBeVisible();
  await expect(page.getByText('Saved and sent.')).toBeVisible();
  await page.reload();
  await expect(page.getByText(/Nearside front: pads new/)).toBeVisible();
  await page.goBack();
  await page.getByRole('button', { name: 'Take back: New: pads nearside front' }).click();
  await page.goForward();
  await expect(page.getByRole('heading', { name: 'Parts', exact: true })).toBeVisible();
  await expect(page.getByText(/Nearside front: pads new/)).toBeHidden();

  // A reading that was not of this part leaves the line, and comes back.
  await page.goto(`${vehicle}/trend/${encodeURIComponent('pad.inner@1L:whole')}`);
  await page.getByRole('button', { name: 'As a table' }).click();
  const misreads = page.getByRole('button', { name: /^Misread on/ });
  await expect(misreads).toHaveCount(5);
  await misreads.first().click();
  await expect(misreads).toHaveCount(4);
  await expect(page.getByText(/Called a misread: Inner pad/)).toBeVisible();
  await toPage(page, 'Life');
  await page.getByRole('button', { name: /^Take back: Called a misread/ }).click();
  await toPage(page, 'Now');
  await expect(page.getByText(/The inner pad nearside front wears about .* times as fast since/)).toBeVisible();

  await page.goto(workshop.url);
  await toVehicle(page, 'FH 11');
  await toPage(page, 'Wear');
  await expect(page.getByText(/tyre that came with it, here since/).first()).toBeVisible();
  await page.getByRole('button', { name: 'Rotate tyres' }).click();
  // Nobody crosses tyres that have an arrow, nor such as nobody looked at for one.
  const sides = page.getByRole('radio', { name: 'Left to right' });
  await expect(sides).toHaveCount(0);
  await page.getByRole('radio', { name: 'No arrow' }).click();
  await expect(sides).toBeVisible();
  await page.getByRole('button', { name: 'Rotated', exact: true }).click();
  await toPage(page, 'Life');
  await expect(page.getByText(/Tyres rotated: /).first()).toBeVisible();
  // Two marks on the line of time are compared, whichever was marked first.
  await page.getByRole('button', { name: 'Compare two' }).click();
  const compare = page.getByRole('button', { name: 'Compare the two marked' });
  await expect(compare).toBeDisabled();
  const marks = page.getByRole('checkbox', { name: /to compare$/ });
  await marks.nth(0).click();
  await marks.nth(1).click();
  await expectAccessible(page);
  await compare.click();
  await expect(page.getByRole('table', { name: 'Figures that moved' })).toBeVisible();
  await expectAccessible(page);
});

test('the fleet board and the scorecard, wide and by keyboard', async ({ page }) => {
  await page.setViewportSize({ width: 1280, height: 800 });
  await page.goto(workshop.url);
  await signIn(page, 'Maren', '112358');
  await toPlace(page, 'Fleet');
  await expect(page.getByRole('img', { name: /^Run-out calendar: FH/ })).toBeVisible();
  await expect(page.getByRole('table', { name: 'Parts to expect by month' })).toBeVisible();
  await expect(page.getByText(/FH 07: The inner pad nearside front/)).toBeVisible();
  await expect(page.getByRole('heading', { name: 'The bay’s week' })).toBeVisible();
  await expectAccessible(page);
  await page.getByRole('radio', { name: 'Car', exact: true }).click();
  await expect(page.getByText(/FH 07: The inner pad nearside front/)).toHaveCount(0);
  await page.getByRole('radio', { name: 'All vehicles' }).click();
  await page.getByRole('radio', { name: 'Tyres' }).focus();
  await page.keyboard.press('Enter');
  await expect(page.getByText(/^FH 07 [^:]*[Ii]nner pad/)).toHaveCount(0);
  await page.getByRole('link', { name: /Tread/ }).first().click();
  await expect(page.getByRole('heading', { name: 'Trend' })).toBeVisible();
  await expect(page.getByText(/Reaches 1.6 mm|Is under 1.6 mm/)).toBeVisible();

  await page.goto(`${workshop.url}/scorecard`);
  await expect(page.getByRole('heading', { name: 'Tyre tread' })).toBeVisible();
  await expect(page.getByText(/of the distances fell within the 8-in-10 range/).first()).toBeVisible();
  await expectAccessible(page);
});

test('a battery fades and brake fluid fills with water: by when, and when to look again', async ({ page }) => {
  await page.goto(workshop.url);
  await signIn(page, 'Isla', '246810');
  await toVehicle(page, 'FH 03');
  await toPage(page, 'Wear');
  await expect(page.getByText(/Loses \d+ kPa a month since/).first()).toBeVisible();
  await page.getByRole('link', { name: /^Battery \d+ % of rated/ }).click();
  await expect(page.getByRole('heading', { name: 'Cranking current' })).toBeVisible();
  await expect(page.getByRole('img', { name: /^Cranking current: \d+ % of rated, / })).toBeVisible();
  await expect(page.getByText(/^Reaches 60 % of rated between .* \(8 in 10\)\./)).toBeVisible();
  await expect(page.getByText(/^Look again by /)).toBeVisible();
  await expectAccessible(page);
  // Without the network the device tells the same.
  await page.context().setOffline(true);
  await toPage(page, 'Wear');
  await page.getByRole('link', { name: /^Brake fluid 1.5 %/ }).click();
  await expect(page.getByText(/^Reaches 3.0 % /)).toBeVisible();
  await page.context().setOffline(false);
});

test('what looked new is asked, and an answer can be taken back', async ({ page }) => {
  await page.goto(workshop.url);
  await signIn(page, 'Isla', '246810');
  await toVehicle(page, 'FH 10');
  const question = page.getByText(/^Pads, nearside front: .* mm, then .* mm, between/);
  await expect(question).toBeVisible();
  await page.getByRole('button', { name: 'Pads, nearside front: a new part' }).click();
  await expect(question).toBeHidden();
  await toPage(page, 'Wear');
  await expect(page.getByText(/^Nearside front: pads new/)).toBeVisible();
  await toPage(page, 'Life');
  await page.getByRole('radio', { name: 'Parts' }).click();
  await page.getByRole('button', { name: 'Take back: New: pads nearside front' }).first().click();
  await toPage(page, 'Now');
  await expect(question).toBeVisible();
});

test('a pad that passes today and will not last until the next visit is an advisory, on the report too', async ({
  page,
}) => {
  await page.goto(workshop.url);
  await signIn(page, 'Isla', '246810');
  await goOn(page, 'FH 07');
  await page.goto(page.url().replace(/\/ends.*$/, ''));
  await jump(page, 'inner pad nearside front');
  await type(page, 'Inner pad, nearside front', '3.6');
  await expect(page.getByText('Inner pad: Advisory')).toBeVisible();
  await expect(
    page.getByText(/3.6 mm passes today; \d+ % chance that it is under 1.5 before the next visit/),
  ).toBeVisible();
  const [visit] = /^.*\/visit\/[^/?]+/.exec(page.url()) ?? [];
  await page.goto(`${visit}/report`);
  await expect(page.getByText(/passes today; \d+ % chance/).first()).toBeVisible();
});

test('a lead takes over how well readings repeat, and sees what it would change first', async ({ page }) => {
  await page.goto(workshop.url);
  await signIn(page, 'Maren', '112358');
  await page.goto(`${workshop.url}/scorecard`);
  await expect(page.getByText(/Callum reads 0\.\d+ less than Isla on average/)).toBeVisible();
  await expect(page.getByText(/^Isla: \d+ have come true/)).toBeVisible();
  await page.goto(`${workshop.url}/rules?repeat=tread:0.24`);
  await expect(page.getByLabel('Depth, mm')).toHaveValue('0.24');
  await page.getByRole('button', { name: 'What would change?' }).click();
  await page.getByRole('button', { name: /^Save as version/ }).click();
  await expect(page.getByText('Saved and sent.')).toBeVisible();
  await page.goto(`${workshop.url}/rules`);
  await expect(page.getByLabel('Depth, mm')).toHaveValue('0.24');
});
