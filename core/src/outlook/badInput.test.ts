import type { Wheel } from '../vehicle/place';
import fc from 'fast-check';
import type { MeterAnswer } from '../inspection/inspection';
import type { LifeEntry, LifeEntryContent } from '../parts/lifeEntry';
import { CAR, findingOf, inspectionOf, readingOf, rulesWith, treadOf } from '../tests/builders';
import type { VisitRecord } from '../inspection/visitRecord';
import { outlookOf } from './outlookOf';
import type { VehicleOutlook } from './vehicleOutlook';

interface Given {
  readonly day: number;
  readonly meter: number;
  readonly tread: number;
  readonly pad: number;
  readonly answer?: MeterAnswer;
}

const START = Date.parse('2025-01-01T08:00:00.000Z');
const at = (day: number) => new Date(START + day * 86_400_000).toISOString();
let made = 0;
function visit({ day, meter, tread, pad, answer }: Given): VisitRecord {
  made += 1;
  const id = `00000000-0000-4000-8000-${String(made).padStart(12, '0')}`;
  return {
    inspection: inspectionOf(CAR, { id, startedAt: at(day), signedAt: at(day), meter, meterAnswer: answer ?? null }),
    findings: [
      findingOf('tyre.tread', '1L', { readings: treadOf(tread, tread, tread) }, id),
      findingOf('tyre.tread', '2L', { readings: treadOf(tread + 1, tread + 1, tread + 1) }, id),
      findingOf('pad.inner', '1L', { readings: [readingOf('lining', pad)] }, id),
    ],
  };
}
const steady = [0, 1, 2, 3].map((n): Given => ({ day: n * 90, meter: 10_000 + n * 4000, tread: 7 - n, pad: 10 - n }));
const entry = (id: string, day: number, content: LifeEntryContent, meter: number | null = null): LifeEntry => ({
  id,
  vehicleId: CAR.id,
  at: at(day),
  meter,
  ...content,
});
const SWAP: readonly { readonly from: Wheel; readonly to: Wheel }[] = [
  { from: '1L', to: '2L' },
  { from: '2L', to: '1L' },
];

/** Everything told is in order, a figure or nothing; no date of nothing. */
function expectSound({ parts, changes }: VehicleOutlook): void {
  for (const { forecast, beforeNext } of parts) {
    expect(beforeNext === null || (beforeNext >= 0 && beforeNext <= 1)).toBe(true);
    if (forecast.status === 'needs-readings') continue;
    for (const range of [forecast.distance, forecast.days]) {
      if (!range) continue;
      const ends = [range.low, range.mid ?? Infinity, range.high ?? Infinity];
      expect([...ends].sort((a, b) => a - b)).toEqual(ends);
      expect(ends.every((end) => end >= 0)).toBe(true);
    }
    expect(Number.isFinite(forecast.line.value)).toBe(true);
    expect(Number.isFinite(forecast.line.rate)).toBe(true);
  }
  for (const change of changes) expect(change.sureness).toBeGreaterThanOrEqual(0.5);
}

const told = (given: readonly Given[], entries: readonly LifeEntry[] = []) =>
  outlookOf(CAR, given.map(visit), entries, rulesWith());
const leftOf = (outlook: VehicleOutlook, place = '1L') => {
  const part = outlook.parts.find(({ series }) => series.point === 'tyre.tread' && series.place === place);
  return part && part.forecast.status !== 'needs-readings' ? (part.forecast.distance.mid ?? Infinity) : null;
};

describe('what goes wrong in a record breaks no forecast', () => {
  test('a replaced meter goes on where the old one stood', () => {
    const replaced = steady.map((one, n) =>
      n < 2 ? one : { ...one, meter: one.meter - 13_800, ...(n === 2 ? { answer: 'meter-replaced' as const } : {}) },
    );
    const outlook = told(replaced);
    expectSound(outlook);
    expect(leftOf(outlook)).toBeGreaterThan(0);
  });

  test('two readings on one day are two looks at one thing', () => {
    const twice = [...steady, { ...steady[3], tread: 4.2 } as Given];
    expectSound(told(twice));
    expect(leftOf(told(twice))).toBeCloseTo(leftOf(told(steady)) ?? NaN, -4);
  });

  test('a visit entered late takes its place in time', () => {
    const [first, second, third, last] = steady as [Given, Given, Given, Given];
    expect(leftOf(told([first, third, last, second]))).toBeCloseTo(leftOf(told(steady)) ?? NaN, 6);
  });

  test('a rotation undone leaves everything as it was', () => {
    const rotate = entry('turn', 200, { kind: 'rotate', moves: SWAP });
    const undo = entry('back', 201, { kind: 'undo', refers: 'turn' });
    expect(leftOf(told(steady, [rotate]))).not.toBeCloseTo(leftOf(told(steady)) ?? NaN, 3);
    expect(leftOf(told(steady, [rotate, undo]))).toBeCloseTo(leftOf(told(steady)) ?? NaN, 6);
  });

  test('a part fitted since the last look leads at once, before it was read; one fitted before the vehicle was made breaks nothing', () => {
    const fit = (day: number, meter: number) =>
      told(steady, [entry('odd', day, { kind: 'fit', what: 'tyre', place: '1L', fresh: 8, note: '' }, meter)]);
    const fresh = fit(400, 90_000);
    expectSound(fresh);
    const tread = fresh.parts.find(({ series }) => series.point === 'tyre.tread' && series.place === '1L');
    expect(tread?.series).toMatchObject({ ofPart: [], fitted: { fresh: 8 } });
    expect(tread?.forecast).toMatchObject({ from: 'general', line: { value: expect.closeTo(8, 9) as number } });
    expect(leftOf(fresh)).toBeGreaterThan(2 * (leftOf(told(steady)) ?? NaN));
    expectSound(fit(-9000, 0));
  });

  test('a reading that slipped a decimal does not tilt the line, and is told for odd', () => {
    const slipped = told([...steady, { day: 360, meter: 26_000, tread: 0.3, pad: 6 }]);
    expectSound(slipped);
    const tread = slipped.parts.find(({ series }) => series.point === 'tyre.tread' && series.place === '1L');
    expect(tread?.forecast).toMatchObject({ status: 'reached' });
    expect(tread && tread.forecast.status !== 'needs-readings' ? tread.forecast.odd : 0).toBeGreaterThan(0.3);
  });

  test('any record at all: meters that jump, readings that leap, entries in any order', () => {
    const given = fc.record({
      day: fc.integer({ min: 0, max: 1500 }),
      meter: fc.integer({ min: 0, max: 400_000 }),
      tread: fc.integer({ min: 0, max: 100 }).map((tenths) => tenths / 10),
      pad: fc.integer({ min: 0, max: 24 }).map((halves) => halves / 2),
      answer: fc.constantFrom<(MeterAnswer | undefined)[]>(undefined, 'meter-replaced', 'last-misread', 'long-trip'),
    });
    const happened = fc.oneof(
      fc
        .record({ day: fc.nat(1500), meter: fc.option(fc.nat(400_000)) })
        .map(({ day, meter }) =>
          entry(`f${day}`, day, { kind: 'fit', what: 'tyre', place: '1L', fresh: 8, note: '' }, meter),
        ),
      fc.nat(1500).map((day) => entry(`r${day}`, day, { kind: 'rotate', moves: SWAP })),
      fc.nat(1500).map((day) => entry(`u${day}`, day, { kind: 'undo', refers: `f${day}` })),
    );
    fc.assert(
      fc.property(fc.array(given, { maxLength: 9 }), fc.array(happened, { maxLength: 5 }), (visits, entries) => {
        expectSound(told(visits, entries));
      }),
      { numRuns: 60 },
    );
  });
});
