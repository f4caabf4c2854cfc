import { expect, test } from '@playwright/test';
import { addPhoto, beginVisit, jump, next, picture, readTread, signIn, type } from './walk';
import { Workshop } from './workshop';

let workshop: Workshop;
test.beforeAll(async () => {
  workshop = await Workshop.start({ demo: true });
});
test.afterAll(() => workshop.remove());

test('the server dies in the middle: nothing is lost over reload and a closed tab, and the queue drains when it is back', async ({
  page,
  context,
}) => {
  await page.goto(workshop.url);
  await signIn(page, 'Isla', '246810');
  await beginVisit(page, 'FH 02', { meter: '208000', state: 'Stood cold' });
  await type(page, 'Engine oil on the stick', '0.4');
  await expect(page.getByText('Saved and sent.')).toBeVisible();
  await page.evaluate(() => navigator.serviceWorker.ready.then(() => undefined));

  await workshop.kill();
  await next(page);
  await type(page, 'Coolant level', '0.15');
  await expect(page.getByText(/Saved on this device. \d+ changes? wait/)).toBeVisible();
  await addPhoto(page, { name: 'coolant.png', mimeType: 'image/png', buffer: await picture(page) });
  await expect(page.getByRole('img', { name: 'Coolant level, photo 1' })).toBeVisible();

  await page.reload();
  await expect(page.getByText(/wait for the workshop/)).toBeVisible();
  await page.getByRole('button', { name: /^Nearside front, 0 of / }).click();
  await readTread(page, 'nearside front', ['3.5', '3.6', '3.4']);
  await expect(page.getByText('Saved on this device. 4 changes wait for the workshop.')).toBeVisible();

  const walkUrl = page.url();
  await page.close();
  const again = await context.newPage();
  await again.goto(walkUrl);
  await expect(again.getByRole('button', { name: /^Nearside front, 1 of / })).toBeVisible();
  await jump(again, 'outer pad nearside front');
  await type(again, 'Outer pad, nearside front', '3.2');
  await expect(again.getByText('Outer pad: Advisory')).toBeVisible();
  await again.getByRole('button', { name: 'Overview and signing' }).click();
  await again.getByRole('button', { name: 'Sign', exact: true }).click();
  await again.getByRole('button', { name: /^Sign with/ }).click();
  await expect(again.getByRole('heading', { name: 'Report, FH 02' })).toBeVisible();

  await workshop.start();
  await expect(again.getByText('Saved and sent.')).toBeVisible({ timeout: 45_000 });
  const id = /visit\/([0-9a-f-]+)/.exec(walkUrl)?.[1] ?? '';
  const visit = await (await again.request.get(`${workshop.url}/api/inspections/${id}`)).json();
  const readings = (point: string) =>
    visit.findings
      .filter((finding: { point: string }) => finding.point === point)
      .at(-1)
      ?.readings.map(({ values }: { values: number[] }) => values[0]);
  expect(visit.inspection.signedAt).not.toBeNull();
  expect(readings('cold.oil')).toEqual([0.4]);
  expect(readings('cold.coolant')).toEqual([0.15]);
  expect(readings('pad.outer')).toEqual([3.2]);
  expect([...readings('tyre.tread')].sort()).toEqual([3.4, 3.5, 3.6]);
  const [photo] = visit.findings.filter((finding: { point: string }) => finding.point === 'cold.coolant').at(-1).photos;
  expect((await again.request.get(`${workshop.url}/api/photos/${photo.id}`)).status()).toBe(200);
});
