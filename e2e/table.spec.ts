import { expect, test, type Page } from '@playwright/test';
import fs from 'node:fs/promises';
import sharp from 'sharp';
import { expectAccessible, signIn, toPage, toPlace, toVehicle } from './walk';
import { Workshop } from './workshop';

let demo: Workshop;
test.beforeAll(async () => {
  demo = await Workshop.start({ demo: true });
});
test.afterAll(() => demo.remove());

const OLD_BOOK = [
  'From the old book, typed in the winter',
  'Reg;Inspected;Mileage;FL tread;FR tread;RL tread;RR tread;Mechanic',
  'FH 03;3/4/2021;11000;7,4;7,3;7,8;7,8;Kasimir',
  'FH 03;5/11/2021;14200;6,1;6,2;7,1;7,0;Kasimir',
  'FH 03;2/5/2022;17900;5,2;52;6,4;6,3;Kasimir',
  'FH 99;2/5/2022;1000;5,2;5,2;6,4;6,3;Kasimir',
].join('\n');

async function chooseTable(page: Page, name: string, text: string) {
  const asked = page.waitForEvent('filechooser');
  await page.getByRole('button', { name: 'Choose a file' }).click();
  await (await asked).setFiles({ name, mimeType: 'text/csv', buffer: Buffer.from(text) });
}

test('a book kept in a spreadsheet comes in: guessed, put right, every row told, taken, and asked about', async ({
  page,
}) => {
  await page.goto(demo.url);
  await signIn(page, 'Maren', '112358');
  await toPlace(page, 'Data');
  await page.getByRole('link', { name: 'Choose a table (CSV, XLSX)' }).click();

  // The wrong file first.
  await chooseTable(page, 'empty.csv', '');
  await expect(page.getByRole('alert')).toContainText('There is nothing in it');

  await chooseTable(page, 'old book.csv', OLD_BOOK);
  await expect(page.getByText('old book.csv: 8 columns.')).toBeVisible();
  await expect(page.getByRole('radio', { name: 'Readings' })).toBeChecked();
  await expect(page.getByRole('button', { name: /^FL tread: Tread centre/ })).toBeVisible();
  await expect(page.getByRole('button', { name: 'Mileage: Meter, in mi' })).toBeVisible();
  // 3/4 is a day of March or of April: asked, not guessed.
  await expect(page.getByText('Its dates can be read in two ways. Which is it?')).toBeVisible();
  await page.getByRole('radio', { name: 'Month first' }).click();
  // The book was in kilometres whatever its heading says.
  await page.getByRole('button', { name: /^Mileage:/ }).click();
  await page.getByRole('radio', { name: 'km', exact: true }).click();
  await page.getByRole('button', { name: 'Mileage: Meter', exact: true }).click();
  await expectAccessible(page);
  await page.getByRole('button', { name: 'See what becomes of it' }).click();

  await expect(page.getByText('2 rows are new here.')).toBeVisible();
  await expect(page.getByText(/^2 rows cannot be taken/)).toBeVisible();
  await expect(page.getByText('Figure “52” cannot be. Allowed: 0 to 25 mm.')).toBeVisible();
  await expect(page.getByText(/^Vehicle “FH 99” is no vehicle here/)).toBeVisible();
  await expect(page.getByText('Nobody here is called Kasimir.', { exact: false })).toBeVisible();
  await expect(page.getByRole('button', { name: 'Take it' })).toBeDisabled();
  await expectAccessible(page);
  const sent = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Save the list of rows (CSV)' }).click();
  expect((await sent).suggestedFilename()).toBe('old book-rows.csv');

  await page.getByRole('checkbox', { name: 'Leave out the 2 rows that cannot be taken' }).click();
  await page.getByRole('button', { name: 'Take it' }).click();
  await expect(page.getByText('It is taken.')).toBeVisible();
  await page.getByRole('link', { name: 'FH 03, life' }).click();
  await expect(page.getByRole('heading', { name: 'FH 03, life' })).toBeVisible();

  // The same file again: its columns are known, and nothing in it is new.
  await toPlace(page, 'Data');
  await page.getByRole('link', { name: 'Choose a table (CSV, XLSX)' }).click();
  await chooseTable(page, 'old book.csv', OLD_BOOK);
  await expect(page.getByText('Its columns are known from last time.')).toBeVisible();
  await page.getByRole('button', { name: 'See what becomes of it' }).click();
  await expect(page.getByText('2 rows are here already.')).toBeVisible();
  await expect(page.getByText('Nothing in it is new here.')).toBeVisible();

  // The visit says where it comes from, and its signature holds.
  await toPlace(page, 'Yard');
  await toVehicle(page, 'FH 03');
  await toPage(page, 'Life');
  await page
    .getByRole('link', { name: /^Brought in, Kasimir/ })
    .last()
    .click();
  await expect(page.getByText('Brought in from old book.csv')).toBeVisible();
});

test('a program gets a token once, the API is shown, and the list tells who did it', async ({ page, request }) => {
  await page.goto(demo.url);
  await signIn(page, 'Maren', '112358');
  await toPlace(page, 'Data');
  await page.getByLabel('Which program?').fill('Office');
  await page.getByRole('button', { name: 'Give it a token' }).click();
  const token = (await page.getByText(/^weskopos_/).textContent()) ?? '';
  const headers = { authorization: `Bearer ${token}` };
  expect((await request.get(`${demo.url}/api/yard`, { headers })).status()).toBe(200);
  await expectAccessible(page);
  const [api] = await Promise.all([
    page.waitForEvent('popup'),
    page.getByRole('link', { name: 'What programs can ask for' }).click(),
  ]);
  await expect(api.getByText('Every vehicle: how it stands', { exact: false })).toBeVisible();
  await api.close();
  await page.getByRole('button', { name: 'End the token of Office' }).click();
  await expect(page.getByText('Office', { exact: true })).toBeHidden();
  expect((await request.get(`${demo.url}/api/yard`, { headers })).status()).toBe(401);

  await page.getByRole('link', { name: 'Open the list' }).click();
  await expect(page.getByText('Office, read', { exact: false }).first()).toBeVisible();
  await page.getByRole('radio', { name: 'Token ended' }).click();
  await expect(page.getByRole('listitem')).toHaveCount(1);
  await expectAccessible(page);
});

test('a drawing is taken along: as SVG, as a picture, and its figures', async ({ page }) => {
  await page.goto(demo.url);
  await signIn(page, 'Maren', '112358');
  await toVehicle(page, 'FH 03');
  await toPage(page, 'Wear');
  await page
    .getByRole('button', { name: /^Tread/ })
    .or(page.getByRole('link', { name: /Tread/ }))
    .first()
    .click();
  const saved = async (kind: string) => {
    const sent = page.waitForEvent('download');
    await page.getByRole('button', { name: new RegExp(`^Save FH 03 Tread.* as ${kind}$`) }).click();
    const download = await sent;
    expect(download.suggestedFilename()).toMatch(new RegExp(`^FH 03 Tread.*\\.${kind.toLowerCase()}$`));
    return fs.readFile(await download.path());
  };
  const svg = (await saved('SVG')).toString('utf8');
  expect(svg).toMatch(/^<svg [^>]*xmlns="http:\/\/www\.w3\.org\/2000\/svg"/);
  const [, width = '0'] = /width="(\d+)"/.exec(svg) ?? [];
  // Drawn by another program, it is as large and not blank.
  const drawn = await sharp(Buffer.from(svg)).stats();
  expect(drawn.isOpaque).toBe(true);
  expect(Math.max(...drawn.channels.map(({ stdev }) => stdev))).toBeGreaterThan(5);
  expect((await sharp(await saved('PNG')).metadata()).width).toBe(3 * Number(width));
  const [head, ...rows] = (await saved('CSV')).toString('utf8').trim().split('\r\n');
  expect(head).toBe('at,meter,meterUnit,value,unit,uncertainty,startsPart');
  expect(rows.length).toBeGreaterThan(1);
});
