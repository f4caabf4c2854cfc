import fc from 'fast-check';
import { GRADES } from '../grading/grade';
import type { PointGrade } from '../grading/reason';
import type { Finding } from '../inspection/finding';
import { CAR, findingOf, inspectionOf, readingOf, rulesWith } from '../tests/builders';
import { composeReport, signedSheet } from './composeReport';
import {
  briefGrade,
  verdictOfVisit,
  wholeGrade,
  pointsAmended,
  type Amendment,
  type JudgedRecord,
} from './signedSheet';

const inspection = inspectionOf(CAR, { signedAt: '2026-06-01T09:00:00.000Z' });
const pad = (mm: number, parent: string | null = null): Finding => ({
  ...findingOf('pad.inner', '1L', { readings: [readingOf('lining', mm)] }),
  parent,
});
const first = pad(2.5);
const visit = { inspection, findings: [first], acts: [] };
const rules = rulesWith();
const sheet = signedSheet(composeReport(CAR, visit, [], rules));
const gradeOf = (one: JudgedRecord, vehicle = CAR, by = rules) =>
  verdictOfVisit(vehicle, one, by).points.find(({ key }) => key === 'pad.inner@1L')?.result.grade;

test('a grade in brief is brought back whole, whatever it says', () => {
  const reason = fc.constantFrom<PointGrade['reasons'][number]>(
    { rule: 'sound', grade: 'pass' },
    { rule: 'not-looked-at', grade: 'not-seen' },
    { rule: 'not-reached', grade: 'not-seen', why: 'seized' },
    { rule: 'word', grade: 'advisory', word: 'cracked', basis: 'house' },
    { rule: 'code', grade: 'fail', code: 'P0', state: 'returned', gone: false, basis: 'house' },
  );
  const whole: fc.Arbitrary<PointGrade> = fc.record({
    grade: fc.constantFrom(...GRADES),
    computed: fc.constantFrom(...GRADES),
    override: fc.constantFrom(null, { grade: 'pass', reason: 'seen by a lead' } as const),
    failsLaw: fc.boolean(),
    watch: fc.boolean(),
    corrected: fc.boolean(),
    asFound: fc.constantFrom(...GRADES),
    closeCall: fc.boolean(),
    carried: fc.constantFrom(null, { at: '2026-01-01', from: 'visit' } as const),
    reasons: fc.array(reason, { maxLength: 3 }),
  });
  fc.assert(
    fc.property(whole, (grade) => expect(wholeGrade(JSON.parse(JSON.stringify(briefGrade(grade))))).toEqual(grade)),
    { numRuns: 3000 },
  );
  expect(briefGrade(wholeGrade({ grade: 'pass' }))).toEqual({ grade: 'pass' });
});

describe('a signed visit', () => {
  const signed = { ...visit, sheet };
  const drums = { ...CAR, axles: CAR.axles.map((axle) => ({ ...axle, brake: 'drum' as const })) };
  const strict = rulesWith({ nearLimit: 'guarded' });
  const stricter = {
    ...strict,
    sheet: {
      ...strict.sheet,
      rows: strict.sheet.rows.map((row) =>
        row.measure === 'lining' && row.kind === 'value'
          ? { ...row, thresholds: row.thresholds.map((edge) => ({ ...edge, value: 9 })) }
          : row,
      ),
    },
  };

  test('is told as it was, whatever becomes of the vehicle’s sheet and the rules', () => {
    expect(gradeOf(visit)).toBe('advisory');
    expect(gradeOf(visit, CAR, stricter)).toBe('fail');
    expect(gradeOf(signed, drums, stricter)).toBe('advisory');
    const report = composeReport(drums, signed, [], stricter);
    expect(report.vehicle).toEqual(CAR);
    expect(report.rules.house.nearLimit).toBe(rules.house.nearLimit);
    expect(report.verdict.points).toEqual(verdictOfVisit(CAR, visit, rules).points);
    expect(report.asSigned).toBeNull();
  });

  test('amended, it tells both: what was signed and what is known now; nothing else is judged anew', () => {
    const later = pad(1, first.id);
    const points = pointsAmended(visit, sheet, later, rules);
    expect(points.map(({ point, place }) => `${point}@${place}`)).toContain('pad.inner@1L');
    const amendment: Amendment = {
      id: 'a',
      inspectionId: inspection.id,
      at: '2026-06-02T08:00:00.000Z',
      why: 'read with the wheel off',
      findingId: later.id,
      points,
    };
    const amended = { ...signed, findings: [first, later], amendments: [amendment] };
    const report = composeReport(drums, amended, [], stricter);
    expect(gradeOf(amended, drums)).toBe('fail');
    expect(report.asSigned?.points.find(({ key }) => key === 'pad.inner@1L')).toMatchObject({
      finding: { id: first.id },
      result: { grade: 'advisory' },
    });
    // Until the workshop has answered the device says the same by itself.
    const waiting = { ...amended, amendments: [{ ...amendment, points: null }] };
    expect(verdictOfVisit(CAR, waiting, rules).points).toEqual(report.verdict.points);
  });
});
