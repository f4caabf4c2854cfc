import { expect, test, type Locator, type Page } from '@playwright/test';
import { Workshop } from './workshop';

let workshop: Workshop;
test.beforeAll(async () => {
  workshop = await Workshop.start({ demo: true });
});
test.afterAll(() => workshop.remove());

/** More stops than this on the way to a control are no way. */
const FARTHEST = 25;

/** Goes on by the tab key until a control has the focus. */
async function tabTo(page: Page, control: Locator): Promise<void> {
  await expect(control).toBeVisible();
  for (let stops = 0; stops < FARTHEST; stops += 1) {
    if (await control.evaluate((one) => one === document.activeElement)) return;
    await page.keyboard.press('Tab');
  }
  throw new Error(`no way by the tab key to ${String(control)}`);
}

/** What has the focus; the page itself is nothing one could go on from. */
const isLost = (page: Page) => page.evaluate(() => document.activeElement === document.body);

test('a whole visit by the keyboard alone: from the way in to the signature, without losing the place', async ({
  page,
}) => {
  // No touch is heard: what only a finger can do would stop the story.
  await page.addInitScript(() => {
    for (const kind of ['pointerdown', 'mousedown', 'touchstart'])
      window.addEventListener(kind, () => Object.assign(window, { touched: true }), true);
  });
  const { keyboard } = page;
  const button = (name: string | RegExp) => page.getByRole('button', { name, exact: typeof name === 'string' });
  const heading = page.getByRole('heading', { level: 1 });
  await page.goto(workshop.url);
  await tabTo(page, page.getByLabel('Name'));
  await keyboard.type('Isla');
  await keyboard.press('Tab');
  await keyboard.type('246810');
  await keyboard.press('Enter');
  await expect(page.getByRole('heading', { name: 'On the lift now' })).toBeVisible();
  await keyboard.press('/');
  await expect(page.getByRole('textbox', { name: 'Find' })).toBeFocused();
  await keyboard.type('fh03');
  await keyboard.press('Enter');
  await expect(page.getByRole('heading', { name: 'FH 03', exact: true })).toBeFocused();
  await tabTo(page, button('Begin a visit'));
  await keyboard.press('Enter');

  // Arrival: the meter, and how it came; one of a choice by its arrows.
  await tabTo(page, page.getByLabel(/^Odometer, /));
  await keyboard.type('60400');
  const cold = page.getByRole('radio', { name: 'Stood cold', exact: true });
  const states = page.getByRole('radiogroup').filter({ has: cold });
  await tabTo(page, states.locator('[tabindex="0"]'));
  for (let step = 0; step < 6 && !(await cold.evaluate((one) => one === document.activeElement)); step += 1)
    await keyboard.press('ArrowRight');
  await keyboard.press('Space');
  await expect(cold).toBeChecked();
  await tabTo(page, button('To the cold gate'));
  await keyboard.press('Enter');

  // The gate: a stick by its arrows, the rest ticked.
  const oil = page.getByRole('slider', { name: 'Engine oil on the stick' });
  await tabTo(page, oil);
  await keyboard.press('PageUp');
  await expect(oil).not.toHaveAttribute('aria-valuetext', 'not read');
  expect(await isLost(page)).toBe(false);
  const belts = page.getByRole('group', { name: 'Belts on and whole?' }).getByRole('checkbox', { name: 'Sound' });
  await tabTo(page, belts);
  await keyboard.press('Space');
  await expect(belts).toBeChecked();
  await tabTo(page, button(/^To the walk/));
  await keyboard.press('Enter');

  // The walk: one key for what is well, a figure where one is asked for, on where neither will do.
  const position = page.getByText(/ · \d+ of \d+$/).first();
  const count = Number(/of (\d+)$/.exec(await position.innerText())?.[1]);
  expect(count).toBeGreaterThan(60);
  let [sound, typed, at] = [0, 0, Number(/(\d+) of \d+$/.exec(await position.innerText())?.[1])];
  const lost: string[] = [];
  for (; at < count; at += 1) {
    await expect(page.getByText(new RegExp(` · ${at} of ${count}$`))).toBeVisible();
    if (await isLost(page)) lost.push(await heading.innerText());
    const quick = button(/, and on$/);
    if (await quick.isVisible()) {
      sound += 1;
      await keyboard.press('s');
      await page.waitForTimeout(60);
      if (await page.getByText(new RegExp(` · ${at + 1} of ${count}$`)).isVisible()) continue;
    } else if (await page.getByRole('textbox', { name: /^Tread on one line/ }).isVisible()) {
      typed += 1;
      await tabTo(page, page.getByRole('textbox', { name: /^Tread on one line/ }));
      await keyboard.type('5.2 5.4 5.1');
      await keyboard.press('Enter');
      // Out of the line: what is typed into it is no key of the walk.
      await keyboard.press('Escape');
    }
    await tabTo(page, button(/^(Next|To the overview)$/));
    await keyboard.press('Enter');
  }
  expect(lost).toEqual([]);
  expect(sound).toBeGreaterThan(30);
  expect(typed).toBe(5);

  await keyboard.press('o');
  await expect(button('Sign')).toBeVisible();
  expect(await isLost(page)).toBe(false);
  // Past a hundred points that were not seen.
  await tabTo(page, page.getByRole('link', { name: 'To what is done here' }));
  await keyboard.press('Enter');
  await expect(button('Sign')).toBeFocused();
  await keyboard.press('Enter');
  const unseen = button(/^Sign with/);
  await expect(unseen).toBeVisible();
  expect(await isLost(page)).toBe(false);
  // It is deaf for a moment, so that nothing is signed by a second stroke.
  await expect(unseen).toBeEnabled();
  await tabTo(page, unseen);
  await keyboard.press('Enter');
  await expect(page.getByText(/Signed by Isla/)).toBeVisible();
  expect(await page.evaluate(() => 'touched' in window)).toBe(false);
});
