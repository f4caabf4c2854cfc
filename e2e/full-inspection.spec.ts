import { expect, test, type Page } from '@playwright/test';
import { beginVisit, lookAtGate, signIn } from './walk';
import { Workshop } from './workshop';

let workshop: Workshop;
test.beforeAll(async () => {
  workshop = await Workshop.start({ demo: true });
});
test.afterAll(() => workshop.remove());

/** What the gauges of this vehicle say, by what stands on the field. */
const FIGURES: readonly (readonly [RegExp, string])[] = [
  [/week code|Tyre age/, '1422'],
  [/Tyre pressure, (nearside|offside) front/, '228'],
  [/Tyre pressure, (nearside|offside) rear/, '218'],
  [/pressure/, '240'],
  [/Brake shoes/, '4'],
  [/level|stick|present/i, '0.7'],
  [/share of glycol/, '50'],
  [/water/i, '1'],
  [/Battery at rest/, '12.62'],
  [/Charging voltage/, '14.2'],
  [/Oil lamp/, '2'],
  [/Parking brake/, '5'],
  [/Wheel bolts/, '120'],
  [/[Ii]ndicator|service/i, '9000'],
  [/belt/i, '30'],
];

interface Cost {
  readonly step: string;
  readonly kind: 'gate' | 'sound' | 'tread' | 'brake' | 'figure';
  readonly taps: number;
  readonly keys: number;
}

interface Spent {
  readonly taps: number;
  readonly keys: number;
  readonly scrolls: number;
}

/** Every tap, key and scroll the page itself saw. */
async function spent(page: Page): Promise<Spent> {
  return page.evaluate(() => (window as unknown as { spent: Spent }).spent);
}

async function typeLine(page: Page, line: ReturnType<Page['getByRole']>, text: string): Promise<void> {
  await line.click();
  await page.keyboard.type(text);
  await page.keyboard.press('Enter');
}

/** The gate as a hand does it: a tap where oil and coolant stand, belts sound, ground dry. */
async function doGate(page: Page): Promise<void> {
  for (const name of ['Engine oil on the stick', 'Coolant level'])
    await page.getByRole('slider', { name }).click({ position: { x: 20, y: 75 } });
  await lookAtGate(page, { belts: 'sound', ground: 'dry' });
  await page.getByRole('button', { name: 'To the walk', exact: true }).click();
}

/** Does what a step asks for, the way a hand would; gives what kind of point it was. */
async function doStep(page: Page): Promise<Cost['kind']> {
  const quick = page.getByRole('button', { name: /, and on$/ });
  if (await quick.isVisible()) {
    await quick.click();
    return 'sound';
  }
  // Read at the gate, and nothing was done to it since: there is nothing to say again.
  if (await page.getByText(/^Earlier today, /).isVisible()) {
    const still = page.getByRole('button', { name: /^Still / });
    if (await page.getByRole('heading', { name: 'Oil level after settling' }).isVisible()) await still.click();
    await page.getByRole('button', { name: 'Next', exact: true }).click();
    return 'figure';
  }
  const tread = page.getByRole('textbox', { name: /^Tread on one line/ });
  const pads = page.getByRole('textbox', { name: /^Both pads on one line/ });
  let kind: Cost['kind'] = 'figure';
  if (await tread.isVisible()) {
    await typeLine(page, tread, '5.2 5.4 5.1');
    kind = 'tread';
  } else if (await pads.isVisible()) {
    await typeLine(page, pads, '7.5 7');
    await page.getByRole('checkbox', { name: 'Disc looks sound' }).click();
    kind = 'brake';
  }
  for (const field of await page.getByRole('textbox', { name: /, typed$/ }).all()) {
    const label = (await field.getAttribute('aria-label')) ?? '';
    const figure = FIGURES.find(([pattern]) => pattern.test(label))?.[1];
    if (figure && (await field.inputValue()) === '') await typeLine(page, field, figure);
  }
  await page.getByRole('button', { name: /^(Next|To the overview)$/ }).click();
  return kind;
}

const median = (values: readonly number[]) => [...values].sort((a, b) => a - b)[Math.floor(values.length / 2)] ?? NaN;

test('a full inspection of a two-axle car at phone size, with what it costs in taps and keys', async ({ page }) => {
  await page.addInitScript(() => {
    const counted = { taps: 0, keys: 0, scrolls: 0 };
    let scrolled = 0;
    Object.assign(window, { spent: counted });
    window.addEventListener('pointerdown', () => (counted.taps += 1), true);
    window.addEventListener('keydown', () => (counted.keys += 1), true);
    // Moved further within half a second it is the same scroll.
    window.addEventListener(
      'scroll',
      ({ timeStamp }) => {
        if (timeStamp - scrolled > 500) counted.scrolls += 1;
        scrolled = timeStamp;
      },
      true,
    );
  });
  await page.goto(workshop.url);
  await signIn(page, 'Isla', '246810');
  await beginVisit(page, 'FH 03', { meter: '60400', state: 'Stood cold', template: 'Interim', ambient: '12' });
  await page.goto(`${page.url().replace(/[?].*$/, '')}/gate`);

  const costs: Cost[] = [];
  let points = 4;
  const atGate = await spent(page);
  await doGate(page);
  const passed = await spent(page);
  const gate = { taps: passed.taps - atGate.taps, keys: passed.keys - atGate.keys };
  console.log(`  gate: 4 points, ${gate.taps} taps and ${gate.keys} keys`);
  costs.push({ step: 'Cold gate', kind: 'gate', ...gate });
  const position = page.getByText(/\d+ of \d+$/).first();
  const count = Number(/of (\d+)$/.exec(await position.innerText())?.[1]);
  expect(count).toBeGreaterThan(70);
  const first = Number(/(\d+) of \d+$/.exec(await position.innerText())?.[1]);
  expect(first).toBe(5);
  for (let n = first; n <= count; n += 1) {
    await expect(page.getByText(new RegExp(` · ${n} of ${count}$`))).toBeVisible();
    const step = await page.getByRole('heading', { level: 1 }).innerText();
    const before = await spent(page);
    const kind = await doStep(page);
    const after = await spent(page);
    costs.push({ step, kind, taps: after.taps - before.taps, keys: after.keys - before.keys });
    points += kind === 'brake' ? 3 : 1;
  }

  await expect(page.getByRole('heading', { name: 'Overview' })).toBeVisible();
  await expect(page.getByText('Every point was seen.')).toBeVisible();
  await page.getByRole('button', { name: 'Sign', exact: true }).click();
  await expect(page.getByText(/Signed by Isla/)).toBeVisible();
  await expect(page.getByText('Saved and sent.')).toBeVisible();

  const of = (kind: Cost['kind']) => costs.filter((cost) => cost.kind === kind);
  for (const kind of ['sound', 'tread', 'brake', 'figure'] as const) {
    const some = of(kind);
    console.log(
      `  ${kind}: ${some.length} steps, median ${median(some.map(({ taps }) => taps))} taps and ${median(some.map(({ keys }) => keys))} keys`,
    );
  }
  for (const { step, taps, keys } of costs.filter(({ taps: most }) => most > 4))
    console.log(`  dearest: ${step}, ${taps} taps, ${keys} keys`);
  const total = costs.reduce((sum, { taps, keys }) => ({ taps: sum.taps + taps, keys: sum.keys + keys }), {
    taps: 0,
    keys: 0,
  });
  const { scrolls } = await spent(page);
  // A tap takes a gloved hand about 1.2 s, a key 0.3 s, a scroll 1 s; looking at the vehicle is not counted.
  const seconds = Math.round(total.taps * 1.2 + total.keys * 0.3 + scrolls);
  console.log(
    `  whole: ${points} points, ${total.taps} taps, ${total.keys} keys, ${scrolls} scrolls; at the screen about ${Math.floor(seconds / 60)} min ${seconds % 60} s`,
  );
  expect(points).toBeGreaterThan(80);
  expect(median(of('sound').map(({ taps }) => taps))).toBeLessThanOrEqual(1.2);
  expect(median(of('tread').map(({ taps }) => taps))).toBeLessThanOrEqual(4);
  expect(of('tread')).toHaveLength(5);
});
