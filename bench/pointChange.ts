import { chromium } from '@playwright/test';
import {
  BUILT_IN_RULEBOOK,
  MEASURES,
  cataloguePoint,
  nextFinding,
  rulesOf,
  visitPoints,
  type PointRef,
  type Reading,
  type Vehicle,
} from '@weskopos/core';
import { randomUUID } from 'node:crypto';
import path from 'node:path';
import { answered, quantile } from './answered';
import { newInspection, newVehicle, operationOf, startWorkshop } from '@weskopos/server/tests/workshop';

const VISITS = 20;
const SLOWDOWN = 4;
const ROUNDS = 12;
const TEMPLATE = 'full';
const BATCH = 100;
/** How long a finger rests on a tape. */
const FINGER_DOWN_MS = 120;

/** A vehicle of which a full inspection holds about 150 points: an electric runabout. */
function runabout(): Vehicle {
  const car = newVehicle({ fleetCode: 'B 1' });
  return {
    ...car,
    makeUp: { ...car.makeUp, power: 'electric', steering: 'electric', gearbox: 'single-speed' },
    axles: car.axles.map((axle) => ({ ...axle, discMinimumMm: 20, liningNewMm: 11 })),
  };
}

/** Something sound to say of any point: every wanted measure read in the middle of its tape. */
function lookAt(ref: PointRef, visit: number) {
  const point = cataloguePoint(ref.point);
  const readings = point.measures
    .filter(({ need }) => need !== 'extra')
    .flatMap(({ measure, spots }) =>
      spots.map((spot): Reading => {
        const { tape, taken, nature } = MEASURES[measure];
        const middle = (tape[0] + tape[1]) / 2;
        const value = measure === 'tyre-age' ? 202305 : typeof taken === 'string' ? middle : 0;
        return {
          measure,
          spot,
          phase: 'found',
          values: [nature === 'wear' ? value - visit * 0.05 : value],
          bound: 'exact',
          step: null,
        };
      }),
    );
  return { access: 'seen', readings } as const;
}

async function fill(workshop: Awaited<ReturnType<typeof startWorkshop>>): Promise<{ points: number; url: string }> {
  const { client } = workshop;
  await client.setUp(workshop.context.setupCode);
  const vehicle = runabout();
  const refs = visitPoints({ vehicle, ...rulesOf(BUILT_IN_RULEBOOK, TEMPLATE), focus: null });
  await client.operations(operationOf('vehicle.put', vehicle));
  let open = '';
  for (let visit = 0; visit <= VISITS; visit += 1) {
    const startedAt = new Date(Date.UTC(2022, visit * 2, 1, 8)).toISOString();
    const inspection = newInspection(vehicle.id, { startedAt, meter: 50_000 + visit * 2500, template: TEMPLATE });
    open = inspection.id;
    const findings = refs.map((ref) =>
      operationOf(
        'finding.put',
        nextFinding(
          undefined,
          { inspectionId: inspection.id, ...ref },
          { id: randomUUID(), at: startedAt },
          lookAt(ref, visit),
        ),
      ),
    );
    const sign = operationOf('inspection.sign', { inspectionId: inspection.id, signedAt: startedAt });
    // The last visit is the one being walked: everything is there but one station.
    const left = visit === VISITS ? findings.slice(0, -30) : [...findings, sign];
    const operations = [operationOf('inspection.start', inspection), ...left];
    for (let start = 0; start < operations.length; start += BATCH)
      await client.operations(...operations.slice(start, start + BATCH));
  }
  return { points: refs.length, url: `${client.base}/vehicle/${vehicle.id}/visit/${open}` };
}

/** A point changed on a slow phone, with a full inspection and a long history loaded, beside a touch that changes no data. */
export async function benchPointChange(): Promise<void> {
  const workshop = await startWorkshop({ appFolder: path.resolve(__dirname, '..', 'app', 'dist') });
  const { points, url } = await fill(workshop);
  const browser = await chromium.launch({
    executablePath: process.env.CHROMIUM_PATH ?? '/usr/bin/chromium',
    args: ['--no-sandbox', '--disable-background-networking'],
  });
  const page = await browser.newPage({ viewport: { width: 390, height: 844 }, hasTouch: true });
  await page.goto(workshop.client.base);
  await page.getByLabel('Name').fill('Maren');
  await page.getByLabel('PIN or password').fill('112358');
  await page.getByRole('button', { name: 'Sign in' }).click();
  await page.getByRole('button', { name: /^Go on with the visit/ }).waitFor();
  const session = await page.context().newCDPSession(page);
  const goTo = async (key: string) => {
    await page.goto(`${url}?at=${encodeURIComponent(key)}`);
    await page.getByRole('button', { name: 'Undo the last change' }).waitFor();
    await page.waitForTimeout(1500);
    await session.send('Emulation.setCPUThrottlingRate', { rate: SLOWDOWN });
  };
  const rounds = async (act: (round: number) => Promise<void>) => {
    const times: number[] = [];
    for (let round = 0; round < ROUNDS; round += 1) times.push(await answered(page, () => act(round)));
    return times;
  };
  const report = (name: string, times: readonly number[], baseline?: readonly number[]) =>
    console.log(
      `  ${name}: median ${quantile(times, 0.5)} ms, slowest ${Math.max(...times)} ms${baseline ? `, ${(quantile(times, 0.5) / quantile(baseline, 0.5)).toFixed(1)} × a touch that changes no data` : ''}`,
    );

  await goTo('hose.coolant.top');
  const bare = await rounds(() => page.getByRole('button', { name: 'Not reached', exact: true }).click());
  const words = await rounds((round) => page.getByRole('checkbox', { name: round % 2 ? 'Soft' : 'Chafed' }).click());
  await goTo('tyre.tread@1L');
  const tape = page.getByRole('slider', { name: 'Tread outer, nearside front' });
  await tape.focus();
  const keys = await rounds((round) => tape.press(round % 2 ? 'ArrowUp' : 'ArrowDown'));
  const box = await tape.boundingBox();
  const slides = await rounds(async (round) => {
    const touchPoints = [{ x: (box?.x ?? 0) + (box?.width ?? 0) / 2, y: (box?.y ?? 0) + 50 + round * 8 }];
    await session.send('Input.dispatchTouchEvent', { type: 'touchStart', touchPoints });
    await page.waitForTimeout(FINGER_DOWN_MS);
    await session.send('Input.dispatchTouchEvent', { type: 'touchEnd', touchPoints: [] });
  });
  console.log(
    `a point changed with ${points} points and ${VISITS} visits, processor slowed ${SLOWDOWN} × (aim ≤ 100 ms):`,
  );
  report('a touch that changes no data', bare);
  report('a word', words, bare);
  report('a tape by key', keys, bare);
  report('a tape by finger', slides, bare);
  await browser.close();
  await workshop.stop();
}
