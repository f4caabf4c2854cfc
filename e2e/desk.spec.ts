import { expect, test } from '@playwright/test';
import { arrive, beginVisit, expectAccessible, jump, signIn, toPage, toPlace, toVehicle, type } from './walk';
import { Workshop } from './workshop';

let workshop: Workshop;
test.beforeAll(async () => {
  workshop = await Workshop.start({ demo: true });
});
test.afterAll(() => workshop.remove());

test('a lead changes a limit: sees what it would change first, and new visits are judged by it', async ({ page }) => {
  await page.goto(workshop.url);
  await signIn(page, 'Maren', '112358');
  await toPlace(page, 'Rules');
  await expectAccessible(page);
  await page.getByRole('button', { name: /^Pressure in\?: / }).click();
  await page.getByRole('radiogroup', { name: 'Pressure' }).getByRole('radio', { name: 'psi' }).click();
  await page.getByRole('button', { name: /^Wheel positions are called: / }).click();
  await page
    .getByRole('radiogroup', { name: 'Wheel positions are called' })
    .getByRole('radio', { name: 'left, right' })
    .click();
  await page.getByRole('radio', { name: 'Limits' }).click();
  // Found by what it is called in the bay; it says whom it governs and how many readings lie near it.
  await page.getByLabel('Find a limit').fill('tread house light');
  await expect(page.getByText(/^\d+ of \d+ limits$/)).toBeVisible();
  await page
    .getByRole('button', { name: /^Tread, spare wheel: depth.*Car, /s })
    .first()
    .click();
  await expect(page.getByText(/^Tread, spare wheel: depth, by the reading: /).first()).toBeVisible();
  const advisory = page.getByRole('textbox', { name: 'Advisory under, mm' }).first();
  // A tired hand: advisory inside fail is refused, at its field, and nothing can be saved.
  await advisory.fill('1');
  await expect(page.getByText('Fail must lie beyond advisory, on the bad side of it.').first()).toBeVisible();
  await expect(page.getByRole('button', { name: 'What would change?' })).toBeDisabled();
  await advisory.fill('6');
  await expectAccessible(page);
  await page.getByRole('button', { name: 'What would change?' }).click();
  await expect(page.getByText(/\d+ from pass to advisory/)).toBeVisible();
  await page.getByRole('button', { name: 'Save as version 1' }).click();
  await expect(page.getByText('Saved and sent.')).toBeVisible();

  await beginVisit(page, 'FH 03', { meter: '59400', state: 'Stood cold', template: 'Interim', ambient: '20' });
  await jump(page, 'tread left front');
  await type(page, 'Tread outer, left front', '5');
  await expect(page.getByText('Outer 5.0 mm is under 6.0 (house).')).toBeVisible();
  await jump(page, 'tyre pressure right front');
  await type(page, 'Tyre pressure, right front', '33.4');
  await expect(page.getByText(/33\.4 psi at 20 °C, as the placard/)).toBeVisible();
});

test('a template and a point of one’s own', async ({ page }) => {
  await page.goto(workshop.url);
  await signIn(page, 'Maren', '112358');
  await toPlace(page, 'Rules');
  await page.getByRole('radio', { name: 'Templates' }).click();
  await page.getByRole('radio', { name: 'Cold gate' }).first().click();
  await page.getByRole('button', { name: 'Copy this template' }).click();
  await page.getByRole('textbox', { name: 'Name' }).fill('Ferry check');
  await page.getByRole('checkbox', { name: 'Belts on and whole' }).click();
  await expect(page.getByText('4 points of the catalogue.')).toBeVisible();
  await page.getByRole('radio', { name: 'Underside', exact: true }).click();
  await page.getByLabel('A new one: its name').fill('Snow plate bolts');
  await page.getByLabel('What to look for', { exact: true }).fill('All six in, paint unbroken');
  await page.getByRole('button', { name: 'Add this point' }).click();
  await expect(page.getByText('5 points of the catalogue.')).toBeVisible();
  await expect(page.getByRole('checkbox', { name: 'Snow plate bolts' })).toBeChecked();
  await page.getByLabel('A new one: its name').fill('snow plate bolts');
  await expect(page.getByText('This name is taken.')).toBeVisible();
  await expectAccessible(page);
  await page.getByRole('button', { name: 'What would change?' }).click();
  await expect(page.getByText(/^Nothing in the \d+ visits/)).toBeVisible();
  await page.getByRole('button', { name: /^Save as version/ }).click();
  await beginVisit(page, 'FH 02', { meter: '212000', state: 'Stood cold', template: 'Ferry check', ambient: '9' });
  await jump(page, 'snow plate');
  await expect(page.getByRole('heading', { name: 'Snow plate bolts' })).toBeVisible();
  await expect(page.getByText('All six in, paint unbroken')).toBeVisible();
});

test('an address that leads nowhere says so, with the way back', async ({ page }) => {
  await page.goto(workshop.url);
  await signIn(page, 'Maren', '112358');
  await page.goto(`${workshop.url}/visits/long-gone`);
  await expect(page.getByRole('heading', { name: 'Nothing here' })).toBeVisible();
  await expectAccessible(page);
  await toPlace(page, 'Yard');
  await expect(page.getByRole('heading', { name: 'All vehicles' })).toBeVisible();
});

test('a vehicle’s spec sheet: what cannot be is refused at its field, what is saved judges', async ({ page }) => {
  await page.goto(workshop.url);
  await signIn(page, 'Maren', '112358');
  await toVehicle(page, 'FH 02');
  await toPage(page, 'Spec');
  await page.getByRole('button', { name: 'Change the sheet' }).click();
  await page.getByLabel(/^Capacity of fluid 1, /).fill('0');
  await page.getByLabel('Disc minimum rear, mm').fill('2');
  await page.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByText('Over 0 to 400 L, or empty.')).toBeVisible();
  await expect(page.getByText('3 to 60 mm, or empty.')).toBeVisible();
  await expectAccessible(page);
  await page.getByLabel(/^Capacity of fluid 1, /).fill('4.5');
  await page.getByLabel('Disc minimum rear, mm').fill('25,5');
  await page.getByRole('button', { name: 'Add a part number' }).click();
  await page.getByLabel('Part 2', { exact: true }).fill('Air filter');
  await page.getByLabel('Number 2', { exact: true }).fill('TH 2210');
  await page.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByRole('heading', { name: 'FH 02' })).toBeVisible();
  await toPage(page, 'Spec');
  await page.getByRole('button', { name: 'Change the sheet' }).click();
  await expect(page.getByLabel('Disc minimum rear, mm')).toHaveValue('25.5');
  await expect(page.getByLabel('Number 2', { exact: true })).toHaveValue('TH 2210');
});

test('a machine that counts hours has its own meter and inspection', async ({ page }) => {
  await page.goto(workshop.url);
  await signIn(page, 'Callum', '135791');
  await arrive(page, 'FH 12');
  await page.getByLabel('Hour meter, h').fill('1400');
  await expect(page.getByText(/Behind the last reading of 1\u202f463 h/)).toBeVisible();
  await page.getByLabel('Hour meter, h').fill('1475.5');
  await page.getByRole('radio', { name: 'Stood cold' }).click();
  await page.getByRole('radio', { name: 'Machine, daily' }).click();
  await page.getByRole('button', { name: 'To the cold gate' }).click();
  await page.getByRole('button', { name: /^To the walk/ }).click();
  await page.getByRole('button', { name: 'Dry, and on' }).click();
  for (const label of ['Engine oil level', 'Coolant level', 'Hydraulic oil, own mark']) {
    await type(page, label, '0.8');
    await page.getByRole('button', { name: 'Next', exact: true }).click();
  }
  await page.getByRole('button', { name: 'Sound, and on' }).click();
  await expect(page.getByText('Every point was seen.')).toBeVisible();
  await page.getByRole('button', { name: 'Sign', exact: true }).click();
  await expect(page.getByText(/1\u202f475\.5 h/).first()).toBeVisible();
});

test('the bench: a sum with its formula, wrong figures told at their field', async ({ page }) => {
  await page.goto(workshop.url);
  await signIn(page, 'Callum', '135791');
  await toPlace(page, 'Bench');
  await page.getByRole('button', { name: 'Pressure at 20 °C' }).click();
  await expect(page.getByText(/^(244 kPa|35\.3 psi) at 20 °C$/)).toBeVisible();
  await page.getByLabel('Gauge pressure, kPa').fill('32 psi');
  await page.getByLabel('Tyre temperature, °C').fill('400');
  await expect(page.getByText('Allowed: -60 to 120 °C.')).toBeVisible();
  await expectAccessible(page);
  await page.getByLabel('Tyre temperature, °C').fill('20');
  await expect(page.getByText(/^(221 kPa|32\.0 psi) at 20 °C$/)).toBeVisible();
});

test('a return visit looks only at what the last one left', async ({ page }) => {
  await page.goto(workshop.url);
  await signIn(page, 'Isla', '246810');
  await arrive(page, 'FH 11');
  await page.getByRole('radio', { name: 'Return visit' }).click();
  const told = page.getByText(/^\d+ points\./);
  await expect(told).toBeVisible();
  expect(Number.parseInt(await told.innerText(), 10)).toBeLessThan(12);
});

test('a report names the rules it was graded by; old visits keep theirs after a change', async ({ page }) => {
  await page.goto(workshop.url);
  await signIn(page, 'Maren', '112358');
  await toPlace(page, 'Rules');
  const version = Number(/\d+/.exec(await page.getByText(/^Version \d+$/).innerText())?.[0]);
  await page.getByRole('button', { name: /^Judging near a limit: / }).click();
  const near = page.getByRole('radiogroup', { name: 'Judging near a limit' });
  await near.getByRole('radio', { name: /^guarded/ }).click();
  await page.getByRole('button', { name: 'What would change?' }).click();
  await page.getByRole('button', { name: `Save as version ${version + 1}` }).click();
  await toPlace(page, 'Yard');
  await toVehicle(page, 'FH 11');
  await toPage(page, 'Life');
  await page.getByRole('link', { name: /Isla/ }).first().click();
  await expect(page.getByText(/rules version 0\..*judging near a limit: plain/)).toBeVisible();

  await page.goto(workshop.url);
  await beginVisit(page, 'FH 11', { meter: '41500', state: 'Warm', template: 'Cold gate' });
  await page.getByRole('button', { name: 'Overview and signing' }).click();
  await page.getByRole('button', { name: 'Sign', exact: true }).click();
  await page.getByRole('button', { name: /^Sign with/ }).click();
  const note = new RegExp(`rules version ${version + 1}\\..*judging near a limit: guarded`);
  await expect(page.getByText(note)).toBeVisible();
});

test('day and night: the page turns with the device while it is open', async ({ page }) => {
  await page.goto(workshop.url);
  await signIn(page, 'Callum', '135791');
  const ground = page.getByRole('main');
  await expect(ground).toHaveCSS('background-color', 'rgb(245, 241, 232)');
  await page.emulateMedia({ colorScheme: 'dark' });
  await expect(ground).toHaveCSS('background-color', 'rgb(18, 24, 30)');
  await page.emulateMedia({ colorScheme: 'light' });
  await expect(ground).toHaveCSS('background-color', 'rgb(245, 241, 232)');
});
