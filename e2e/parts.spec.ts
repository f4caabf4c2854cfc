import { expect, test } from '@playwright/test';
import { beginVisit, jump, signIn } from './walk';
import { Workshop } from './workshop';

let workshop: Workshop;
test.beforeAll(async () => {
  workshop = await Workshop.start({ demo: true });
});
test.afterAll(() => workshop.remove());

test('new pads and a rotation, written down without a network: forecast, ghost and expectation follow the part at once', async ({
  page,
}) => {
  await page.goto(workshop.url);
  await signIn(page, 'Isla', '246810');
  await page.getByRole('link', { name: 'FH 11, life sheet' }).click();
  await expect(page.getByText('Saved and sent.')).toBeVisible();
  const treads = page.getByRole('link', { name: /^Tread (NSF|NSR) / });
  await expect(treads.first()).toBeVisible();
  await page.context().setOffline(true);

  await page.getByRole('button', { name: /^Write down fuel/ }).click();
  await page.getByRole('radio', { name: 'New part fitted' }).click();
  await page.getByRole('radio', { name: 'Brake pads' }).click();
  await page.getByRole('radio', { name: 'Nearside front' }).click();
  await page.getByLabel(/^Odometer/).fill('40000');
  await page.getByLabel(/new/i).last().fill('12');
  await page.getByRole('button', { name: 'Keep', exact: true }).click();
  await page.getByRole('button', { name: 'Rotated' }).click();
  await page.getByRole('radio', { name: 'Front to rear' }).click();
  await page
    .getByRole('button', { name: /Rotated|Keep|Write it down/ })
    .last()
    .click();
  await expect(page.getByText(/on this device|Saved here|waiting/i).first()).toBeVisible();

  await page.getByRole('button', { name: 'Back' }).click();
  await beginVisit(page, 'FH 11', { meter: '41100', state: 'Stood cold', template: 'Full', ambient: '9' });
  await jump(page, 'inner pad nearside front');
  await expect(page.getByText(/new on .*, 40.000 km, 12\.0 mm/)).toBeVisible();
  await jump(page, 'tread nearside front');
  await expect(page.getByText(/when it sat nearside rear/)).toBeVisible();
});
