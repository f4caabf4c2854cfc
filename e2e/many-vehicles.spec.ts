import { expect, test } from '@playwright/test';
import type { YardEntry } from '@weskopos/contract';
import { GUARD_HEADER } from '@weskopos/contract/device';
import { toPlace } from './walk';
import { Workshop } from './workshop';

let workshop: Workshop;
test.beforeAll(async () => {
  workshop = await Workshop.start({ demo: true });
});
test.afterAll(() => workshop.remove());

const MANY = 120;

test('of many vehicles those in view are laid out, each can be reached, found and printed, and one is read when it opens', async ({
  page,
}) => {
  const codeOf = (n: number) => `M ${String(n).padStart(3, '0')}`;
  const idOf = (n: number) => `00000000-0000-4000-8000-${String(n).padStart(12, '0')}`;
  let lives = 0;
  const headers = { [GUARD_HEADER]: '1' };
  await page.request.post(`${workshop.url}/api/session`, { headers, data: { name: 'Maren', secret: '112358' } });
  const [model] = (await (await page.request.get(`${workshop.url}/api/yard`)).json()) as YardEntry[];
  if (!model) throw new Error('the demo has no vehicle');
  const vehicleOf = (n: number) => ({ ...model.vehicle, id: idOf(n), fleetCode: codeOf(n) });
  // The workshop's own answer, written off for a fleet that is larger than the demo's.
  await page.route('**/api/yard', (route) =>
    route.fulfill({
      json: Array.from({ length: MANY }, (_, n) => ({ ...model, vehicle: vehicleOf(n), version: 'one' })),
    }),
  );
  await page.route('**/api/vehicles/*/life', (route) => {
    const id = /vehicles\/([^/]+)\//.exec(route.request().url())?.[1] ?? '';
    lives += 1;
    return route.fulfill({ json: { vehicle: vehicleOf(Number(id.slice(-12))), visits: [], entries: [] } });
  });
  await page.goto(workshop.url);
  const lines = page.locator('[aria-label^="M "]');
  await expect(lines.first()).toBeVisible();
  await expect.poll(() => lives).toBe(MANY);
  expect(await lines.count()).toBeLessThan(40);
  // To its end by the tab key: what comes next is laid out before one is there.
  await lines.first().focus();
  for (let stop = 0; stop < 45; stop += 1) await page.keyboard.press('Tab');
  await expect(page.locator(':focus')).toHaveAttribute('aria-label', new RegExp(`^${codeOf(45)}, `));
  await page.locator(':focus').press('End');
  const find = page.getByRole('textbox', { name: 'Find' });
  await find.fill('m119');
  await expect(page.getByRole('link', { name: /^M 119, / })).toBeVisible();
  await page.getByRole('button', { name: 'Clear' }).click();
  // On paper all of them.
  await page.evaluate(() => window.dispatchEvent(new Event('beforeprint')));
  expect(await lines.count()).toBe(MANY);
  await page.evaluate(() => window.dispatchEvent(new Event('afterprint')));
  await expect.poll(() => lines.count()).toBeLessThan(40);
  await find.fill('m119');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('heading', { name: 'M 119', exact: true })).toBeVisible();
  await expect(page.getByText('Never inspected')).toBeVisible();
  await toPlace(page, 'Yard');
  // The same without a network, from the device's own disk.
  await page.route('**/api/**', (route) => route.abort());
  await page.goto(`${workshop.url}/vehicle/${idOf(77)}`);
  await expect(page.getByRole('heading', { name: 'M 077', exact: true })).toBeVisible();
});

test('of those that want something the first are told, and all on paper', async ({ page }) => {
  const headers = { [GUARD_HEADER]: '1' };
  await page.request.post(`${workshop.url}/api/session`, { headers, data: { name: 'Maren', secret: '112358' } });
  const told = (await (await page.request.get(`${workshop.url}/api/yard`)).json()) as YardEntry[];
  const model = told.find(({ standing }) => standing?.grade === 'advisory');
  if (!model) throw new Error('nothing in the demo is advisory');
  await page.route('**/api/yard', (route) =>
    route.fulfill({
      json: Array.from({ length: MANY }, (_, n) => ({
        ...model,
        vehicle: { ...model.vehicle, id: `00000000-0000-4000-8000-${String(n).padStart(12, '0')}` },
      })),
    }),
  );
  await page.route('**/life', (route) => route.abort());
  await page.goto(`${workshop.url}/fleet`);
  await expect(page.getByRole('heading', { name: 'How they stand' })).toBeVisible();
  const links = page.getByRole('main').locator('a[href^="/vehicle/00000000-"]');
  await expect(links).toHaveCount(8);
  await page.evaluate(() => window.dispatchEvent(new Event('beforeprint')));
  expect(await links.count()).toBe(MANY);
  await page.evaluate(() => window.dispatchEvent(new Event('afterprint')));
  await expect(links).toHaveCount(8);
  await page.getByRole('button', { name: `All ${MANY}` }).click();
  await expect.poll(() => links.count()).toBeGreaterThan(8);
});
