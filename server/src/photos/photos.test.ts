import { PHOTO_LIMITS } from '@weskopos/contract';
import { randomUUID } from 'node:crypto';
import fs from 'node:fs/promises';
import path from 'node:path';
import sharp from 'sharp';
import { drawPhoto } from '../../../demo/src/drawPhoto';
import { pngClaiming } from '../tests/pngClaiming';
import { startWorkshop, type TestWorkshop } from '../tests/workshop';

let workshop: TestWorkshop;
beforeAll(async () => {
  workshop = await startWorkshop();
  await workshop.client.setUp(workshop.context.setupCode);
});
afterAll(() => workshop.stop());

const upload = (bytes: Buffer, id = randomUUID()) =>
  workshop.client.send('POST', `/api/photos/${id}`, bytes, { 'content-type': 'image/jpeg' });
const download = async (id: string, size = '') => {
  const response = await fetch(`${workshop.client.base}/api/photos/${id}${size}`, {
    headers: { cookie: workshop.client.cookie },
  });
  return Buffer.from(await response.arrayBuffer());
};
const stored = async () =>
  (await fs.readdir(path.join(workshop.folder, 'photos'), { recursive: true })).filter((name) => name.endsWith('.jpg'))
    .length;

test('a picture comes back upright, shrunk and without what the camera wrote into it', async () => {
  const sent = await sharp({ create: { width: 3000, height: 1500, channels: 3, background: '#765' } })
    .withExif({ IFD0: { Make: 'SecretCamera' }, IFD3: { GPSLatitude: '57/1 0/1 0/1' } })
    .withMetadata({ orientation: 6 })
    .jpeg()
    .toBuffer();
  expect((await sharp(sent).metadata()).exif).toBeDefined();
  const id = randomUUID();
  expect(await upload(sent, id)).toMatchObject({ status: 201, body: { id } });
  const full = await sharp(await download(id)).metadata();
  expect(full).toMatchObject({ format: 'jpeg', width: PHOTO_LIMITS.keepSide / 2, height: PHOTO_LIMITS.keepSide });
  expect(full.exif).toBeUndefined();
  expect(await sharp(await download(id, '/thumb')).metadata()).toMatchObject({ height: PHOTO_LIMITS.thumbSide });
});

test('the same picture twice is one file; the same id keeps its first picture', async () => {
  const before = await stored();
  const one = await drawPhoto('pad', 0.5, 1);
  const id = randomUUID();
  await upload(one, id);
  await upload(one);
  expect(await stored()).toBe(before + 2);
  const kept = await download(id);
  await upload(await drawPhoto('leak', 0.5, 2), id);
  expect((await download(id)).equals(kept)).toBe(true);
});

test.each([
  ['a text file named .jpg', () => Buffer.from('Dear workshop, no picture here.'), 415, 'not-a-picture'],
  ['nothing', () => Buffer.alloc(0), 415, 'not-a-picture'],
  ['half a picture', async () => (await drawPhoto('pad', 0.2, 3)).subarray(0, 9000), 415, 'not-a-picture'],
  ['an SVG', () => Buffer.from('<svg xmlns="http://www.w3.org/2000/svg" width="9" height="9"/>'), 415, 'not-a-picture'],
  ['30,000 × 30,000 px', () => pngClaiming(30_000, 30_000), 413, 'too-many-pixels'],
  ['a strip longer than any camera’s', () => pngClaiming(40_000, 10), 413, 'too-many-pixels'],
  ['40 MB', () => Buffer.alloc(40 * 1024 * 1024, 1), 413, 'too-large'],
])('%s is refused with why', async (_, make, status, code) => {
  const before = await stored();
  expect(await upload(await make())).toMatchObject({ status, body: { code } });
  expect(await stored()).toBe(before);
});
