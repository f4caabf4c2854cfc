import { expect, test, type Page } from '@playwright/test';
import { beginVisit, expectAccessible, jump, signIn, toPage, toPlace, toVehicle } from './walk';
import { Workshop } from './workshop';

let workshop: Workshop;
test.beforeAll(async () => {
  workshop = await Workshop.start({ demo: true });
});
test.afterAll(() => workshop.remove());

async function newPads(page: Page, told: { readonly meter: string; readonly new: string }) {
  await toPage(page, 'Life');
  await page.getByRole('button', { name: /^Write down fuel/ }).click();
  await page.getByRole('radio', { name: 'New part' }).click();
  await page.getByRole('radio', { name: 'Pads', exact: true }).click();
  await page.getByRole('radio', { name: 'Nearside front' }).click();
  await page.getByLabel('Odometer, km').fill(told.meter);
  await page.getByLabel('Measured when new, mm').fill(told.new);
  await page.getByRole('button', { name: 'Keep', exact: true }).click();
}

test('new pads and a rotation, written down without a network: forecast, ghost and expectation follow the part at once', async ({
  page,
}) => {
  await page.goto(workshop.url);
  await signIn(page, 'Isla', '246810');
  await toVehicle(page, 'FH 11');
  await expect(page.getByText('Saved and sent.')).toBeVisible();
  await page.evaluate(() => navigator.serviceWorker.ready.then(() => undefined));
  await toPage(page, 'Wear');
  const pad = page.getByRole('link', { name: /^Inner pad NSF/ });
  const worn = await pad.innerText();
  await page.context().setOffline(true);

  await newPads(page, { meter: '40000', new: '12' });
  await expect(page.getByText(/New: pads nearside front/)).toBeVisible();
  await toPage(page, 'Wear');
  await expect(page.getByRole('heading', { name: 'Runs out next' })).toBeVisible();
  await expect(pad).not.toHaveText(worn);
  await expect(page.getByText(/^Nearside front: pads new/)).toBeVisible();
  await page.getByRole('button', { name: 'Rotate tyres' }).click();
  await page.getByRole('radio', { name: 'Front to rear' }).click();
  await page.getByRole('button', { name: 'Rotated', exact: true }).click();
  await expect(page.getByRole('button', { name: 'Rotated', exact: true })).toHaveCount(0);

  await toPlace(page, 'Yard');
  await beginVisit(page, 'FH 11', { meter: '41100', state: 'Stood cold', template: 'Full', ambient: '9' });
  await jump(page, 'inner pad nearside front');
  await expect(page.getByText(/new on .*, 40.000 km, 12\.0 mm/)).toBeVisible();
  await expect(page.getByText(/Last look/)).toHaveText(/: disc sound$/);
  await jump(page, 'tread nearside front');
  await expect(page.getByText(/when it sat nearside rear/)).toBeVisible();
});

test('the other set of tyres goes on: nothing is known of it, the one in store is remembered, and taking it back brings it back', async ({
  page,
}) => {
  await page.goto(workshop.url);
  await signIn(page, 'Isla', '246810');
  await toVehicle(page, 'FH 06');
  await toPage(page, 'Wear');
  const treads = page.getByRole('link', { name: /^Tread/ });
  await expect(treads.first()).toBeVisible();
  const before = await treads.count();
  await page.evaluate(() => navigator.serviceWorker.ready.then(() => undefined));
  await page.context().setOffline(true);
  await page.getByRole('button', { name: 'Change tyre sets' }).click();
  await expect(page.getByText(/^Of the other set nothing is on record/)).toBeVisible();
  await expectAccessible(page);
  await page.getByRole('button', { name: 'Leave it' }).click();
  await expect(page.getByText(/^In store since/)).toHaveCount(0);
  await page.getByRole('button', { name: 'Change tyre sets' }).click();
  await page.getByRole('button', { name: 'Other set on', exact: true }).click();
  await expect(page.getByText(/^In store since .*: the 6 tyres that were on before$/)).toBeVisible();
  await expect(page.getByText(/^Nearside front: tyre of the other set, here since/)).toBeVisible();
  await expect(treads).toHaveCount(0);
  await toPage(page, 'Life');
  await expect(page.getByText(/Tyre sets changed: the other set is on/).first()).toBeVisible();
  await page.getByRole('button', { name: /^Take back: Tyre sets changed/ }).click();
  await toPage(page, 'Wear');
  await expect(treads).toHaveCount(before);
  await expect(page.getByText(/^In store since/)).toHaveCount(0);
});

test('without a network the fleet board is what the workshop told, with what changed here: new pads are off the run-out calendar at once', async ({
  page,
}) => {
  await page.goto(workshop.url);
  await signIn(page, 'Isla', '246810');
  const onBoard = page.getByRole('img', { name: /^Run-out calendar: .*FH 06 (Inner|Outer) pad NSF/ });
  await toPlace(page, 'Fleet');
  await page.getByRole('radio', { name: 'Pads', exact: true }).click();
  await expect(onBoard).toHaveCount(1);
  await expect(page.getByText(/^The workshop does not answer/)).toHaveCount(0);
  await toPlace(page, 'Yard');
  await toVehicle(page, 'FH 06');
  await page.evaluate(() => navigator.serviceWorker.ready.then(() => undefined));
  await page.context().setOffline(true);
  await newPads(page, { meter: '200000', new: '12' });
  await expect(page.getByText(/New: pads nearside front/)).toBeVisible();

  await toPlace(page, 'Fleet');
  await expect(page.getByText(/^The workshop does not answer\. This is what it told on/)).toBeVisible();
  await page.getByRole('radio', { name: 'Pads', exact: true }).click();
  await expect(page.getByRole('img', { name: /^Run-out calendar: .*FH 06 Inner pad OSF/ })).toBeVisible();
  await expect(onBoard).toHaveCount(0);
});

test('the past of a vehicle is asked once: what is known, by which paper, and what nobody knows; due dates and ages follow', async ({
  page,
}) => {
  await page.goto(workshop.url);
  await signIn(page, 'Isla', '246810');
  await toVehicle(page, 'FH 03');
  await page.getByRole('button', { name: /^What is known of its past \(\d+ open\)/ }).click();
  await page.getByLabel('Told by').fill('service book');
  await page.getByRole('button', { name: 'Keep: Timing belt' }).click();
  await expect(page.getByText(/^Day it was done: e\.g\./)).toBeVisible();
  await page.getByLabel('Timing belt: last done').fill('03/2024');
  await page.getByLabel('Timing belt: at, km').fill('21 000');
  await page.getByRole('button', { name: 'Keep: Timing belt' }).click();
  await expect(page.getByText(/^Last done 1 Mar 2024, 21.000 km\.$/)).toBeVisible();
  await page.getByRole('button', { name: 'Not known: Coolant' }).click();
  await expect(page.getByText(/^Not known, asked on .* \(service book\)\.$/)).toBeVisible();
  await expectAccessible(page);
  await toPage(page, 'Now');
  await expect(page.getByText(/^Coolant: Not known, asked on/)).toBeVisible();
  await toPlace(page, 'Yard');

  // At the point the age is not typed again.
  await beginVisit(page, 'FH 03', { meter: '59100', state: 'Stood cold', template: 'Full', ambient: '9' });
  await jump(page, 'timing belt age');
  await expect(page.getByText(/^On record: done 1 Mar 2024, 21.000 km\.$/)).toBeVisible();
  await page.getByRole('button', { name: /^As on record: \d+ months, 38.000 km$/ }).click();
  await expect(page.getByText(/Pass|Advisory|Recorded|Fail/).first()).toBeVisible();
});
