import { chromium } from '@playwright/test';
import type { Letter } from '@weskopos/contract';
import { CATALOGUE } from '@weskopos/core';
import {
  newFinding,
  newInspection,
  newVehicle,
  operationOf,
  startWorkshop,
  type TestWorkshop,
} from '@weskopos/server/tests/workshop';
import { randomBytes, randomUUID } from 'node:crypto';
import fs from 'node:fs/promises';
import path from 'node:path';
import { gzipSync } from 'node:zlib';
import sharp from 'sharp';
import { timed } from './timed';

const PHOTOS = 60;
const PER_FINDING = 4;
const ROUNDS = 5;
const SLOWDOWN = 4;
const middle = (figures: readonly number[]) => [...figures].sort((a, b) => a - b)[Math.floor(figures.length / 2)] ?? 0;

/** A report of sixty photos beside the decoding of its photos; what a keeper's phone fetches, and how long that takes. */
export async function benchReport(): Promise<void> {
  const workshop = await startWorkshop();
  await workshop.client.setUp(workshop.context.setupCode);
  const { visit, vehicle, photos } = await photographed(workshop);
  await benchPdf(workshop, visit);
  await benchKeeper(workshop, vehicle, photos);
  await workshop.stop();
}

/** A photo as a phone takes it: fine grain that JPEG cannot make small. */
async function grainy(): Promise<Buffer> {
  const small = await sharp(randomBytes(320 * 240 * 3), { raw: { width: 320, height: 240, channels: 3 } })
    .blur(1)
    .resize(2048, 1536)
    .jpeg({ quality: 85 })
    .toBuffer();
  return small;
}

async function photographed({ client }: TestWorkshop) {
  const vehicle = newVehicle();
  const inspection = newInspection(vehicle.id);
  await client.operations(operationOf('vehicle.put', vehicle), operationOf('inspection.start', inspection));
  const photos = Array.from({ length: PHOTOS }, () => randomUUID());
  for (const id of photos)
    await client.send('POST', `/api/photos/${id}`, await grainy(), { 'content-type': 'image/jpeg' });
  const points = CATALOGUE.filter(({ repeats, own, station }) => repeats === null && !own && station === 'bonnet');
  for (let at = 0; at < PHOTOS; at += PER_FINDING) {
    const point = points[at / PER_FINDING]?.code ?? 'oil.level';
    const of = photos.slice(at, at + PER_FINDING).map((id) => ({ id, caption: 'as found', marks: [] }));
    await client.operations(
      operationOf('finding.put', newFinding(inspection.id, { point, place: '', readings: [], photos: of })),
    );
  }
  return { visit: inspection.id, vehicle: vehicle.id, photos };
}

async function benchPdf(workshop: TestWorkshop, visit: string): Promise<void> {
  const { client, context, folder } = workshop;
  const rows = await context.engine.query<{ sha256: string }>('select sha256 from photo');
  const files = rows.map(({ sha256 }) => path.join(folder, 'photos', sha256.slice(0, 2), `${sha256}.jpg`));
  const decode = async () => {
    for (const file of files) await sharp(file).raw().toBuffer();
  };
  let bytes = 0;
  const make = async () => {
    const response = await fetch(`${client.base}/api/inspections/${visit}/report.pdf`, {
      headers: { cookie: client.cookie },
    });
    bytes = (await response.arrayBuffer()).byteLength;
  };
  await make();
  const [decoding, making, held]: [number[], number[], number[]] = [[], [], []];
  for (let round = 0; round < ROUNDS; round += 1) {
    decoding.push(await timed(decode));
    let [last, longest] = [performance.now(), 0];
    const watch = setInterval(() => {
      const now = performance.now();
      longest = Math.max(longest, now - last - 5);
      last = now;
    }, 5);
    making.push(await timed(make));
    clearInterval(watch);
    held.push(longest);
  }
  const kept = await Promise.all(files.map(async (file) => (await fs.stat(file)).size));
  console.log(`A report of ${PHOTOS} photos (${(kept.reduce((a, b) => a + b, 0) / 1e6).toFixed(1)} MB kept):`);
  console.log(`    its photos decoded, one by one   ${middle(decoding).toFixed(0)} ms`);
  console.log(
    `    made as PDF in a thread          ${middle(making).toFixed(0)} ms = ${(middle(making) / middle(decoding)).toFixed(2)} × (wanted: at most 2.5), ${(bytes / 1e6).toFixed(1)} MB`,
  );
  console.log(`    event loop held at most          ${Math.max(...held).toFixed(0)} ms (wanted: at most 50)`);
}

async function benchKeeper({ client }: TestWorkshop, vehicleId: string, photos: readonly string[]): Promise<void> {
  const works = Array.from({ length: 6 }, () => randomUUID());
  const stamp = { vehicleId, at: '2026-06-01T08:00:00.000Z', meter: null };
  const task = { code: 'own', point: null, name: 'Something', place: '' } as const;
  const rest = {
    reasons: [],
    urgency: 'next-visit',
    from: null,
    to: null,
    minutes: null,
    parts: [],
    note: '',
  } as const;
  await client.operations(
    ...works.map((id) => operationOf('entry.put', { id, ...stamp, kind: 'work', task, ...rest })),
  );
  const letter: Letter = {
    language: 'en',
    vehicle: 'T 1',
    from: 'The workshop',
    verdict: 'Something has to be put right soon.',
    stops: false,
    cautions: ['What the maker and the law of the place ask for holds.'],
    works: works.map((id, at) => ({
      id,
      name: `Work ${at + 1}`,
      plain: 'Brake pads press on the disc to slow the vehicle. They wear down as it brakes.',
      why: 'Inner pad, nearside front is not in order, found 1 Jun 2026',
      when: 'Before the next long drive',
      price: '',
      photos: photos.slice(at * 4, at * 4 + 4).map((photo) => ({ id: photo, caption: '' })),
      before: { id: photos[30 + at] ?? '', caption: '', at: '2026-01-01T08:00:00.000Z' },
    })),
  };
  const { body } = await client.send('POST', `/api/vehicles/${vehicleId}/links`, { letter, days: 30 });
  const url = `${client.base}/k/${String(body.token)}`;
  const html = await (await fetch(url)).text();
  const browser = await chromium.launch({
    executablePath: process.env.CHROMIUM_PATH ?? '/usr/bin/chromium',
    args: ['--no-sandbox'],
  });
  const page = await (await browser.newContext({ viewport: { width: 390, height: 844 } })).newPage();
  const session = await page.context().newCDPSession(page);
  await session.send('Network.enable');
  let fetched = 0;
  session.on('Network.loadingFinished', ({ encodedDataLength }) => (fetched += encodedDataLength));
  await session.send('Emulation.setCPUThrottlingRate', { rate: SLOWDOWN });
  const times: number[] = [];
  for (let round = 0; round < ROUNDS; round += 1) {
    fetched = 0;
    await page.goto(url, { waitUntil: 'load' });
    times.push(await page.evaluate(() => performance.getEntriesByName('first-contentful-paint')[0]?.startTime ?? 0));
  }
  // What one sees without scrolling: the page, its program, and the pictures that lie within it.
  const seen = await page.evaluate(() => {
    const shown = new Set(
      [...document.images].filter((one) => one.getBoundingClientRect().top < innerHeight).map(({ src }) => src),
    );
    return performance
      .getEntriesByType('resource')
      .filter(({ name }) => shown.has(name) || name.endsWith('.js'))
      .reduce((sum, one) => sum + (one as PerformanceResourceTiming).transferSize, 0);
  });
  await browser.close();
  console.log(
    `A keeper's page of ${works.length} works with ${works.length * 5} pictures, phone, ${SLOWDOWN} × slower:`,
  );
  console.log(`    the page itself                  ${(gzipSync(html).length / 1e3).toFixed(1)} kB gzip`);
  console.log(
    `    first view, with its pictures    ${((gzipSync(html).length + seen) / 1e3).toFixed(0)} kB (wanted: at most 150); ${(fetched / 1e3).toFixed(0)} kB until all that lies near is loaded`,
  );
  console.log(`    first painted after              ${middle(times).toFixed(0)} ms`);
}
