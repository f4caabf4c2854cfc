import { chromium, type Browser, type Page } from '@playwright/test';
import { lifeSchema, type FleetBoard, type Life, type YardEntry } from '@weskopos/contract';
import { startWorkshop, type TestWorkshop } from '@weskopos/server/tests/workshop';
import fs from 'node:fs/promises';
import os from 'node:os';
import path from 'node:path';
import { answered, quantile } from './answered';
import { manyLives, type FetchedWorkshop } from './manyLives';

const ROOT = path.resolve(__dirname, '..');
const SLOWDOWN = 4;
const VEHICLES = 300;
const YEARS = 10;
const VISITS_A_YEAR = 2;
/** Each screen is opened, and each control touched, so often. */
const ROUNDS = 3;

/** How long screens take to open and touches to be answered on a slow phone: with the demo's vehicles, and with a large fleet's ten years. */
export async function benchScreens(): Promise<void> {
  const folder = await fs.mkdtemp(path.join(os.tmpdir(), 'weskopos-screens-'));
  await fs.cp(path.join(ROOT, '.cache', 'demo'), folder, { recursive: true });
  const workshop = await startWorkshop({ dataFolder: folder, appFolder: path.join(ROOT, 'app', 'dist') });
  const browser = await chromium.launch({
    executablePath: process.env.CHROMIUM_PATH ?? '/usr/bin/chromium',
    args: ['--no-sandbox', '--disable-background-networking', '--enable-precise-memory-info'],
  });
  try {
    await workshop.client.send('POST', '/api/session', { name: 'Maren', secret: '112358' });
    const demo = await fetched(workshop);
    const large = manyLives(demo, VEHICLES, YEARS, VISITS_A_YEAR);
    const bytes = [...large.lives.values()].reduce((sum, life) => sum + JSON.stringify(life).length, 0);
    for (const life of [...large.lives.values()].slice(0, 20)) lifeSchema.parse(life);
    console.log(
      `screens at ${SLOWDOWN} × slow-down: ${demo.yard.length} vehicles, beside ${large.yard.length} over ${YEARS} years (${(bytes / 1e6).toFixed(0)} MB of lives)`,
    );
    const small = await measured(browser, workshop, demo);
    const many = await measured(browser, workshop, large);
    for (const [name, ms] of many)
      console.log(
        `  ${name}: ${ms.toFixed(0)}, ${(ms / (small.get(name) ?? NaN)).toFixed(2)} × with few vehicles (${(small.get(name) ?? NaN).toFixed(0)})`,
      );
  } finally {
    await browser.close();
    await workshop.stop();
  }
}

async function fetched({ client }: TestWorkshop): Promise<FetchedWorkshop> {
  const yard = (await client.get('/api/yard')).body as YardEntry[];
  const lives = new Map<string, Life>();
  for (const { vehicle } of yard)
    lives.set(vehicle.id, (await client.get(`/api/vehicles/${vehicle.id}/life`)).body as Life);
  return { yard, lives, board: (await client.get('/api/fleet/board')).body as FleetBoard };
}

/** From a touch to the frame in which the page it leads to stands with its heading, ms. */
async function opened(page: Page, touch: () => Promise<void>, heading: RegExp): Promise<number> {
  // As text: what loads this file names functions by a helper that a page does not have.
  await page.evaluate(`void (window.told = new Promise((resolve) =>
    addEventListener('click', ({ timeStamp }) => {
      const wanted = new RegExp(${JSON.stringify(heading.source)}, 'i');
      requestAnimationFrame(function look() {
        if (![...document.querySelectorAll('h1')].some((one) => wanted.test(one.textContent))) return requestAnimationFrame(look);
        // Two frames: the first lays it out, with the second it is seen.
        requestAnimationFrame(() => requestAnimationFrame(() => resolve(performance.now() - timeStamp)));
      });
    }, { capture: true, once: true })));`);
  await touch();
  const ms = await page.evaluate(() => (window as unknown as { told: Promise<number> }).told);
  await page.waitForTimeout(600);
  return ms;
}

/** As text, see {@link opened}: resolves with the page's clock, ms, when something stands on it and was painted. */
const standing = (selector: string) => `new Promise((done) => requestAnimationFrame(function look() {
  if (!document.querySelector(${JSON.stringify(selector)})) return requestAnimationFrame(look);
  requestAnimationFrame(() => requestAnimationFrame(() => done(performance.now())));
}))`;

/** Whether a vehicle's life is whole on the device's own disk. */
const isKept = (page: Page, id: string) =>
  page.evaluate(async (vehicleId) => {
    const asked = indexedDB.open('weskopos');
    const db = await new Promise<IDBDatabase>((done) => (asked.onsuccess = () => done(asked.result)));
    const key = db.transaction('documents').objectStore('documents').getKey(`version/${vehicleId}`);
    const found = await new Promise((done) => (key.onsuccess = () => done(key.result)));
    db.close();
    return found !== undefined;
  }, id);

/** Every figure by its name, ms but for the memory. */
async function measured(
  browser: Browser,
  workshop: TestWorkshop,
  world: FetchedWorkshop,
): Promise<ReadonlyMap<string, number>> {
  const context = await browser.newContext({
    viewport: { width: 390, height: 844 },
    hasTouch: true,
    serviceWorkers: 'block',
  });
  const page = await context.newPage();
  page.setDefaultTimeout(60_000);
  await context.route('**/api/yard', (route) => route.fulfill({ json: world.yard }));
  await context.route('**/api/fleet/board', (route) => route.fulfill({ json: world.board }));
  await context.route('**/api/vehicles/*/life', (route) =>
    route.fulfill({ json: world.lives.get(/vehicles\/([^/]+)\//.exec(route.request().url())?.[1] ?? '') }),
  );
  await page.goto(workshop.client.base);
  await page.getByLabel('Name').fill('Maren');
  await page.getByLabel('PIN or password').fill('112358');
  await page.getByRole('button', { name: 'Sign in' }).click();
  const fetching = Date.now();
  await page.getByRole('navigation', { name: 'Places' }).waitFor({ timeout: 60_000 });
  const [first, last] = [world.yard[0]?.vehicle, world.yard.at(-1)?.vehicle];
  if (!first || !last) throw new Error('no vehicle');
  // The last of the fleet is there when all are.
  while (!(await isKept(page, last.id))) await page.waitForTimeout(500);
  console.log(`    fetched in ${((Date.now() - fetching) / 1000).toFixed(0)} s`);
  const session = await context.newCDPSession(page);
  const figures = new Map<string, number>();
  // The workshop is gone; the app itself still comes from where it came from.
  await context.route('**/api/**', (route) => route.abort());
  await session.send('Emulation.setCPUThrottlingRate', { rate: SLOWDOWN });
  const starts: number[] = [];
  for (let round = 0; round < 3; round += 1) {
    await page.reload();
    // By the page itself: asking again and again from outside would slow it down.
    starts.push(await page.evaluate<number>(standing(`[aria-label^="${first.fleetCode}, "]`)));
    await page.waitForTimeout(3000);
  }
  figures.set('start without a network until the yard stands, ms', quantile(starts, 0.5));
  await session.send('HeapProfiler.collectGarbage');
  figures.set(
    'memory in use, MB',
    (await page.evaluate(
      () => (performance as unknown as { memory: { usedJSHeapSize: number } }).memory.usedJSHeapSize,
    )) / 1e6,
  );
  const places = (name: string) =>
    page.getByRole('navigation', { name: 'Places' }).getByRole('link', { name: new RegExp(`^${name}`) });
  const pages = (name: string) =>
    page.getByRole('navigation', { name: /^Pages of/ }).getByRole('link', { name: new RegExp(`^${name}`) });
  const rounds = new Map<string, number[]>();
  const keep = (name: string, ms: number) => rounds.set(name, [...(rounds.get(name) ?? []), ms]);
  const code = first.fleetCode;
  for (let round = 0; round < ROUNDS + 1; round += 1) {
    const steps: readonly (readonly [string, () => Promise<void>, RegExp])[] = [
      ['a vehicle', () => page.locator(`[aria-label^="${code}, "]`).first().click(), new RegExp(code)],
      ['its wear', () => pages('Wear').click(), /Wear/],
      ['its life', () => pages('Life').click(), /Life/],
      ['its spec', () => pages('Spec').click(), /Spec/],
      ['now again', () => pages('Now').click(), new RegExp(code)],
      ['the fleet', () => places('Fleet').click(), /Fleet/],
      ['the bench', () => places('Bench').click(), /Bench/],
      ['the scores', () => places('Scores').click(), /Score/],
      ['the rules', () => places('Rules').click(), /Rules/],
      ['the yard', () => places('Yard').click(), /\d/],
    ];
    for (const [name, touch, heading] of steps) {
      const ms = await opened(page, touch, heading);
      // The first time each piece of the program is fetched too.
      if (round > 0) keep(`open ${name}, ms`, ms);
    }
    const search = page.getByRole('textbox', { name: 'Find' });
    keep('a letter of a search, ms', await answered(page, () => search.press('b')));
    keep('the next letter, ms', await answered(page, () => search.press('0')));
    await search.fill('');
    await page.waitForTimeout(1500);
    keep(
      'another order of the yard, ms',
      await answered(page, () => page.getByRole('radio', { name: round % 2 ? 'code' : 'worst first' }).click()),
    );
  }
  for (const [name, times] of rounds) figures.set(name, quantile(times, 0.5));
  await context.close();
  return figures;
}
