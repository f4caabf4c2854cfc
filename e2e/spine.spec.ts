import { expect, test, type Page } from '@playwright/test';
import { expectAccessible, goOn, signIn, signOut, toMe, toPage, toPlace, toVehicle } from './walk';
import { Workshop } from './workshop';

let workshop: Workshop;
test.beforeAll(async () => {
  workshop = await Workshop.start({ demo: true });
});
test.afterAll(() => workshop.remove());

test('keys lead everywhere, the search finds what stands open and any page, back and forward behave; the network is gone', async ({
  page,
}) => {
  await page.goto(workshop.url);
  await signIn(page, 'Isla', '246810');
  // On the board once this device knows its life: what it has not fetched it cannot show without a network.
  await expect(page.getByRole('link', { name: /^FH 07 \d+ of \d+/ })).toBeVisible();
  await page.evaluate(() => navigator.serviceWorker.ready.then(() => undefined));
  await page.keyboard.press('g');
  await page.keyboard.press('f');
  await expect(page.getByRole('heading', { name: 'Fleet' })).toBeFocused();
  await page.keyboard.press('?');
  await expect(page.getByRole('heading', { name: 'Keys' })).toBeVisible();
  await expectAccessible(page);
  await page.keyboard.press('Escape');
  await expect(page.getByRole('heading', { name: 'Keys' })).toHaveCount(0);
  await page.context().setOffline(true);

  await page.keyboard.press('/');
  const find = page.getByRole('textbox', { name: 'Find' });
  await expect(find).toBeFocused();
  // What is typed is no key.
  await find.pressSequentially('fh07 wear');
  await expect(page.getByRole('link', { name: 'FH 07, wear', exact: true })).toBeVisible();
  await page.keyboard.press('Enter');
  await expect(page.getByRole('heading', { name: 'FH 07, wear' })).toBeVisible();
  await page.keyboard.press('g');
  await page.keyboard.press('l');
  await expect(page.getByRole('heading', { name: 'FH 07, life' })).toBeFocused();
  await page.goBack();
  await expect(page.getByRole('heading', { name: 'FH 07, wear' })).toBeVisible();
  await page.goForward();
  await expect(page.getByRole('heading', { name: 'FH 07, life' })).toBeVisible();

  await toPlace(page, 'Yard');
  await find.fill('auxiliary belt');
  await expect(page.getByRole('link', { name: /^FH 07, Auxiliary belt: advisory/ })).toBeVisible();
  await expectAccessible(page);
  await find.fill('no such thing');
  await expect(page.getByText('Nothing here is called “no such thing”.')).toBeVisible();
  await page.getByRole('button', { name: 'Clear' }).click();
  await expect(page.getByRole('heading', { name: 'On the lift now' })).toBeVisible();

  // Who turns single keys off is led nowhere by them.
  await toMe(page);
  await page.getByRole('radio', { name: 'Off' }).click();
  await page.keyboard.press('g');
  await page.keyboard.press('f');
  await expect(page.getByRole('heading', { name: 'Isla' })).toBeVisible();
  // Arrows lead through a choice and choose nothing; Space chooses.
  await page.getByRole('radio', { name: 'Off' }).press('ArrowLeft');
  await expect(page.getByRole('radio', { name: 'On' })).toBeFocused();
  await expect(page.getByRole('radio', { name: 'Off' })).toBeChecked();
  await page.keyboard.press('Space');
  await expect(page.getByRole('radio', { name: 'On' })).toBeChecked();
});

test('what another person signed is new on every device of hers until she has seen it', async ({ page, browser }) => {
  const fresh = (on: Page) => on.getByRole('heading', { name: 'Since you last looked' });
  const everything = (on: Page) => expect(on.getByRole('heading', { name: 'All vehicles' })).toBeVisible();
  await page.goto(workshop.url);
  await signIn(page, 'Isla', '246810');
  await everything(page);
  await expect(fresh(page)).toHaveCount(0);

  const callum = await browser.newPage();
  await callum.goto(workshop.url);
  await signIn(callum, 'Callum', '135791');
  await goOn(callum, 'FH 04');
  await callum.goto(`${callum.url().replace(/\/?(ends|gate)?(\?.*)?$/, '')}/overview`);
  await callum.getByRole('button', { name: 'Sign', exact: true }).click();
  await expect(callum.getByText('Saved and sent.')).toBeVisible();
  await callum.close();

  // On a device she has never held it is known when she looked on the other.
  const tablet = await browser.newPage();
  await tablet.goto(workshop.url);
  await signIn(tablet, 'Isla', '246810');
  await expect(fresh(tablet)).toBeVisible();
  await expect(tablet.getByRole('link', { name: /^FH 04 (Pass|Advisory|Fail)/ })).toBeVisible();
  await tablet.getByRole('button', { name: 'Seen', exact: true }).click();
  await expect(fresh(tablet)).toHaveCount(0);
  await everything(tablet);
  // And there it was seen for the other as well.
  await page.reload();
  await everything(page);
  await expect(page.getByText('Saved and sent.')).toBeVisible();
  await expect(fresh(page)).toHaveCount(0);
  await tablet.close();
});

test('a sticker that cannot be scanned says so, and the way in by hand stays', async ({ page }) => {
  await page.goto(workshop.url);
  await signIn(page, 'Isla', '246810');
  await page.getByRole('button', { name: 'Scan the sticker' }).click();
  await expect(page.getByText(/^This device has no camera|^Hold the sticker/)).toBeVisible();
  await expectAccessible(page);
  await page.getByRole('button', { name: 'Close' }).click();
  await expect(page.getByRole('textbox', { name: 'Find' })).toBeVisible();
});

test('people come and go: a code lets in once, who is suspended is out at once, the last lead stays', async ({
  page,
  browser,
}) => {
  await page.goto(workshop.url);
  await signIn(page, 'Maren', '112358');
  await toPlace(page, 'People');
  await page.getByRole('button', { name: 'Make Maren an inspector' }).click();
  await expect(page.getByText(/^This is the last lead who is here/)).toBeVisible();
  await page.getByLabel('Name').fill('Nell');
  await page.getByLabel('PIN or password').fill('975310');
  await page.getByRole('button', { name: 'Add', exact: true }).click();
  await page.getByRole('button', { name: 'New PIN for Nell' }).click();
  const code = await page.getByText(/^[A-Z2-9]{4}-[A-Z2-9]{4}$/).innerText();
  await expectAccessible(page);

  const other = await browser.newContext({ locale: 'en-GB' });
  const nell = await other.newPage();
  await nell.goto(workshop.url);
  await nell.getByLabel('Name').fill('Nell');
  await nell.getByLabel('PIN or password').fill(code);
  await nell.getByRole('button', { name: 'Sign in' }).click();
  await nell.getByLabel('The new one').fill('864202');
  await nell.getByRole('button', { name: 'Sign in' }).click();
  await toMe(nell);
  // One's own PIN, the old one mistyped first.
  await nell.getByLabel('PIN or password now').fill('wrong');
  await nell.getByLabel('The new one').fill('135797');
  await nell.getByRole('button', { name: 'Change it' }).click();
  await expect(nell.getByText(/^The PIN or password now is not right/)).toBeVisible();
  await nell.getByLabel('PIN or password now').fill('864202');
  await nell.getByRole('button', { name: 'Change it' }).click();
  await expect(nell.getByText(/^Changed\./)).toBeVisible();
  await expect(nell.getByText(/this device/)).toBeVisible();
  await expectAccessible(nell);

  await page.getByRole('button', { name: 'Suspend Nell' }).click();
  await expect(page.getByRole('button', { name: 'Let Nell in again' })).toBeVisible();
  await nell.reload();
  await expect(nell.getByRole('button', { name: 'Sign in' })).toBeVisible({ timeout: 30_000 });
  await nell.getByLabel('Name').fill('Nell');
  await nell.getByLabel('PIN or password').fill('135797');
  await nell.getByRole('button', { name: 'Sign in' }).click();
  await expect(nell.getByText('Name or PIN is not right.')).toBeVisible();
  await page.getByRole('button', { name: 'Let Nell in again' }).click();
  await page.getByRole('button', { name: 'Let Nell go', exact: true }).click();
  await page.getByRole('button', { name: 'Yes, let go' }).click();
  await expect(page.getByText('inspector · gone')).toBeVisible();
  await other.close();
  await signOut(page);
});

test('a vehicle’s run-outs lead to its trends, and its life tells a job as one line', async ({ page }) => {
  await page.goto(workshop.url);
  await signIn(page, 'Isla', '246810');
  await toVehicle(page, 'FH 06');
  await expect(page.getByText(/^It should not be driven: Inner pad NSF/)).toBeVisible();
  await page.getByRole('link', { name: /^Inner pad NSF 1\.0 mm Fail/ }).click();
  await expect(page.getByRole('heading', { name: 'Trend' })).toBeVisible();
  await toPage(page, 'Spec');
  await expect(page.getByRole('heading', { name: 'For the hands' })).toBeVisible();
  await toPage(page, 'Life');
  await page.getByRole('radio', { name: 'Visits' }).click();
  await expect(page.getByRole('link', { name: /Fail$/ }).first()).toBeVisible();
});
