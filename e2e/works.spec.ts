import { expect, test, type Browser, type Page } from '@playwright/test';
import { expectAccessible, signIn, toPage, toPlace, toVehicle } from './walk';
import { Workshop } from './workshop';

let demo: Workshop;
test.beforeAll(async () => {
  demo = await Workshop.start({ demo: true });
});
test.afterAll(() => demo.remove());

/** A phone that belongs to nobody here. */
async function keepersPhone(browser: Browser): Promise<Page> {
  const context = await browser.newContext({ viewport: { width: 390, height: 844 } });
  return context.newPage();
}
const work = (page: Page, name: string) => page.getByRole('button', { name: new RegExp(`^${name}`) });
const question = (page: Page, name: string) => page.getByRole('group', { name: new RegExp(name) });

test('works grow from what is known, the keeper answers on a phone of his own, what is done goes into the life', async ({
  page,
  browser,
}) => {
  await page.setViewportSize({ width: 390, height: 844 });
  await page.goto(demo.url);
  await signIn(page, 'Callum', '135791');
  await toVehicle(page, 'FH 07');
  await toPage(page, 'Works');
  await expect(page.getByRole('heading', { name: 'Brakes opened once, front axle' })).toBeVisible();
  await page.getByRole('button', { name: 'Write all down' }).click();
  await expect(page.getByText('4 works written down.')).toBeVisible();
  await expect(work(page, 'Brake pads, front axle')).toContainText('on the list');
  await expectAccessible(page);

  // One of one's own; nothing typed is refused first.
  await page.getByRole('button', { name: 'Add a work' }).click();
  await page.getByRole('button', { name: 'Add it' }).click();
  await expect(page.getByRole('alert')).toContainText('Say what is to be done.');
  await page.getByLabel('What is to be done?').fill('Tow bar wiring');
  await page.getByRole('button', { name: 'Add it' }).click();
  await expect(work(page, 'Tow bar wiring')).toContainText('At the next visit');

  await page.getByRole('button', { name: 'To the keeper', exact: true }).click();
  await expect(page.getByText('5 works are told.')).toBeVisible();
  await page.getByLabel('Who asks, and where to reach you').fill('Harbour workshop, 0 55');
  await page.getByRole('button', { name: 'Make the link' }).click();
  const url = (await page.getByText(/\/k\/[\w-]{22}$/).textContent()) ?? '';
  await expectAccessible(page);

  const phone = await keepersPhone(browser);
  await phone.goto(url);
  await expect(phone.getByRole('heading', { level: 1 })).toContainText('FH 07');
  await expect(phone.getByText('Harbour workshop, 0 55')).toBeVisible();
  await expectAccessible(phone);
  await question(phone, 'Brake pads, front axle').getByLabel('Yes, do it').check();
  await question(phone, 'Brake fluid').getByLabel('Yes, do it').check();
  await question(phone, 'Auxiliary belt').getByLabel('Not now').check();
  await question(phone, 'Engine oil and filter').getByLabel('I have a question').check();
  await question(phone, 'Engine oil and filter').getByRole('textbox').fill('Which oil?');
  // A tired person forgets the name: nothing is lost.
  await phone.getByRole('button', { name: 'Send my answers' }).click();
  await expect(phone.getByText('Please type your name.')).toBeVisible();
  await expect(question(phone, 'Auxiliary belt').getByLabel('Not now')).toBeChecked();
  await phone.getByLabel('Your name').fill('Greta');
  await phone.getByRole('button', { name: 'Send my answers' }).click();
  await expect(phone.getByRole('status')).toContainText('the workshop has your answer');
  await expect(phone.getByText('Greta: yes').first()).toBeVisible();
  await expectAccessible(phone);

  await page.reload();
  await expect(work(page, 'Brake pads, front axle')).toContainText('agreed');
  await expect(work(page, 'Auxiliary belt')).toContainText('not now');
  await expect(work(page, 'Tow bar wiring')).toContainText('put to the keeper');
  await work(page, 'Engine oil and filter').click();
  await expect(page.getByText('“Which oil?”')).toBeVisible();

  // Planned, carried to the bay, done.
  await work(page, 'Brake pads, front axle').click();
  await page.getByRole('button', { name: 'Plan a day …: Brake pads, front axle' }).click();
  await page.getByRole('radiogroup', { name: 'Which day' }).getByRole('radio').nth(2).click();
  await page.getByRole('button', { name: 'Keep', exact: true }).click();
  await expect(work(page, 'Brake pads, front axle')).toContainText('planned');
  await page.getByRole('button', { name: 'Job card' }).click();
  await expect(page.getByText('Brake pads, front axle')).toBeVisible();
  await expect(page.getByText('Auxiliary belt, ')).toHaveCount(0);
  await expectAccessible(page);
  await toPlace(page, 'Works');
  await expect(page.getByRole('heading', { name: 'Planned' })).toBeVisible();
  await expectAccessible(page);
  await page.getByRole('link', { name: /FH 07\s+Brake pads, front axle/ }).click();
  await work(page, 'Brake pads, front axle').click();
  await page.getByRole('button', { name: 'Done …: Brake pads, front axle' }).click();
  // A meter behind the last visit's is asked once.
  await page.getByLabel(/^Meter/).fill('8240');
  await page.getByRole('button', { name: 'Done', exact: true }).click();
  await expect(page.getByRole('alert')).toContainText('82 300 km'.replace(' ', '\u202f'));
  await page.getByLabel(/^Meter/).fill('82400');
  await page.getByLabel('Numbers of what went in').fill('P 4471');
  await page.getByRole('button', { name: 'Done', exact: true }).click();
  await expect(page.getByRole('heading', { name: 'Done and withdrawn' })).toBeVisible();
  await toPage(page, 'Life');
  await expect(page.getByText(/New: pads .*P 4471/).first()).toBeVisible();
  await expect(page.getByRole('link', { name: /Work: Brake pads, front axle.*done/ })).toBeVisible();
  await expect(page.getByRole('link', { name: /Work: Auxiliary belt.*Not now, by Greta/ })).toBeVisible();

  // What was found of the old pads is settled; a late answer changes nothing.
  await toPage(page, 'Works');
  await expect(page.getByRole('heading', { name: 'Done and withdrawn' })).toBeVisible();
  await expect(work(page, 'Brake pads, front axle')).toHaveCount(1);
  // The device may still be sending it.
  await expect(async () => {
    await phone.reload();
    await expect(phone.getByText('This is done.')).toBeVisible({ timeout: 1000 });
  }).toPass();

  // Withdrawn, the link opens nothing.
  await page.getByRole('button', { name: 'To the keeper', exact: true }).click();
  await page.getByRole('button', { name: /^Withdraw the link made/ }).click();
  await expect(page.getByRole('heading', { name: 'Links that are open' })).toHaveCount(0);
  await phone.reload();
  await expect(phone.getByText('This link is over.')).toBeVisible();
});

test('without a network works are written down all the same, and go out when it is back', async ({ page, context }) => {
  await page.goto(demo.url);
  await signIn(page, 'Isla', '246810');
  await toVehicle(page, 'FH 03');
  await toPage(page, 'Works');
  await context.setOffline(true);
  await page.getByRole('button', { name: 'Add a work' }).click();
  await page.getByLabel('What is to be done?').fill('Seat cover');
  await page.getByRole('button', { name: 'Add it' }).click();
  await expect(work(page, 'Seat cover')).toContainText('on the list');
  await page.getByRole('button', { name: 'To the keeper', exact: true }).click();
  await page.getByRole('button', { name: 'Make the link' }).click();
  await expect(page.getByRole('alert')).toBeVisible();
  await context.setOffline(false);
  await page.reload();
  await expect(work(page, 'Seat cover')).toContainText('on the list');
  await work(page, 'Seat cover').click();
  await page.getByRole('button', { name: 'Withdraw …: Seat cover' }).click();
  await page.getByRole('button', { name: 'Withdraw …', exact: true }).click();
  await expect(page.getByRole('alert')).toContainText('Say it in a few words.');
  await page.getByLabel('Why').fill('sold');
  await page.getByRole('button', { name: 'Withdraw …', exact: true }).click();
  await expect(work(page, 'Seat cover')).toContainText('withdrawn');
});

test('a lead brings in prices, parts and time are said of a work, and the keeper is told what it comes to', async ({
  page,
  browser,
}) => {
  await page.setViewportSize({ width: 390, height: 844 });
  await page.goto(demo.url);
  await signIn(page, 'Maren', '112358');
  await toPlace(page, 'Works');
  await page.getByRole('button', { name: 'Prices' }).click();
  await page.getByLabel('Tax, %').fill('60');
  await expect(page.getByText('0 to 50.')).toBeVisible();
  await page.getByLabel('Tax, %').fill('20');
  await page.getByLabel('An hour of work, without tax').fill('60');
  const [chooser] = await Promise.all([
    page.waitForEvent('filechooser'),
    page.getByRole('button', { name: 'Choose the file' }).click(),
  ]);
  const csv = 'Number;Name;Price;Minutes\nP-100;Seal kit;1.234;\nP-200;Hose;12,50 €;\n;Coolant;;30\nP-300;Free;ask;\n';
  await chooser.setFiles({ name: 'prices.csv', mimeType: 'text/csv', buffer: Buffer.from(csv) });
  await expect(page.getByText('Read: 2 parts, 1 times.')).toBeVisible();
  await expect(page.getByText('Row 5, ask: the figure cannot be read')).toBeVisible();
  await page.getByRole('button', { name: '2 parts, 1 usual time.' }).click();
  await expect(page.getByText('P-100 · €1,234.00')).toBeVisible();
  await expectAccessible(page);
  await page.getByRole('button', { name: 'Keep the list' }).click();
  await expect(page.getByText('Kept.')).toBeVisible();

  await toPlace(page, 'Yard');
  await toVehicle(page, 'FH 01');
  await toPage(page, 'Works');
  await page.getByRole('button', { name: 'Add a work' }).click();
  await page.getByLabel('What is to be done?').fill('Heater hose');
  await page.getByRole('button', { name: 'Add it' }).click();
  await work(page, 'Heater hose').click();
  await page.getByRole('button', { name: 'Parts and time: Heater hose' }).click();
  await page.getByLabel('Minutes').fill('30');
  await page.getByLabel('Number').fill('P-200');
  await page.getByLabel('How many').fill('2');
  // Two hoses and half an hour, with a fifth of tax.
  await expect(page.getByText('€66.00, with €11.00 tax.')).toBeVisible();
  await page.getByRole('button', { name: 'Keep', exact: true }).click();
  await expect(page.getByText('2 × P-200 P-200 · 30 min')).toBeVisible();
  await expectAccessible(page);

  await page.getByRole('button', { name: 'To the keeper', exact: true }).click();
  await page.getByRole('radio', { name: 'Deutsch' }).click();
  await page.getByRole('button', { name: 'Make the link' }).click();
  const url = (await page.getByText(/\/k\/[\w-]{22}$/).textContent()) ?? '';
  const phone = await keepersPhone(browser);
  await phone.goto(url);
  await expect(phone.getByText('66,00 €, darin 11,00 € Steuer.')).toBeVisible();
  await expect(phone.locator('html')).toHaveAttribute('lang', 'de');
  await expectAccessible(phone);
  // What he answers stands on the page that is open, without a reload.
  await question(phone, 'Heater hose').getByLabel('Ja, bitte machen').check();
  await phone.getByLabel('Ihr Name').fill('Greta');
  await phone.getByRole('button', { name: 'Meine Antworten senden' }).click();
  await expect(phone.getByText('Danke: die Werkstatt hat Ihre Antwort.')).toBeVisible();
  await expect(work(page, 'Heater hose')).toContainText('agreed');
  await toPlace(page, 'Yard');
  await expect(page.getByRole('heading', { name: 'The keeper answered' })).toBeVisible();
});
