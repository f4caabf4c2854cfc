import { expect, test } from '@playwright/test';
import { zipped } from '@weskopos/server/tests/bundles';
import fs from 'node:fs/promises';
import { expectAccessible, signIn, toPage, toPlace, toVehicle } from './walk';
import { Workshop } from './workshop';

let full: Workshop;
let empty: Workshop;
test.beforeAll(async () => {
  full = await Workshop.start({ demo: true });
  empty = await Workshop.start({ demo: false });
});
test.afterAll(async () => {
  await full.remove();
  await empty.remove();
});

test('a workshop is taken out, and brought into another: told before, taken whole, there at once', async ({ page }) => {
  await page.goto(full.url);
  await signIn(page, 'Maren', '112358');
  await toPlace(page, 'Data');
  const sent = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Everything (ZIP)' }).click();
  const download = await sent;
  expect(download.suggestedFilename()).toMatch(/^weskopos-workshop-\d{4}-\d\d-\d\d\.zip$/);
  const bundle = await download.path();

  // One vehicle by itself, from its own page.
  await toPlace(page, 'Yard');
  await toVehicle(page, 'FH 01');
  await toPage(page, 'Spec');
  const sentOne = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Bundle (ZIP)' }).click();
  const one = await (await sentOne).path();
  expect((await fs.stat(one)).size).toBeLessThan((await fs.stat(bundle)).size);

  await page.goto(empty.url);
  await page.getByLabel('Code from the server’s window').fill(/code (\S+)/.exec(empty.output)?.[1] ?? '');
  await page.getByLabel('Your name').fill('Greta');
  await page.getByLabel('PIN or password').fill('112358');
  await page.getByRole('button', { name: 'Begin' }).click();
  await toPlace(page, 'Data');
  const choose = async (file: string | { name: string; mimeType: string; buffer: Buffer }) => {
    const asked = page.waitForEvent('filechooser');
    await page.getByRole('button', { name: 'Choose a bundle' }).click();
    await (await asked).setFiles(file);
  };

  // The wrong file, of a tired hand: said what is wrong with it, and nothing is there.
  await choose({ name: 'photo.zip', mimeType: 'application/zip', buffer: Buffer.from('not at all') });
  await expect(page.getByRole('alert')).toContainText('This is no ZIP archive');
  await choose({ name: 'other.zip', mimeType: 'application/zip', buffer: await zipped([['manifest.json', '{}']]) });
  await expect(page.getByRole('alert')).toContainText('It has no manifest');
  await expectAccessible(page);

  // One vehicle first.
  await choose(one);
  await expect(page.getByText(/^New here: 1 vehicle, /)).toBeVisible();
  await page.getByRole('button', { name: 'Leave it' }).click();
  await expect(page.getByText(/^New here/)).toBeHidden();
  await choose(one);
  await page.getByRole('button', { name: 'Take it' }).click();
  await expect(page.getByText('It is taken.')).toBeVisible();
  // Then all of it: what is here is known again.
  await choose(bundle);
  await expect(page.getByText(/^New here: 13 vehicles, /)).toBeVisible();
  await expect(page.getByText(/^Here already, the same: 1 vehicle, /)).toBeVisible();
  await expect(page.getByText(/Nobody here is called/)).toBeHidden();
  await expectAccessible(page);
  await page.getByRole('button', { name: 'Take it' }).click();
  await expect(page.getByText('It is taken.')).toBeVisible();

  // Everything that was signed there is looked at here, by the key of there.
  await page.getByRole('button', { name: 'Check now' }).click();
  await expect(page.getByText(/^All of it holds: \d+ signatures, \d+ photos?\.$/)).toBeVisible();
  await expect(page.getByText('There is none yet.')).toBeVisible();
  await page.getByRole('button', { name: 'Back up now' }).click();
  await expect(page.getByText(/^The last: /)).toBeVisible();
  await expectAccessible(page);

  await toPlace(page, 'Yard');
  await toVehicle(page, 'FH 04');
  await expect(page.getByRole('heading', { name: 'FH 04' })).toBeVisible();
  await toPlace(page, 'People');
  await expect(page.getByText('Callum')).toBeVisible();
});

test('a backup that fails is told to leads in the yard, and leads to where it is made again', async ({ page }) => {
  const folder = `${empty.folder}-backups`;
  await fs.rename(folder, `${folder}.away`);
  await fs.writeFile(folder, 'in the way');
  await page.goto(empty.url);
  await signIn(page, 'Greta', '112358');
  await expect(page.getByText('The backup failed')).toBeHidden();
  await toPlace(page, 'Data');
  await page.getByRole('button', { name: 'Back up now' }).click();
  await expect(page.getByText(/^The backup failed on /)).toBeVisible();
  await toPlace(page, 'Yard');
  await page.getByRole('link', { name: /The backup failed/ }).click();
  await fs.rm(folder);
  await fs.rename(`${folder}.away`, folder);
  await page.getByRole('button', { name: 'Back up now' }).click();
  await expect(page.getByText(/^1 older one is kept/)).toBeVisible();
  await toPlace(page, 'Yard');
  await expect(page.getByText('The backup failed')).toBeHidden();
});

test('a report carries what its signature can be checked by', async ({ page }) => {
  await page.goto(full.url);
  await signIn(page, 'Maren', '112358');
  await toVehicle(page, 'FH 01');
  await toPage(page, 'Life');
  await page
    .getByRole('link', { name: /Callum|Isla/ })
    .first()
    .click();
  await expect(page.getByRole('heading', { name: 'Signature' })).toBeVisible();
  await expect(page.getByText(/^SHA-256 [0-9a-f]{64}$/)).toBeVisible();
  await expect(page.getByText(/^Ed25519 [A-Za-z0-9+/]{86}==$/)).toBeVisible();
  await expect(page.getByRole('img', { name: /^This visit as text/ })).toBeVisible();
});
