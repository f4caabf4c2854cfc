import type { PointCode } from '../catalogue/catalogue';
import { seededRandom } from '../simulator/random';
import { CAR, findingOf, inspectionOf, readingOf } from '../tests/builders';
import type { LifeEntry } from '../parts/lifeEntry';
import { oilUseSince, type OilVisit } from './oilUsed';

const DAY_MS = 86_400_000;
const START = Date.parse('2026-01-01T08:00:00.000Z');
const at = (day: number) => new Date(START + day * DAY_MS).toISOString();
const visit = (day: number, meter: number, levels: Partial<Record<PointCode, number>>, volume?: number): OilVisit => ({
  inspection: inspectionOf(CAR, { startedAt: at(day), meter }),
  findings: Object.entries(levels).map(([point, level]) =>
    findingOf(point as PointCode, '', {
      readings: [
        readingOf('level', level),
        ...(volume !== undefined && point === 'oil.level' ? [readingOf('volume', volume)] : []),
      ],
    }),
  ),
});
const topUp = (day: number, litres: number): LifeEntry => ({
  id: `t${day}`,
  vehicleId: CAR.id,
  at: at(day),
  meter: null,
  kind: 'top-up',
  fluid: 'engine-oil',
  litres,
});

test('the stick at both ends and what was put in between: 1.3 L, 0.9 → 0.4 of 1.0 L over 6,200 km', () => {
  const visits = [visit(0, 10_000, { 'oil.level': 0.9 }), visit(90, 16_200, { 'cold.oil': 0.4 })];
  const use = oilUseSince(visits, [topUp(30, 0.8), topUp(60, 0.5)], 1);
  expect(use).toEqual({ per1000: expect.closeTo(0.29, 3), by: 'stick' });
});

test.each<[string, ReturnType<typeof oilUseSince>, ReturnType<typeof oilUseSince>]>([
  [
    'what a visit put in between counts; what the last one puts in does not',
    oilUseSince(
      [
        visit(0, 10_000, { 'oil.level': 1 }),
        visit(30, 12_000, { 'oil.level': 0.2 }, 0.8),
        visit(60, 14_000, { 'oil.level': 0.2 }, 0.8),
      ],
      [],
      1,
    ),
    { per1000: expect.closeTo(0.4, 6) as number, by: 'stick' },
  ],
  [
    'an axle job restarts nothing, an oil change does',
    oilUseSince(
      [
        visit(0, 10_000, { 'oil.level': 0.1 }),
        visit(30, 12_000, { 'close.level': 1 }),
        visit(60, 14_000, { 'oil.level': 0.8 }),
      ],
      [],
      1,
      { at: at(30.2), meter: 12_000 },
    ),
    { per1000: expect.closeTo(0.1, 6) as number, by: 'stick' },
  ],
  [
    'oil that rises is told as it is: fuel or water in it',
    oilUseSince([visit(0, 10_000, { 'oil.level': 0.8 }), visit(30, 12_000, { 'oil.level': 1.2 })], [], 1),
    { per1000: expect.closeTo(-0.2, 6) as number, by: 'stick' },
  ],
  [
    'too little distance',
    oilUseSince([visit(0, 10_000, { 'oil.level': 0.8 }), visit(3, 10_300, { 'oil.level': 0.7 })], [], 1),
    null,
  ],
  [
    'no span on the sheet, nothing put in',
    oilUseSince([visit(0, 10_000, { 'oil.level': 0.8 }), visit(30, 12_000, { 'oil.level': 0.2 })], [], null),
    null,
  ],
])('%s', (_, use, expected) => expect(use).toEqual(expected));

test('in worlds where people top up what is low, what is told is what the engine used (200 engines)', () => {
  const random = seededRandom(41);
  for (let engine = 0; engine < 200; engine += 1) {
    const per1000 = 0.05 + 0.8 * random();
    const span = 0.8 + random();
    const lowAt = 0.1 + 0.3 * random();
    let [level, km] = [1, 10_000];
    const visits = [visit(0, km, { 'oil.level': level })];
    const entries: LifeEntry[] = [];
    for (let week = 1; week <= 40; week += 1) {
      const gone = 200 + Math.round(400 * random());
      km += gone;
      level -= (per1000 * gone) / 1000 / span;
      // The keeper looks now and then, and fills it up where it is low.
      if (level < lowAt && random() < 0.7) {
        entries.push(topUp(week * 7 + 0.5, (1 - level) * span));
        level = 1;
      }
      if (week % 10 !== 0) continue;
      const low = level < 0.25;
      const read = { 'oil.level': level, ...(low ? { 'close.level': 1 } : {}) };
      visits.push(visit(week * 7 + 1, km, read, low ? (1 - level) * span : undefined));
      if (low) level = 1;
    }
    expect(oilUseSince(visits, entries, span)?.per1000).toBeCloseTo(per1000, 6);
  }
});
