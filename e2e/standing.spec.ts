import { expect, test, type Page } from '@playwright/test';
import { beginVisit, expectAccessible, jump, readTread, signIn, toPage, toPlace, toVehicle, type } from './walk';
import { Workshop } from './workshop';

let workshop: Workshop;
test.beforeAll(async () => {
  workshop = await Workshop.start({ demo: true });
});
test.afterAll(() => workshop.remove());

const sign = async (page: Page) => {
  await page.getByRole('button', { name: 'Overview and signing' }).click();
  await page.getByRole('button', { name: 'Sign', exact: true }).click();
  await page.getByRole('button', { name: /^Sign with/ }).click();
  await expect(page.getByText(/^Signed by/)).toBeVisible();
};

test('a short visit hides nothing: the vehicle stands as it did until it is settled; amended, the report shows both', async ({
  page,
}) => {
  await page.goto(workshop.url);
  await signIn(page, 'Isla', '246810');
  await beginVisit(page, 'FH 11', { meter: '41100', state: 'Stood cold', template: 'Interim', ambient: '9' });
  await jump(page, 'tread nearside front');
  await readTread(page, 'nearside front', ['2.7', '4.1', '4.0']);
  await sign(page);
  await expect(page.getByText('Still open from earlier visits')).toBeVisible();
  await expect(page.getByText(/^Top coolant hose: advisory, seen/)).toBeVisible();
  await page.goto(workshop.url);
  await toVehicle(page, 'FH 11');
  await expect(page.getByText('2 advisory')).toBeVisible();
  await toPlace(page, 'Yard');

  // A cold gate the next day, all well: it looked at five points, and says so.
  await beginVisit(page, 'FH 11', { meter: '41150', state: 'Stood cold', template: 'Cold gate' });
  await type(page, 'Engine oil on the stick', '0.8');
  await sign(page);
  await expect(page.getByText(/^Tread, nearside front: advisory, seen/)).toBeVisible();
  await page.goto(workshop.url);
  await expect(page.getByRole('link', { name: /^FH 11, advisory, / })).toBeVisible();
  await toVehicle(page, 'FH 11');
  await expect(page.getByText('Stands as advisory')).toBeVisible();
  await expect(page.getByText('2 advisory')).toBeVisible();
  await expect(page.getByText(/1 of 5 looked at on/)).toBeVisible();
  await expect(page.getByText(/2\.7 mm is under .* Found \d/)).toBeVisible();
  await expectAccessible(page);
  await toPage(page, 'Wear');
  await expect(page.getByRole('img', { name: /^Wheels: / })).not.toHaveAccessibleName(/all pass/);

  // The interim is said otherwise: the gauge was read wrong.
  await toPage(page, 'Life');
  await page.getByRole('link', { name: /Interim, Isla 41.100 km Advisory/ }).click();
  await page.getByRole('button', { name: 'Amend' }).click();
  await page.getByLabel('Find a point').fill('tread nearside front');
  await page.getByRole('link', { name: /^Tread NSF/ }).click();
  await readTread(page, 'nearside front', ['4.2', '4.1', '4.0']);
  const keep = page.getByRole('button', { name: 'Keep this amendment' });
  await expect(keep).toBeDisabled();
  await page.getByLabel('Why it is said otherwise').fill('Read the wiper, not the tread.');
  await expectAccessible(page);
  await keep.click();
  await expect(page.getByText('Amended since it was signed')).toBeVisible();
  await expect(page.getByText('Signed as advisory, now pass.')).toBeVisible();
  await expect(page.getByText(/^Signed: 2\.7 mm .*advisory\. Now: 4\.2 mm .*pass\.$/)).toBeVisible();
  await expect(page.getByText(/Isla, .*“Read the wiper, not the tread\.”/)).toBeVisible();
  await expect(page.getByText('Saved and sent.')).toBeVisible();
  await page.reload();
  await expect(page.getByText(/^Signed: 2\.7 mm .*advisory\. Now: 4\.2 mm .*pass\.$/)).toBeVisible();
  await expectAccessible(page);
  await toPage(page, 'Now');
  await expect(page.getByText('1 advisory')).toBeVisible();
});

test('an inspector takes back what was done by mistake: the meter, the wheel, a point, the visit; a reload loses no way back', async ({
  page,
}) => {
  await page.goto(workshop.url);
  await signIn(page, 'Callum', '135791');
  await beginVisit(page, 'FH 03', { meter: '59100', state: 'Warm', template: 'Interim' });
  await jump(page, 'tread nearside front');
  await readTread(page, 'nearside front', ['2.8', '4.1', '4.0']);

  // It was the other wheel's.
  await page.getByRole('button', { name: 'More for this point' }).click();
  await page.getByRole('button', { name: 'This was of another wheel…' }).click();
  await page.getByRole('radio', { name: 'Offside front' }).click();
  await expect(page.getByText(/Outer 2\.8 mm/)).toBeHidden();
  await jump(page, 'tread offside front');
  await expect(page.getByText(/Outer 2\.8 mm is under/)).toBeVisible();
  await page.getByRole('button', { name: 'More for this point' }).click();
  await page.getByRole('button', { name: 'Clear this point' }).click();
  await expect(page.getByText(/Outer 2\.8 mm/)).toBeHidden();

  // Undone after a reload: the point, then the wheel.
  await expect(page.getByText('Saved and sent.')).toBeVisible();
  await page.reload();
  await page.getByRole('button', { name: 'Undo the last change' }).click();
  await expect(page.getByText(/Outer 2\.8 mm is under/)).toBeVisible();

  // The odometer was another vehicle's.
  await page.getByRole('button', { name: 'Jump to a point' }).click();
  await page.getByRole('button', { name: 'Correct the arrival' }).click();
  const odometer = page.getByLabel('Odometer, km');
  await expect(odometer).toHaveValue('59100');
  await odometer.fill('5');
  await page.getByRole('button', { name: 'Keep it so' }).click();
  await expect(page.getByText('Choose an answer, or correct the meter.')).toBeVisible();
  await odometer.fill('59 400');
  await page.getByRole('radio', { name: 'Hot', exact: true }).click();
  await expectAccessible(page);
  await page.getByRole('button', { name: 'Keep it so' }).click();
  await jump(page, 'tread offside front');
  await expect(page.getByText(/Outer 2\.8 mm is under/)).toBeVisible();

  // A second visit is not begun beside it; this one is given up, with no network, and taken up again.
  const [, life] = /vehicle\/([^/]+)/.exec(page.url()) ?? [];
  await page.goto(`${workshop.url}/vehicle/${life}/arrive`);
  await expect(page.getByText(/A visit is half done since .*, begun by Callum/)).toBeVisible();
  await page.getByRole('button', { name: 'To its overview' }).click();
  await page.context().setOffline(true);
  await page.getByRole('button', { name: 'Give this visit up' }).click();
  await expectAccessible(page);
  await page.getByRole('button', { name: 'Yes, give it up' }).click();
  await expect(page.getByRole('button', { name: 'Begin a visit' })).toBeVisible();
  await toPage(page, 'Life');
  await expect(page.getByText(/was given up by Callum/)).toBeVisible();
  await page.context().setOffline(false);
  await expect(page.getByText('Saved and sent.')).toBeVisible();
  await page.reload();
  await page.getByRole('button', { name: 'Let it count again' }).click();
  await toPage(page, 'Visit');
  await jump(page, 'tread offside front');
  await expect(page.getByText(/Outer 2\.8 mm is under/)).toBeVisible();
  await page.getByRole('button', { name: 'Overview and signing' }).click();
  await page.getByRole('button', { name: 'Sign', exact: true }).click();
  await page.getByRole('button', { name: /^Sign with/ }).click();
  await expect(page.getByText(/59.400 km · hot/)).toBeVisible();
  await expect(page.getByRole('button', { name: 'Void this visit' })).toHaveCount(0);
});

test('a lead voids a signed visit, with why; it is kept and counts nowhere', async ({ page }) => {
  await page.goto(workshop.url);
  await signIn(page, 'Maren', '112358');
  await toVehicle(page, 'FH 03');
  await toPage(page, 'Life');
  await page.getByRole('link', { name: /59.400 km/ }).click();
  await page.getByRole('button', { name: 'Void this visit' }).click();
  const yes = page.getByRole('button', { name: 'Yes, void it' });
  await expect(yes).toBeDisabled();
  await page.getByLabel('Why it is void').fill('Another vehicle stood on the lift.');
  await yes.click();
  await toPage(page, 'Life');
  await expect(page.getByText(/was given up by Maren/)).toBeVisible();
  await expect(page.getByText('“Another vehicle stood on the lift.”')).toBeVisible();
  await expect(page.getByRole('link', { name: /59.400 km/ })).toHaveCount(0);
  await expectAccessible(page);
});
