import { expect, test } from '@playwright/test';
import { setTimeout } from 'node:timers/promises';
import { expectAccessible, goOn, jump, signIn, toPage, toVehicle, type } from './walk';
import { Workshop } from './workshop';

const LATE_MS = 3_000;

let workshop: Workshop;
test.beforeAll(async () => {
  workshop = await Workshop.start({ demo: true });
});
test.afterAll(() => workshop.remove());

test('two people read the same point without knowing: both entries are kept and the overview says so', async ({
  browser,
}) => {
  const pages = await Promise.all(
    [
      ['Isla', '246810'],
      ['Callum', '135791'],
    ].map(async ([name = '', pin = '']) => {
      const page = await (await browser.newContext()).newPage();
      // The server begins to listen only after one has told where one stands.
      await page.route('**/api/live/**', async (route) => {
        await setTimeout(LATE_MS);
        await route.continue();
      });
      await page.goto(workshop.url);
      await signIn(page, name, pin);
      await goOn(page, 'FH 07');
      await jump(page, 'engine leaks from below');
      return page;
    }),
  );
  const [isla, callum] = pages;
  if (!isla || !callum) throw new Error('two pages were opened');
  // They see each other on the spine, however late the server began to listen; then the signal is gone for one of them.
  await expect(isla.getByRole('button', { name: /^Underside, .*Callum is here/ })).toBeVisible();
  await callum.context().setOffline(true);
  await isla.getByRole('radio', { name: 'Damp' }).click();
  await callum.getByRole('radio', { name: 'Dripping' }).click();
  await expect(callum.getByText(/1 change wait/)).toBeVisible();
  await callum.context().setOffline(false);
  for (const page of [isla, callum]) await expect(page.getByText('Saved and sent.')).toBeVisible({ timeout: 30_000 });
  await isla.getByRole('button', { name: 'Overview and signing' }).click();
  await expect(isla.getByRole('heading', { name: 'Seen twice' })).toBeVisible();
  await expect(isla.getByText(/Engine leaks from below: two entries are kept/)).toBeVisible();
  await isla.getByRole('button', { name: 'Keep what Callum saw: Engine leaks from below' }).click();
  await expect(isla.getByRole('heading', { name: 'Seen twice' })).toBeHidden();

  // What one finds now comes to the other without asking.
  await jump(callum, 'exhaust');
  await isla.goBack();
  await jump(isla, 'engine leaks from below');
  await expect(isla.getByRole('radio', { name: 'Dripping' })).toBeChecked();
  await jump(callum, 'engine leaks from below');
  await isla.getByRole('radio', { name: 'Damp' }).click();
  await expect(callum.getByRole('radio', { name: 'Damp' })).toBeChecked();
  // A late answer may still be on its way: it belongs to no test that comes after.
  for (const page of pages) await page.unrouteAll({ behavior: 'ignoreErrors' });
});

test('at the desk: panes side by side, dark and light pass the checker, the report prints without buttons', async ({
  page,
}) => {
  await page.setViewportSize({ width: 1280, height: 800 });
  await page.emulateMedia({ colorScheme: 'dark' });
  await page.goto(workshop.url);
  await signIn(page, 'Maren', '112358');
  await expectAccessible(page);
  await toVehicle(page, 'FH 07');
  await expect(page.getByRole('img', { name: /^Wheels: / })).toBeVisible();
  await expectAccessible(page);
  await toPage(page, 'Wear');
  await expect(page.getByRole('img', { name: /^Inner pad, nearside front: / })).toBeVisible();
  await expectAccessible(page);
  await toPage(page, 'Now');
  await page.getByRole('button', { name: 'Go on with the visit' }).click();
  await page.getByRole('link', { name: /Tread NSF/ }).click();
  await expect(page.getByRole('heading', { name: 'Nearside front · tread' })).toBeVisible();
  await type(page, 'Tread outer, nearside front', '0.5');
  await expectAccessible(page);
  await page.getByRole('button', { name: 'Undo the last change' }).click();

  await page.emulateMedia({ colorScheme: 'light', media: 'print' });
  await page.getByRole('button', { name: 'To the yard' }).click();
  await toVehicle(page, 'FH 03');
  await page.goto(`${page.url()}/life`);
  await page.getByRole('link', { name: /Isla/ }).first().click();
  await expect(page.getByRole('heading', { name: 'Report, FH 03' })).toBeVisible();
  await expect(page.getByRole('button', { name: 'Print' })).toBeHidden();
  await expect(page.getByText(/does not replace the local inspection code/)).toBeVisible();
});
