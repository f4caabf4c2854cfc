import { expect, test } from '@playwright/test';
import fs from 'node:fs/promises';
import { addPhoto, expectAccessible, jump, readTread, signIn, signOut, toPlace, type } from './walk';
import { pngClaiming } from '@weskopos/server/tests/pngClaiming';
import { Workshop } from './workshop';

let workshop: Workshop;
test.beforeAll(async () => {
  workshop = await Workshop.start({ demo: false });
});
test.afterAll(() => workshop.remove());

test('an empty workshop: set-up, a vehicle, a first visit with the mistakes of a tired hand', async ({
  page,
}, testInfo) => {
  const code = /code (\S+)/.exec(workshop.output)?.[1] ?? '';
  await page.goto(workshop.url);
  await page.getByLabel('Code from the server’s window').fill('WRONG-CODE');
  await page.getByLabel('Your name').fill('Maren');
  await page.getByLabel('PIN or password').fill('123');
  await page.getByRole('button', { name: 'Begin' }).click();
  await expect(page.getByRole('alert')).toContainText('Six characters or more.');
  await page.getByLabel('PIN or password').fill('112358');
  await page.getByRole('button', { name: 'Begin' }).click();
  await expect(page.getByText('The code is not the one')).toBeVisible();
  await expectAccessible(page);
  await page.getByLabel('Code from the server’s window').fill(code);
  await page.getByRole('button', { name: 'Begin' }).click();
  await expect(page.getByText('No vehicles yet')).toBeVisible();

  await toPlace(page, 'People');
  await page.getByLabel('Name').fill('Isla');
  await page.getByLabel('PIN or password').fill('246810');
  await page.getByRole('button', { name: 'Add' }).click();
  await expect(page.getByText('Isla')).toBeVisible();
  await expectAccessible(page);
  await toPlace(page, 'Yard');

  await page.getByRole('button', { name: 'Add a vehicle' }).click();
  await page.getByLabel('Fleet code').fill('FH 21');
  await page.getByLabel('Year').fill('20');
  await page.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByText('A year from 1900 to 2100.')).toBeVisible();
  await page.getByLabel('Year').fill('2020');
  await page.getByLabel('Placard pressure front, kPa').fill('230');
  await expectAccessible(page);
  await page.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByText('Never inspected')).toBeVisible();
  await page.getByRole('button', { name: 'Begin a visit' }).click();
  await page.getByLabel('Odometer, km').fill('far');
  await expect(page.getByText(/Odometer: a distance from 0/)).toBeVisible();
  await page.getByLabel('Odometer, km').fill('31000');
  await page.getByRole('radio', { name: 'Stood cold' }).click();
  await page.getByLabel('Ambient temperature, °C').fill('12');
  await page.getByRole('button', { name: 'To the cold gate' }).click();
  await page.getByRole('button', { name: /^To the walk/ }).click();

  await jump(page, 'tread nearside front');
  await type(page, 'Tread outer, nearside front', '40');
  await expect(page.getByText('0 to 25 mm')).toBeVisible();
  await expect(page.getByRole('textbox', { name: 'Tread outer, nearside front, typed' })).toHaveValue('40');
  await expect(page.getByText('Not looked at yet.')).toBeVisible();
  await readTread(page, 'nearside front', ['6/32', '4.9', '5,0']);
  await expect(page.getByRole('slider', { name: 'Tread outer, nearside front' })).toHaveAttribute(
    'aria-valuetext',
    /4\.8 mm, Pass/,
  );

  await addPhoto(page, {
    name: 'letter.jpg',
    mimeType: 'image/jpeg',
    buffer: Buffer.from('Dear workshop, no picture here.'),
  });
  await expect(page.getByText(/not a picture that can be read. The finding is kept/)).toBeVisible();
  const huge = testInfo.outputPath('huge.jpg');
  await fs.writeFile(huge, Buffer.alloc(40 * 1024 * 1024, 1));
  await addPhoto(page, huge);
  await expect(page.getByText(/over 30 MB. The finding is kept/)).toBeVisible();
  await addPhoto(page, { name: 'poster.png', mimeType: 'image/png', buffer: pngClaiming(30_000, 30_000) });
  await expect(page.getByText(/more than 60 million pixels.*The finding is kept/)).toBeVisible();
  await expect(page.getByText('Pass')).toBeVisible();

  await jump(page, 'tyre pressure nearside front');
  await type(page, 'Tyre pressure, nearside front', '33');
  await expect(page.getByText('Is the gauge in another one?')).toBeVisible();
  await page.getByRole('button', { name: 'It is psi' }).click();
  await expect(page.getByRole('slider', { name: 'Tyre pressure, nearside front' })).toHaveAttribute(
    'aria-valuetext',
    /228 kPa, Pass/,
  );
  await page.getByRole('button', { name: 'Undo the last change' }).click();
  await expect(page.getByRole('slider', { name: 'Tyre pressure, nearside front' })).toHaveAttribute(
    'aria-valuetext',
    /33 kPa/,
  );
  await page.getByRole('button', { name: 'Undo the last change' }).click();
  await expect(page.getByText('Not looked at yet.')).toBeVisible();

  await jump(page, 'outer pad nearside front');
  await type(page, 'Outer pad, nearside front', '3.4');
  await expect(page.getByText(/close call/).first()).toBeVisible();
  const second = page.getByRole('textbox', { name: 'Outer pad second reading' });
  await second.fill('3.8');
  await second.press('Enter');
  await expect(page.getByText('mean of 3.4 and 3.8')).toBeVisible();

  await page.getByRole('button', { name: 'To the yard' }).click();
  await signOut(page);
  await signIn(page, 'Isla', '246810');
  await expect(page.getByRole('link', { name: /^FH 21 \d+ of \d+/ })).toBeVisible();
});
