import fc from 'fast-check';
import { MEASURES } from '../catalogue/measures';
import { gradePoint } from '../grading/gradePoint';
import type { Finding } from '../inspection/finding';
import { impossibleIn } from '../plausibility/checkFinding';
import { CAR, contextOf, findingOf, readingOf } from '../tests/builders';
import type { Place } from '../vehicle/vehicle';
import { FAULTS, faultSigns, type FaultKind, type FaultSigns, type FaultTruth } from './faults';

const SPANS = { oilL: 1, coolantL: 1.1 };
const SOUND = { level: 0.75, tread: 7, pressure: 230 } as const;
const PLACE: Partial<Record<FaultKind, Place>> = { misalignment: '1', 'under-inflation': '2L' };
const truth = (kind: FaultKind, change: Partial<FaultTruth> = {}): FaultTruth => ({
  kind,
  fromKm: 20_000,
  pace: 1,
  place: PLACE[kind] ?? '',
  ...change,
});

/** A sound vehicle's findings with the signs of a fault on them. */
function findingsOf({ readings, words, leaks, codes }: FaultSigns): Finding[] {
  return [
    ...readings.map(({ point, place, measure, spot, by }) => {
      const sound = SOUND[measure as keyof typeof SOUND];
      const { least, most } = MEASURES[measure];
      const read = Math.min(most, Math.max(least, sound + by));
      return findingOf(point, place, { readings: [readingOf(measure, read, spot)] });
    }),
    ...words.map(({ point, place, word }) => findingOf(point, place, { words: [word] })),
    ...leaks.map(({ point, leak }) => findingOf(point, '', { leaks: [leak] })),
    ...codes.map(({ point, code }) => findingOf(point, '', { codes: [code] })),
  ];
}

test.each(FAULTS)('%s shows nothing before it began', (kind) => {
  expect(faultSigns(truth(kind), 20_000, SPANS)).toEqual({ readings: [], words: [], leaks: [], codes: [], fuel: 1 });
});

test('every sign is one its point takes, at any distance and pace (3,000 drawn)', () => {
  fc.assert(
    fc.property(
      fc.constantFrom(...FAULTS),
      fc.integer({ min: 20_001, max: 60_000 }),
      fc.double({ min: 0.3, max: 3, noNaN: true }),
      (kind, km, pace) => {
        const findings = findingsOf(faultSigns(truth(kind, { pace }), km, SPANS));
        expect(findings.length).toBeGreaterThan(0);
        for (const finding of findings) expect(impossibleIn(finding)).toEqual([]);
      },
    ),
    { numRuns: 3000 },
  );
});

test('what grows does not go back: no sign of a fault is lost with the distance', () => {
  for (const kind of FAULTS) {
    let before = 0;
    for (let km = 21_000; km <= 50_000; km += 1000) {
      const { readings, words } = faultSigns(truth(kind), km, SPANS);
      const much = readings.reduce((sum, { by }) => sum + Math.abs(by), 0) + words.length;
      expect(much).toBeGreaterThanOrEqual(before);
      before = much;
    }
  }
});

test.each<[FaultKind, readonly string[]]>([
  ['weeping-seal', ['leak.engine', 'cold.pool', 'cold.oil']],
  ['coolant-loss', ['leak.cooling', 'cold.pool', 'coolant.level', 'hose.coolant.bottom']],
  ['misalignment', ['tyre.wear@1L', 'tyre.wear@1R']],
  ['under-inflation', ['tyre.pressure@2L', 'tyre.wear@2L']],
  ['thermostat-open', ['cabin.codes', 'cabin.heater', 'oil.cap']],
  ['fuel-in-oil', ['oil.condition', 'cabin.idle', 'cabin.smoke', 'oil.level']],
])('%s is seen as something wrong at each point it acts on', (kind, keys) => {
  const findings = findingsOf(faultSigns(truth(kind), 36_000, SPANS));
  const wrong = findings.filter(({ point, place }) => {
    const { grade, watch } = gradePoint({ point, place }, contextOf(CAR, findings));
    return watch || grade === 'advisory' || grade === 'fail';
  });
  const seen = new Set(wrong.map(({ point, place }) => (place ? `${point}@${place}` : point)));
  expect([...seen]).toEqual(expect.arrayContaining([...keys]));
});
