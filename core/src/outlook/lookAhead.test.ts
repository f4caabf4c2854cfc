import { gradePoint } from '../grading/gradePoint';
import { CAR, contextOf, findingOf, inspectionOf, readingOf, rulesWith, treadOf, ofItsVisit } from '../tests/builders';
import { currentFindings } from '../inspection/currentFindings';
import type { Finding, Reading } from '../inspection/finding';
import type { VisitRecord } from '../inspection/visitRecord';
import { aheadNotes, lookAheadOf } from './lookAhead';

const REF = { point: 'pad.inner', place: '1L' } as const;
const pads = (mm: number) => [findingOf('pad.inner', '1L', { readings: [readingOf('lining', mm)] })];
const visit = (n: number, findings: Finding[]): VisitRecord =>
  ofItsVisit({
    inspection: inspectionOf(CAR, {
      id: `visit ${n}`,
      meter: 10_000 + n * 5000,
      startedAt: `2026-0${1 + 2 * n}-01T08:00:00.000Z`,
      signedAt: 'x',
    }),
    findings,
  });
/** Pads that lose almost 3 mm every two months, and then what is read today. */
const visits = [visit(0, pads(9.6)), visit(1, pads(6.7))];
const today = inspectionOf(CAR, { id: 'today', meter: 20_000, startedAt: '2026-05-01T08:00:00.000Z' });
const given = { vehicle: CAR, inspection: today, visits, entries: [], rules: rulesWith() };
const lookAhead = lookAheadOf(given);
const graded = (mm: number, house = {}, one: readonly Reading[] = [readingOf('lining', mm)]) =>
  gradePoint(
    REF,
    contextOf(CAR, [findingOf('pad.inner', '1L', { readings: one })], {
      inspection: today,
      rules: rulesWith(house),
      lookAhead,
    }),
  );

describe('a passing wear reading that will not last until the next visit', () => {
  test('is an advisory that names the limit, the chance and the visit', () => {
    const { grade, reasons } = graded(3.9);
    expect(grade).toBe('advisory');
    const reason = reasons.find(({ rule }) => rule === 'ahead');
    expect(reason).toMatchObject({ measure: 'lining', value: 3.9, limit: 1.5, nextVisit: '2026-07-01T08:00:00.000Z' });
    expect(reason?.rule === 'ahead' && reason.chance).toBeGreaterThan(0.2);
  });

  test('the same reading passes where the house asks for a surer thing, and passes without a forecast', () => {
    expect(graded(3.9, { lookAhead: 1 }).grade).toBe('pass');
    expect(gradePoint(REF, contextOf(CAR, pads(3.9), { inspection: today })).grade).toBe('pass');
  });

  test('one with enough left says nothing', () => {
    expect(graded(5.2).reasons.map(({ rule }) => rule)).toEqual(['limit']);
  });

  test('the chance rises as less is left, and what has failed is not looked at ahead', () => {
    const chance = (mm: number) =>
      lookAhead(REF, { measure: 'lining', spot: 'whole', values: [mm], step: null })?.chance ?? Number.NaN;
    const chances = [5.5, 4.5, 3.5, 2.5].map(chance);
    expect([...chances].sort((a, b) => a - b)).toEqual(chances);
    expect(chances[0]).toBeLessThan(0.05);
    expect(graded(1.2).reasons.filter(({ rule }) => rule === 'ahead')).toEqual([]);
  });

  test('a bound is no number to look ahead from', () => {
    expect(graded(3.9, {}, [{ ...readingOf('lining', 3.9), bound: 'over' }]).grade).not.toBe('advisory');
  });

  test('of three places of one tyre the likeliest is told', () => {
    const wear = (n: number, mm: number) =>
      visit(n, [findingOf('tyre.tread', '1L', { readings: treadOf(mm, mm, mm) })]);
    const ahead = lookAheadOf({ ...given, visits: [wear(0, 7), wear(1, 5.2)] });
    const ref = { point: 'tyre.tread', place: '1L' } as const;
    const found = findingOf('tyre.tread', '1L', { readings: treadOf(3.4, 3.2, 3.1) });
    const { reasons } = gradePoint(ref, contextOf(CAR, [found], { inspection: today, lookAhead: ahead }));
    expect(reasons.filter(({ rule }) => rule === 'ahead')).toMatchObject([{ spot: 'inner', grade: 'advisory' }]);
  });
});

test('before there is a pace of visits nothing looks ahead; later visits do not count', () => {
  const reading = { measure: 'lining', spot: 'whole', values: [2], step: null } as const;
  expect(lookAheadOf({ ...given, visits: [] })(REF, reading)).toBeNull();
  const later = visit(3, pads(1));
  expect(lookAheadOf({ ...given, visits: [...visits, later] })(REF, reading)).toEqual(lookAhead(REF, reading));
});

test('a pressure, and a spare nobody drives on, have nothing to run out', () => {
  expect(
    lookAhead(
      { point: 'tyre.pressure', place: '1L' },
      { measure: 'pressure', spot: 'whole', values: [230], step: null },
    ),
  ).toBeNull();
  expect(
    lookAhead({ point: 'walk.spare', place: '' }, { measure: 'tread', spot: 'whole', values: [1.7], step: null }),
  ).toBeNull();
});

test('new pads fitted since are not taken for the old ones', () => {
  const fit = {
    id: 'f',
    vehicleId: CAR.id,
    at: '2026-04-01T08:00:00Z',
    meter: 18_000,
    kind: 'fit',
    what: 'pads',
    place: '1L',
    fresh: 5,
    note: '',
  } as const;
  const reading = { measure: 'lining', spot: 'whole', values: [3.9], step: null } as const;
  const sinceNew = lookAheadOf({ ...given, entries: [fit] })(REF, reading);
  expect(sinceNew?.chance).not.toBeCloseTo(lookAhead(REF, reading)?.chance ?? 0, 3);
});

describe('on record', () => {
  const found = pads(3.9);
  const notes = aheadNotes(currentFindings(found).standing, lookAhead);
  const signed = { ...today, signedAt: 'x', ahead: notes };

  test('a signed visit is graded by what it was signed with, whatever is learned later', () => {
    expect(notes).toMatchObject([{ point: 'pad.inner', place: '1L', value: 3.9 }]);
    const grade = (lookAheadNow = lookAhead) =>
      gradePoint(REF, contextOf(CAR, found, { inspection: signed, lookAhead: lookAheadNow }));
    expect(grade()).toEqual(graded(3.9));
    expect(grade(() => null)).toEqual(graded(3.9));
    expect(gradePoint(REF, contextOf(CAR, found, { inspection: { ...signed, ahead: [] }, lookAhead })).grade).toBe(
      'pass',
    );
  });

  test('a look carried over from before is not kept again', () => {
    const carried = found.map((one) => ({ ...one, carried: { at: '2026-01-01', from: 'visit' as const } }));
    expect(aheadNotes(currentFindings(carried).standing, lookAhead)).toEqual([]);
  });
});
