import { expect, test } from '@playwright/test';
import jsQR from 'jsqr';
import sharp from 'sharp';
import { addPhoto, arrive, expectAccessible, picture, signIn } from './walk';
import { Workshop } from './workshop';

let workshop: Workshop;
test.beforeAll(async () => {
  workshop = await Workshop.start({ demo: true });
});
test.afterAll(() => workshop.remove());

test('an arrival tells what must wait and keeps how it looked; the sticker’s code opens the life sheet', async ({
  page,
}) => {
  await page.goto(workshop.url);
  await signIn(page, 'Callum', '135791');
  await arrive(page, 'FH 11');
  // What is missing far above is where the hand is sent.
  await page.getByRole('button', { name: 'Photograph a corner' }).scrollIntoViewIfNeeded();
  await page.getByRole('button', { name: 'To the cold gate' }).click();
  const odometer = page.getByLabel('Odometer, km');
  await expect(odometer).toBeFocused();
  await expect(odometer).toBeInViewport();
  await expect(odometer).toHaveAttribute('aria-invalid', 'true');
  // Separators of thousands are understood.
  await odometer.fill('41,100');
  await page.getByRole('radio', { name: 'Hot', exact: true }).click();
  await expect(page.getByText(/Others must wait: .* for an engine/)).toBeVisible();
  await page.getByRole('radio', { name: 'Stood cold' }).click();
  await expect(page.getByText(/^All \d+ points can be read true/)).toBeVisible();
  await page.getByRole('button', { name: 'Photograph a corner' }).click();
  await page.getByRole('button', { name: 'Camera or album' }).waitFor();
  await addPhoto(page, { name: 'corner.png', mimeType: 'image/png', buffer: await picture(page) });
  await expect(page.getByRole('img', { name: 'Corner, photo 1' })).toBeVisible();
  await page.getByRole('button', { name: 'Another' }).click();
  await page.getByRole('button', { name: 'Camera or album' }).waitFor();
  await addPhoto(page, { name: 'corner.png', mimeType: 'image/png', buffer: await picture(page) });
  await expect(page.getByRole('img', { name: 'Corner, photo 2' })).toBeVisible();
  await page.getByRole('button', { name: 'Take the last one out' }).click();
  await expectAccessible(page);
  await page.getByRole('button', { name: 'To the cold gate' }).click();
  await expect(page.getByRole('heading', { name: 'Cold gate' })).toBeVisible();

  const [life, visit] = /vehicle\/([^/]+)\/visit\/([^/]+)/.exec(page.url())?.slice(1) ?? [];
  await page.goto(`${workshop.url}/vehicle/${life}/visit/${visit}/report`);
  await expect(page.getByRole('heading', { name: 'As it came' })).toBeVisible();
  await expect(page.getByRole('img', { name: /^Corner, photo/ })).toHaveCount(1);
  await page.goto(`${workshop.url}/vehicle/${life}/visit/${visit}/sticker`);
  const mark = page.getByRole('img', { name: 'Opens this vehicle' });
  const { data, info } = await sharp(await mark.screenshot())
    .resize(448)
    .ensureAlpha()
    .raw()
    .toBuffer({ resolveWithObject: true });
  expect(jsQR(new Uint8ClampedArray(data), info.width, info.height)?.data).toBe(`${workshop.url}/vehicle/${life}`);
});
