import { expect, test, type Page } from '@playwright/test';
import { beginVisit, expectAccessible, jump, signIn, signOut, type } from './walk';
import { Workshop } from './workshop';

let workshop: Workshop;
test.beforeAll(async () => {
  workshop = await Workshop.start({ demo: true });
});
test.afterAll(() => workshop.remove());

const OIL = 'Engine oil on the stick';

async function handOver(page: Page, name: string, pin: string): Promise<void> {
  await page.goto(workshop.url);
  await signOut(page);
  await signIn(page, name, pin);
}

/** What the server holds of a point of the visit: who said it, its value, and whether it follows another entry. */
async function entriesAt(page: Page, visit: string, point: string) {
  const { findings } = (await (await page.request.get(`${workshop.url}/api/inspections/${visit}`)).json()) as {
    findings: { point: string; by: string; parent: string | null; readings: { values: number[] }[] }[];
  };
  return findings
    .filter((finding) => finding.point === point)
    .map(({ by, parent, readings }) => [by, readings[0]?.values[0], parent !== null]);
}

test('a shift changes on one tablet before the first one’s entry was sent: nobody’s entry is refused or lost', async ({
  page,
}) => {
  await page.goto(workshop.url);
  await signIn(page, 'Isla', '246810');
  await beginVisit(page, 'FH 02', { meter: '208000', state: 'Stood cold' });
  await expect(page.getByText('Saved and sent.')).toBeVisible();
  const walk = page.url();
  const visit = /visit\/([0-9a-f-]+)/.exec(walk)?.[1] ?? '';

  // Changes do not get through while everything else does.
  await page.route('**/api/operations', (route) => route.abort());
  await type(page, OIL, '0.4');
  await expect(page.getByText(/Saved on this device. 1 change waits for the workshop/)).toBeVisible();
  await handOver(page, 'Callum', '135791');
  await page.goto(walk);
  await jump(page, 'cold.oil');
  await type(page, OIL, '0.7');
  await page.unroute('**/api/operations');
  await expect(
    page.getByText('2 changes wait for who made them to sign in; 1 of them are yours and build on theirs.'),
  ).toBeVisible();
  expect(await entriesAt(page, visit, 'cold.oil')).toEqual([]);

  await handOver(page, 'Isla', '246810');
  await expect(page.getByText(/1 change waits for who made them/)).toBeVisible();
  expect(await entriesAt(page, visit, 'cold.oil')).toEqual([['Isla', 0.4, false]]);
  await handOver(page, 'Callum', '135791');
  await expect(page.getByText('Saved and sent.')).toBeVisible();
  expect(await entriesAt(page, visit, 'cold.oil')).toEqual([
    ['Isla', 0.4, false],
    ['Callum', 0.7, true],
  ]);
});

test('a change the workshop does not take stays with its point, its value and why, until it is sent again', async ({
  page,
}) => {
  await page.goto(workshop.url);
  await signIn(page, 'Isla', '246810');
  await beginVisit(page, 'FH 06', { meter: '190000', state: 'Stood cold' });
  await expect(page.getByText('Saved and sent.')).toBeVisible();
  const visit = /visit\/([0-9a-f-]+)/.exec(page.url())?.[1] ?? '';
  await page.route('**/api/operations', async (route) => {
    const { operations } = route.request().postDataJSON() as { operations: { id: string }[] };
    await route.fulfill({ json: operations.map(({ id }) => ({ id, status: 'refused', refusal: 'no-parent' })) });
  });
  await type(page, OIL, '0.4');
  const notice = page.getByText(
    /FH 06, Engine oil on the stick, 0.4.*: not taken by the workshop, the entry it builds on is not known/,
  );
  await expect(notice).toBeVisible();
  await page.unroute('**/api/operations');
  await page.reload();
  await expect(notice).toBeVisible();
  await expectAccessible(page);
  // One touch deletes nothing.
  await page.getByRole('button', { name: 'Delete it' }).click();
  await page.getByRole('button', { name: 'Keep it' }).click();
  await page.getByRole('button', { name: 'Send it again' }).click();
  await expect(notice).toBeHidden();
  await expect(page.getByText('Saved and sent.')).toBeVisible();
  expect(await entriesAt(page, visit, 'cold.oil')).toEqual([['Isla', 0.4, false]]);
});
