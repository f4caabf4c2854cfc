import { chromium, expect, type Page } from '@playwright/test';
import fs from 'node:fs/promises';
import path from 'node:path';
import { arrive, goOn, jump, lookAtGate, readTread, signIn, signOut, toPage, toVehicle, type } from './walk';
import { Workshop } from './workshop';

/** One current picture per main view, from the demo data, into docs/screenshots. */
const FOLDER = path.resolve(__dirname, '..', 'docs', 'screenshots');
const PHONE = { width: 390, height: 844 };
const DESK = { width: 1280, height: 800 };
/** Fonts and the chart's own layout settle within this. */
const SETTLE_MS = 600;

async function shoot(page: Page, name: string): Promise<void> {
  await page.waitForTimeout(SETTLE_MS);
  await page.screenshot({ path: path.join(FOLDER, `${name}.png`) });
}

async function main(): Promise<void> {
  await fs.rm(FOLDER, { recursive: true, force: true });
  await fs.mkdir(FOLDER, { recursive: true });
  const workshop = await Workshop.start({ demo: true });
  const browser = await chromium.launch({
    executablePath: process.env.CHROMIUM_PATH ?? '/usr/bin/chromium',
    args: ['--no-sandbox'],
  });
  const page = await browser.newPage({ viewport: PHONE, locale: 'en-GB' });
  await page.goto(workshop.url);
  await signIn(page, 'Isla', '246810');
  await page.getByRole('heading', { name: 'Not to be driven' }).waitFor();
  await page.getByText('Adding up…').waitFor({ state: 'hidden' });
  await shoot(page, 'yard');

  await arrive(page, 'FH 03');
  await page.getByLabel('Odometer, km').fill('5900');
  await page.getByRole('radio', { name: 'Stood cold' }).click();
  await shoot(page, 'arrival');
  await page.goto(workshop.url);
  await arrive(page, 'FH 11');
  await page.getByLabel('Odometer, km').fill('41100');
  await page.getByRole('radio', { name: 'Stood cold' }).click();
  await page.getByRole('button', { name: 'To the cold gate' }).click();
  await lookAtGate(page, { oil: '0.7', coolant: '0.6', belts: 'sound' });
  const ground = page.getByRole('group', { name: 'Ground dry under it?' });
  await ground.getByRole('button', { name: 'Something lies there…' }).click();
  await ground.getByRole('radio', { name: 'Drop forming' }).click();
  await shoot(page, 'cold-gate');
  await page.getByRole('button', { name: /^To the walk/ }).click();

  await page.goto(workshop.url);
  await goOn(page, 'FH 07');
  await jump(page, 'tread nearside front');
  await readTread(page, 'nearside front', ['4.3', '4.4', '2.8']);
  await shoot(page, 'walk-tread');
  await jump(page, 'outer pad nearside front');
  await type(page, 'Outer pad, nearside front', '6.5');
  await type(page, 'Inner pad, nearside front', '3');
  await type(page, 'Disc, nearside front: thickness', '22.4');
  await page.emulateMedia({ colorScheme: 'dark' });
  // The page must have turned before it is taken: a picture that shows the other theme is a false one.
  await expect(page.getByRole('main')).toHaveCSS('background-color', 'rgb(18, 24, 30)');
  await shoot(page, 'walk-brake-dark');
  await page.emulateMedia({ colorScheme: 'light' });
  await jump(page, 'engine leaks from below');
  await page.getByRole('radio', { name: 'Damp' }).click();
  await page.getByRole('radio', { name: 'Engine oil' }).click();
  await page.getByRole('radio', { name: 'Rear crank seal' }).click();
  await page.getByRole('button', { name: 'Overview and signing' }).click();
  await shoot(page, 'overview');

  await page.goto(workshop.url);
  await toVehicle(page, 'FH 07');
  await shoot(page, 'vehicle-now');
  await toPage(page, 'Works');
  await page.getByRole('button', { name: 'Write all down' }).click();
  await page.getByText('4 works written down.').waitFor();
  for (const [work, act] of [
    ['Brake pads, front axle', 'Agreed'],
    ['Auxiliary belt', 'Put to the keeper'],
  ]) {
    const slip = page.getByRole('button', { name: new RegExp(`^${work}`) });
    await slip.click();
    await page.getByRole('button', { name: `${act}: ${work}` }).click();
    await slip.click();
  }
  await shoot(page, 'vehicle-works');
  await toPage(page, 'Wear');
  await shoot(page, 'vehicle-wear');
  await page
    .getByRole('link', { name: /^Pad|^Inner pad NSF/ })
    .last()
    .click();
  await page.getByRole('heading', { name: 'Trend' }).waitFor();
  await shoot(page, 'trend');
  await toPage(page, 'Life');
  await shoot(page, 'vehicle-life');
  await page.getByRole('button', { name: 'Compare two' }).click();
  for (const nth of [0, 1])
    await page
      .getByRole('checkbox', { name: /to compare$/ })
      .nth(nth)
      .click();
  await page.getByRole('button', { name: 'Compare the two marked' }).click();
  await page.getByRole('heading', { name: 'Got worse' }).waitFor();
  await shoot(page, 'compare');
  await page.setViewportSize(DESK);
  await toPage(page, 'Now');
  await shoot(page, 'vehicle-wide');
  await toPage(page, 'Life');
  await page
    .getByRole('link', { name: /Callum/ })
    .first()
    .click();
  await page.setViewportSize(PHONE);
  await page.getByRole('heading', { name: 'Report, FH 07' }).waitFor();
  await shoot(page, 'report');
  await page.goto(`${workshop.url}/scorecard`);
  await page.getByRole('heading', { name: 'Tyre tread' }).waitFor();
  await shoot(page, 'scorecard');
  await page.setViewportSize(DESK);
  await page.goto(`${workshop.url}/fleet`);
  await page.getByRole('img', { name: /^Run-out calendar/ }).waitFor();
  await shoot(page, 'fleet-wide');
  await page.setViewportSize(PHONE);
  await page.goto(`${workshop.url}/bench`);
  await page.getByRole('button', { name: 'Stick to litres' }).click();
  await shoot(page, 'bench');

  await page.goto(workshop.url);
  await signOut(page);
  await signIn(page, 'Maren', '112358');
  await page.goto(`${workshop.url}/rules`);
  await page.setViewportSize(DESK);
  await page.getByRole('radio', { name: 'Limits' }).click();
  await page
    .getByRole('button', { name: /^Tread, spare wheel: depth/ })
    .first()
    .click();
  await page.getByRole('textbox', { name: 'Advisory under, mm' }).first().fill('3.5');
  await page.getByRole('button', { name: 'What would change?' }).click();
  await page.getByRole('button', { name: 'Save as version 1' }).waitFor();
  await shoot(page, 'rules-wide');
  await page.setViewportSize(PHONE);
  await page.goto(`${workshop.url}/data`);
  await page.getByRole('button', { name: 'Save the table' }).waitFor();
  await shoot(page, 'data');
  await browser.close();
  await workshop.remove();
}

main().catch((error: unknown) => {
  console.error(error);
  process.exit(1);
});
