import { expect, test, type Page } from '@playwright/test';
import { beginVisit, expectAccessible, jump, signIn } from './walk';
import { Workshop } from './workshop';

let workshop: Workshop;
let page: Page;
// Fingers on glass: figures are typed on the keypad, never on a keyboard of letters.
test.use({ hasTouch: true });
test.describe.configure({ mode: 'serial' });
test.beforeAll(async ({ browser }) => {
  workshop = await Workshop.start({ demo: true });
  page = await (await browser.newContext({ hasTouch: true, viewport: { width: 360, height: 640 } })).newPage();
  await page.goto(workshop.url);
  await signIn(page, 'Isla', '246810');
  await beginVisit(page, 'FH 03', { meter: '60400', state: 'Stood cold', template: 'Full', ambient: '12' });
});
test.afterAll(() => workshop.remove());

const keys = () => page.getByRole('group', { name: 'Keys for figures' });
const press = async (...names: readonly string[]) => {
  for (const name of names) await keys().getByRole('button', { name, exact: true }).tap();
};
const value = (label: string) => page.getByRole('textbox', { name: `${label}, typed`, exact: true });

test('three places of a tread on the keypad, on one line; the hand zone comes back when it is done', async () => {
  await jump(page, 'tread nsf');
  const line = page.getByRole('textbox', { name: 'Tread on one line, nearside front' });
  await line.tap();
  await expect(keys()).toBeVisible();
  await expect(page.getByRole('button', { name: 'Next', exact: true })).toBeHidden();
  await expect(line).toHaveAttribute('inputmode', 'none');
  await press('3', 'Next figure of the line', '3', '.', '6', 'Next figure of the line', '2', '.', '9');
  await press('Erase the last figure', '8');
  await expect(line).toHaveValue('3 3.6 2.8');
  await expectAccessible(page);
  // On to the next place: the line is taken as it is left.
  await press('Next place');
  await expect(value('Tread inner, nearside front')).toHaveValue('2.8');
  await expect(value('Tread outer, nearside front')).toBeFocused();
  await press('Over', '8');
  const next = keys().getByRole('button', { name: 'Next place', exact: true });
  while (await next.isVisible()) await next.tap();
  await press('Done with figures');
  await expect(keys()).toBeHidden();
  await expect(page.getByText('Inner 2.8 mm is under 3.0 (house).')).toBeVisible();
  await expect(page.getByRole('button', { name: 'Next', exact: true })).toBeVisible();
});

test('a tape under a glove is stepped by its keys, and undo stays at hand', async () => {
  const tape = page.getByRole('slider', { name: 'Tread centre, nearside front' });
  await tape.tap({ position: { x: 20, y: 60 } });
  const at = Number(await tape.getAttribute('aria-valuenow'));
  await page.getByRole('button', { name: 'Tread centre, nearside front: less by 0.1' }).tap();
  await expect(tape).toHaveAttribute('aria-valuenow', String(Number((at - 0.1).toFixed(1))));
  await page.getByRole('button', { name: 'Type the figure' }).tap();
  await expect(value('Tread centre, nearside front')).toBeFocused();
  await expect(keys()).toBeVisible();
  await press('The device’s own keyboard, as for dictation');
  await expect(keys()).toBeHidden();
  await expect(value('Tread centre, nearside front')).toHaveAttribute('inputmode', 'decimal');
  await page.getByRole('heading', { level: 1 }).tap();
  await page.getByRole('button', { name: 'Undo the last change' }).tap();
  await expect(tape).not.toHaveAttribute('aria-valuenow', String(Number((at - 0.1).toFixed(1))));
});

test('what a word looks like is a tap or a long press away', async () => {
  await jump(page, 'auxiliary belt');
  await page.getByRole('button', { name: 'What do these words look like?' }).tap();
  await expect(page.getByRole('heading', { name: 'What they look like' })).toBeVisible();
  await expect(page.getByText('Cracks across the ribs: count them over a hand’s breadth.')).toBeVisible();
  await expectAccessible(page);
  await page.getByRole('button', { name: 'Close', exact: true }).tap();
  const frayed = page.getByRole('checkbox', { name: 'Frayed' });
  await frayed.click({ delay: 900 });
  await expect(page.getByRole('heading', { name: 'What they look like' })).toBeVisible();
  await expect(frayed).not.toBeChecked();
});

/** By how many pixels the open step is higher than the room it has. */
const overflow = (page: Page) =>
  page.evaluate(async () => {
    await new Promise((done) => requestAnimationFrame(() => requestAnimationFrame(done)));
    const heading = document.querySelector('main h1, [role="main"] h1, [role="main"] [role="heading"]');
    for (let up = heading?.parentElement; up; up = up.parentElement)
      if (['auto', 'scroll'].includes(getComputedStyle(up).overflowY)) return up.scrollHeight - up.clientHeight;
    return NaN;
  });

test('nine of ten steps fit the screen before they are answered, seven of ten the smallest one', async () => {
  const phone = { width: 390, height: 844 };
  const small = { width: 360, height: 640 };
  await page.setViewportSize(phone);
  await jump(page, 'cold.oil');
  let [all, onPhone, onSmall] = [0, 0, 0];
  for (;;) {
    all += 1;
    await page.setViewportSize(small);
    if ((await overflow(page)) <= 2) onSmall += 1;
    await page.setViewportSize(phone);
    if ((await overflow(page)) <= 2) onPhone += 1;
    const next = page.getByRole('button', { name: 'Next', exact: true });
    if (!(await next.isVisible())) break;
    const position = await page.getByText(/ · \d+ of \d+$/).innerText();
    await expect(next).toBeEnabled();
    await next.click();
    await expect(page.getByText(position, { exact: true })).toBeHidden();
  }
  console.log(`  steps that fit: ${onPhone} of ${all} at 390 × 844, ${onSmall} of ${all} at 360 × 640`);
  expect(all).toBeGreaterThan(150);
  expect(onPhone / all).toBeGreaterThan(0.9);
  expect(onSmall / all).toBeGreaterThan(0.7);
});
