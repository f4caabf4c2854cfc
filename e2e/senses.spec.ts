import { expect, test, type Page } from '@playwright/test';
import { goOn, next, signIn, stickingOut, toPage, toVehicle } from './walk';
import { Workshop } from './workshop';

let workshop: Workshop;
test.beforeAll(async () => {
  workshop = await Workshop.start({ demo: true });
});
test.afterAll(() => workshop.remove());

/** Words that are cut off where they cannot be scrolled to, by what they say. */
const cutOff = (page: Page) =>
  page.evaluate(() =>
    [...document.querySelectorAll<HTMLElement>('main *, nav *')]
      .filter((one) => {
        const { overflowX, overflowY, position } = getComputedStyle(one);
        const text = one.textContent?.trim() ?? '';
        if (text === '' || one.children.length > 0 || position === 'absolute') return false;
        const hides = (overflow: string) => overflow === 'hidden' || overflow === 'clip';
        return (
          (hides(overflowX) && one.scrollWidth > one.clientWidth + 2) ||
          (hides(overflowY) && one.scrollHeight > one.clientHeight + 2)
        );
      })
      .map((one) => (one.textContent ?? '').slice(0, 60)),
  );

test('with text twice as large nothing sticks out of the main views, and nothing is cut off', async ({ page }) => {
  const session = await page.context().newCDPSession(page);
  await session.send('Page.setFontSizes', { fontSizes: { standard: 32, fixed: 32 } });
  await page.goto(workshop.url);
  await signIn(page, 'Maren', '112358');
  const heading = page.getByRole('heading', { level: 1 });
  const size = Number.parseFloat(await heading.evaluate((one) => getComputedStyle(one).fontSize));
  expect(size).toBeGreaterThanOrEqual(48);
  const found: Record<string, readonly string[]> = {};
  const look = async (view: string) => {
    await expect(heading).toHaveCount(1);
    const wrong = [...(await stickingOut(page)), ...(await cutOff(page))];
    if (wrong.length > 0) found[view] = wrong;
  };
  await look('yard');
  await toVehicle(page, 'FH 07');
  await look('now');
  for (const name of ['Wear', 'Life', 'Spec']) {
    await toPage(page, name);
    await expect(page.getByRole('heading', { name: `FH 07, ${name.toLowerCase()}` })).toBeVisible();
    await look(name);
  }
  await page.goto(workshop.url);
  await goOn(page, 'FH 07');
  await expect(page.getByText(/ · \d+ of \d+$/)).toBeVisible();
  for (let step = 0; step < 6; step += 1) {
    await look(`walk, step ${step}`);
    await next(page);
  }
  for (const path of ['/fleet', '/rules', '/scorecard', '/bench', '/me']) {
    await page.goto(workshop.url + path);
    await look(path);
  }
  expect(found).toEqual({});
});

test('with colours of one’s own what is chosen and where one is keep an edge; where motion is not wanted nothing moves', async ({
  page,
}) => {
  await page.emulateMedia({ forcedColors: 'active', reducedMotion: 'reduce' });
  await page.goto(workshop.url);
  await signIn(page, 'Maren', '112358');
  const outline = (role: 'radio' | 'link', name: RegExp) =>
    page
      .getByRole(role, { name })
      .first()
      .evaluate((one) => getComputedStyle(one).outlineStyle);
  await expect(page.getByRole('radio', { name: 'code' })).toBeChecked();
  expect(await outline('radio', /^code$/)).toBe('solid');
  expect(await outline('radio', /^worst first$/)).toBe('none');
  expect(await outline('link', /^Yard(, \d+)?$/)).toBe('solid');
  expect(await outline('link', /^Fleet(, \d+)?$/)).toBe('none');
  const moving = () => page.evaluate(() => document.getAnimations().length);
  await toVehicle(page, 'FH 07');
  expect(await moving()).toBe(0);
  await page.goto(workshop.url);
  await goOn(page, 'FH 07');
  await next(page);
  expect(await moving()).toBe(0);
});
