import { expect, test, type Page } from '@playwright/test';
import { expectAccessible, expectReadable, signIn, toVehicle } from './walk';
import { Workshop } from './workshop';

let workshop: Workshop;
test.beforeAll(async () => {
  workshop = await Workshop.start({ demo: true });
});
test.afterAll(() => workshop.remove());

const PLACES = ['Yard', 'Fleet', 'Bench', 'Scores', 'Rules', 'People'];
const PAGES = ['Now', 'Visit', 'Wear', 'Life', 'Spec'];

/** Every view that has an address, of a vehicle whose visit is half done. */
async function views(page: Page): Promise<string[]> {
  await page.goto(workshop.url);
  await toVehicle(page, 'FH 07');
  const vehicle = new URL(page.url()).pathname;
  const visit = await page
    .getByRole('link', { name: /^Visit(, \d+)?$/ })
    .getAttribute('href')
    .then((href) => href ?? '');
  await page.goto(`${workshop.url}${vehicle}/life`);
  const report =
    (await page
      .getByRole('link', { name: /Callum/ })
      .first()
      .getAttribute('href')) ?? '';
  const trend = encodeURIComponent('pad.inner@1L:whole');
  const own = ['', '/wear', '/life', '/spec', '/edit', '/history', '/compare', `/trend/${trend}`];
  return [
    ...['/', '/fleet', '/bench', '/scorecard', '/rules', '/people', '/me', '/vehicle/new', '/nowhere'],
    ...own.map((path) => `${vehicle}${path}`),
    ...[visit, `${visit}/gate`, `${visit}/ends`, `${visit}/overview`, `${visit}/arrival`],
    ...[report, report.replace('report', 'amend'), report.replace('report', 'sticker')],
  ];
}

for (const [name, size] of [
  ['phone', { width: 390, height: 844 }],
  ['desk', { width: 1280, height: 800 }],
] as const)
  test(`every view passes the checker by day and by night, has a title of its own, and reaches every place in one tap: ${name}`, async ({
    page,
  }) => {
    test.setTimeout(400_000);
    await page.setViewportSize(size);
    await page.goto(workshop.url);
    await signIn(page, 'Maren', '112358');
    const titles = new Set<string>();
    const all = await views(page);
    for (const path of all) {
      await test.step(path, async () => {
        await page.emulateMedia({ colorScheme: 'light' });
        await page.goto(workshop.url + path);
        await expect(page.getByRole('heading', { level: 1 })).toHaveCount(1);
        await expect(page.getByRole('main')).toHaveCount(1);
        await expectAccessible(page);
        titles.add(await page.title());
        // In the walk and at its gate a phone's spine is the walk's own: the yard is a tap away, other places two.
        const ownSpine = /\/visit\/[^/]+(\/gate)?$/.test(path) && size.width <= 390;
        const within = (spine: string, one: string) =>
          page.getByRole('navigation', { name: spine }).getByRole('link', { name: new RegExp(`^${one}(, \\d+)?$`) });
        if (ownSpine) await expect(page.getByRole('button', { name: 'To the yard' })).toBeVisible();
        else for (const place of PLACES) await expect(within('Places', place)).toBeVisible();
        if (!ownSpine && path.startsWith('/vehicle/') && !path.endsWith('/new'))
          for (const one of PAGES) await expect(within('Pages of FH 07', one)).toBeVisible();
        await page.emulateMedia({ colorScheme: 'dark' });
        await expectReadable(page);
      });
    }
    expect(titles.size).toBe(all.length);
  });

/** What sticks out of the page at the right, by its words. */
const stickingOut = (page: Page) =>
  page.evaluate(() =>
    [...document.querySelectorAll('main *, nav *')]
      .filter((one) => {
        const { right, width } = one.getBoundingClientRect();
        return width > 1 && right > window.innerWidth + 1 && !one.closest('svg, video');
      })
      .map((one) => `${one.tagName} ${(one.textContent ?? '').slice(0, 60)}`)
      .slice(0, 5),
  );

test('on the narrowest phone nothing sticks out, whatever a vehicle is called', async ({ page }) => {
  test.setTimeout(300_000);
  await page.goto(workshop.url);
  await signIn(page, 'Maren', '112358');
  await page.setViewportSize({ width: 320, height: 640 });
  const all = await views(page);
  await page.goto(`${workshop.url}/vehicle/new`);
  await page.getByLabel('Fleet code').fill('W'.repeat(20));
  await page.getByLabel('Plate', { exact: true }).fill('\u202eABC \u200f123');
  await page.getByLabel('Make', { exact: true }).fill('Donaudampfschifffahrtsgesellschaftswagen');
  await page.getByLabel('Model', { exact: true }).fill('M'.repeat(60));
  await page.getByLabel('Use', { exact: true }).fill('carries things '.repeat(5));
  await page.getByLabel('Year', { exact: true }).fill('2020');
  await page.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByText('Never inspected')).toBeVisible();
  const strange = new URL(page.url()).pathname;
  const found: Record<string, string[]> = {};
  for (const path of [...all, ...['', '/wear', '/life', '/spec', '/arrive'].map((one) => `${strange}${one}`)]) {
    await page.goto(workshop.url + path);
    await expect(page.getByRole('heading', { level: 1 })).toHaveCount(1);
    const out = await stickingOut(page);
    if (out.length > 0) found[path] = out;
  }
  expect(found).toEqual({});
});
