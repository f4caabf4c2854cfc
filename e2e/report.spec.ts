import { expect, test, type Page } from '@playwright/test';
import { execFileSync } from 'node:child_process';
import { beginVisit, expectAccessible, jump, signIn, toPage, toPlace, toVehicle } from './walk';
import { Workshop } from './workshop';

let demo: Workshop;
test.beforeAll(async () => {
  demo = await Workshop.start({ demo: true });
});
test.afterAll(() => demo.remove());

const phone = { width: 390, height: 844 };

async function toReport(page: Page, fleetCode: string): Promise<void> {
  await toVehicle(page, fleetCode);
  await toPage(page, 'Life');
  await page
    .getByRole('main')
    .getByRole('link', { name: /Callum|Isla/ })
    .filter({ hasNotText: 'half done' })
    .first()
    .click();
  await expect(page.getByRole('heading', { name: `Report, ${fleetCode}` })).toBeVisible();
}

test('one report: to the workshop or the keeper, in English or German, by day and night, printed and as PDF', async ({
  page,
}) => {
  await page.setViewportSize(phone);
  await page.goto(demo.url);
  await signIn(page, 'Callum', '135791');
  await toReport(page, 'FH 07');
  // The verdict is seen without looking for it.
  await expect(page.getByText('It can be driven; something needs attention.')).toBeInViewport();
  await expect(page.getByRole('heading', { name: 'Every point' })).toBeVisible();
  await page.getByRole('button', { name: /^For the workshop, in English/ }).click();
  await page.getByRole('radio', { name: 'The keeper' }).click();
  await expect(page.getByText(/Brakes have to stop it, loaded and in the wet/).first()).toBeVisible();
  await expect(page.getByRole('table', { name: 'What was measured' })).toBeVisible();
  await expect(page.getByRole('heading', { name: 'Every point' })).toHaveCount(0);
  await page.getByRole('radio', { name: 'Deutsch' }).click();
  await expect(page.getByRole('heading', { name: 'Das Schlimmste zuerst' })).toBeVisible();
  await expect(page.locator('[lang="de-DE"]')).toBeVisible();
  await expectAccessible(page);
  await page.emulateMedia({ colorScheme: 'dark' });
  await expectAccessible(page);
  // Said in its address: a reload loses nothing of it.
  await expect(page.getByText('Saved and sent.')).toBeVisible();
  await page.reload();
  await expect(page.getByRole('heading', { name: 'Bericht, FH 07' })).toBeVisible();

  await page.getByRole('button', { name: /^For the keeper, in Deutsch/ }).click();
  await page.getByRole('radio', { name: 'Letter' }).click();
  const [file] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'As PDF' }).click(),
  ]);
  expect(file.suggestedFilename()).toMatch(/^FH 07-\d{4}-\d\d-\d\d\.pdf$/);
  const text = execFileSync('pdftotext', ['-layout', await file.path(), '-'], { encoding: 'utf8' });
  expect(text).toContain('Bericht, FH 07');
  // What the screen says is what the file says.
  const shown = await page.locator('[lang="de-DE"] h2').allInnerTexts();
  expect(shown.length).toBeGreaterThan(5);
  for (const heading of shown) expect(text).toContain(heading);

  await page.emulateMedia({ media: 'print', colorScheme: 'light' });
  await expect(page.getByRole('button', { name: /· PDF …$/ })).toBeHidden();
  await expect(page.getByRole('heading', { name: 'Das Schlimmste zuerst' })).toBeVisible();
});

test('without the workshop the report is still told, in either language; a PDF says why there is none', async ({
  page,
  context,
}) => {
  await page.setViewportSize(phone);
  await page.goto(demo.url);
  await signIn(page, 'Isla', '246810');
  await toReport(page, 'FH 07');
  await page.evaluate(() => navigator.serviceWorker.ready);
  await context.setOffline(true);
  await page.getByRole('button', { name: /^For the workshop, in English/ }).click();
  await page.getByRole('radio', { name: 'Deutsch' }).click();
  await expect(page.getByRole('heading', { name: 'Das Schlimmste zuerst' })).toBeVisible();
  await page.getByRole('button', { name: 'As PDF' }).click();
  await expect(page.getByRole('alert')).toContainText('The workshop’s server was not reached.');
  await expect(page.getByRole('button', { name: 'As PDF' })).toBeEnabled();
});

test('a work that was done is looked at again by a return visit, and its look closes what was found', async ({
  page,
}) => {
  await page.setViewportSize(phone);
  await page.goto(demo.url);
  await signIn(page, 'Callum', '135791');
  await toVehicle(page, 'FH 01');
  const stands = await page
    .getByText(/ km · /)
    .first()
    .innerText();
  const meter = Number(stands.split('km')[0]?.replace(/\D/g, '')) + 60;
  await toPage(page, 'Works');
  const hose = page.getByRole('button', { name: /^Bottom coolant hose: put right/ });
  await hose.click();
  await page.getByRole('button', { name: /^Write it down: Bottom coolant hose/ }).click();
  await expect(hose).toContainText('on the list');
  if (!(await page.getByRole('button', { name: /^Done .*Bottom coolant hose/ }).isVisible())) await hose.click();
  await page.getByRole('button', { name: /^Done .*Bottom coolant hose/ }).click();
  await expect(page.getByText(/only a look closes the finding/)).toBeVisible();
  await page.getByRole('button', { name: 'Done', exact: true }).click();
  await expect(page.getByRole('heading', { name: 'Done and withdrawn' })).toBeVisible();

  await toPlace(page, 'Yard');
  await beginVisit(page, 'FH 01', { meter: String(meter), state: 'Warm', template: 'Return visit' });
  await jump(page, 'bottom coolant hose');
  await page.getByRole('button', { name: 'Sound, and on' }).click();
  await page.getByRole('button', { name: 'Overview and signing' }).click();
  await page.getByRole('button', { name: 'Sign', exact: true }).click();
  await page.getByRole('button', { name: /^Sign with/ }).click();
  await expect(page.getByText(/Signed by Callum/)).toBeVisible();
  await expect(page.getByText(/^Bottom coolant hose: fail, seen/)).toHaveCount(0);

  await toPage(page, 'Works');
  await expect(page.getByRole('heading', { name: 'Done and withdrawn' })).toBeVisible();
  await expect(hose).toHaveCount(1);
  await expect(hose).toContainText('done');
  await toPage(page, 'Life');
  await expect(page.getByRole('link', { name: /Work: Bottom coolant hose: put right.*done/ })).toBeVisible();
});

test('a calendar’s address is told once and read by another program; the dash is read beside what was done', async ({
  page,
  request,
}) => {
  await page.setViewportSize(phone);
  await page.goto(demo.url);
  await signIn(page, 'Maren', '112358');
  await toVehicle(page, 'FH 03');
  await toPage(page, 'Spec');
  await page.getByRole('button', { name: 'Change the sheet' }).click();
  await page.getByRole('button', { name: 'Add a service code' }).click();
  await page.getByLabel('Service code 1', { exact: true }).fill('B1');
  await page.getByLabel('Service code 1 means').fill('Engine oil, rotation of the wheels');
  await page.getByRole('button', { name: 'Save', exact: true }).click();
  await toPage(page, 'Works');
  await page.getByRole('button', { name: 'What the dash asks for' }).click();
  await page.getByLabel('Service code').fill('b 1 7');
  await expect(page.getByText('B1: Engine oil, rotation of the wheels')).toBeVisible();
  await expect(page.getByText(/Not in the table: 7/)).toBeVisible();
  await expectAccessible(page);
  await page.getByRole('button', { name: 'Write down: Rotation of the wheels' }).click();
  await expect(page.getByText('Rotation of the wheels is written down.')).toBeVisible();
  await expect(page.getByRole('button', { name: 'Write down: Rotation of the wheels' })).toHaveCount(0);
  await page.getByRole('button', { name: 'Leave it' }).click();

  const rotation = page.getByRole('button', { name: /^Rotation of the wheels/ });
  await rotation.click();
  await page.getByRole('button', { name: /^Plan a day .*Rotation/ }).click();
  await page.getByRole('radio').nth(2).click();
  await page.getByRole('button', { name: 'Keep', exact: true }).click();
  await expect(rotation).toContainText('planned');
  await page.getByRole('button', { name: 'Calendar' }).click();
  await page.getByRole('button', { name: 'Make the address' }).click();
  const url = (await page.getByText(/\/calendar\/[\w-]{22}\.ics$/).textContent()) ?? '';
  await expectAccessible(page);
  await page.emulateMedia({ colorScheme: 'dark' });
  await expectAccessible(page);
  await expect(page.getByText('Saved and sent.')).toBeVisible();
  await expect(async () => {
    const calendar = await (await request.get(url)).text();
    expect(calendar).toContain('SUMMARY:FH 03: Rotation of the wheels');
  }).toPass();
  await page.getByRole('button', { name: /^End the calendar: Vehicle FH 03/ }).click();
  await expect(page.getByRole('heading', { name: 'Calendars that are read' })).toHaveCount(0);
  expect((await request.get(url)).status()).toBe(404);
});
