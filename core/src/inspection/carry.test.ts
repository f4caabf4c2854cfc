import { CAR, contextOf, findingOf, inspectionOf, leakOf, readingOf, treadOf, plainSeries } from '../tests/builders';
import { USUAL_HOUSE_RULES } from '../house/houseRules';
import { verdictOf } from '../grading/verdict';
import { carriedContent, carriedFrom } from './carry';
import { nextFinding, type Finding } from './finding';
import { gradePoint } from '../grading/gradePoint';
import { pressureAtReference } from '../grading/pressureAtReference';
import { parseLine } from './parseLine';
import { watchedPoints } from '../grading/watchedPoints';

describe('an earlier look stands in', () => {
  const pads = findingOf('pad.outer', '1L', {
    readings: [readingOf('lining', 4), readingOf('lining', 11, 'whole', 'left')],
    words: ['glazed'],
  });
  const inspection = inspectionOf(CAR, { startedAt: '2026-05-22T08:00:00Z' });
  const template = { nothingCarried: false };
  const today = '2026-06-01T08:00:00Z';

  test.each([
    ['ten days ago', { finding: pads, inspection }, template, pads],
    ['a template that carries nothing', { finding: pads, inspection }, { nothingCarried: true }, undefined],
    [
      'half a year ago',
      { finding: pads, inspection: { ...inspection, startedAt: '2025-12-01T08:00:00Z' } },
      template,
      undefined,
    ],
    [
      'carried itself',
      { finding: { ...pads, carried: { at: '2026-01-01', from: 'visit' as const } }, inspection },
      template,
      undefined,
    ],
    ['not reached then', { finding: { ...pads, access: 'not-reached' as const }, inspection }, template, undefined],
    ['never looked at', undefined, template, undefined],
  ])('%s', (_, last, rules, expected) => {
    expect(carriedFrom(last, rules, { startedAt: today, meter: inspection.meter }, USUAL_HOUSE_RULES)).toBe(expected);
  });

  test('as it was left, with its date; the trend takes it for no new reading', () => {
    const content = carriedContent(pads, inspection);
    expect(content).toMatchObject({
      access: 'seen',
      readings: [readingOf('lining', 11)],
      words: ['glazed'],
      carried: { at: '2026-05-22', from: 'visit' },
    });
    const finding = nextFinding(
      undefined,
      { inspectionId: inspection.id, point: 'pad.outer', place: '1L' },
      { id: 'x', at: today },
      content,
    );
    expect(plainSeries([{ inspection: inspectionOf(CAR), findings: [finding] }])).toEqual([]);
  });

  test.each([
    ['a level of a fortnight ago', 'oil.level', 'level', 0.6, 14, 400, true],
    ['a level of three weeks ago', 'oil.level', 'level', 0.6, 21, 400, false],
    ['a pressure after a long way', 'tyre.pressure', 'pressure', 230, 3, 600, false],
    ['a level of a meter that went back', 'oil.level', 'level', 0.6, 3, -5, false],
    ['wear of two months ago, a long way', 'pad.outer', 'lining', 6, 60, 9000, true],
  ] as const)('%s', (_, point, measure, value, days, gone, carried) => {
    const finding = findingOf(point, '', { readings: [readingOf(measure, value)] });
    const then = new Date(Date.parse(today) - days * 86_400_000).toISOString();
    const last = { finding, inspection: { startedAt: then, meter: inspection.meter } };
    const now = { startedAt: today, meter: inspection.meter + gone };
    expect(carriedFrom(last, template, now, USUAL_HOUSE_RULES)).toBe(carried ? finding : undefined);
  });

  test('what was wrong with it stays wrong: codes, and what kept it from being true', () => {
    const codes = [{ code: 'P0301', text: '', state: 'returned' as const }];
    const earlier = findingOf('cabin.codes', '', { codes, outOf: ['key-on'] });
    const carried = findingOf('cabin.codes', '', carriedContent(earlier, inspection));
    expect(carried).toMatchObject({ codes, outOf: ['key-on'] });
    expect(gradePoint({ point: 'cabin.codes', place: '' }, contextOf(CAR, [carried])).grade).toBe('fail');
  });

  test('a pressure is judged at the temperature of its own day', () => {
    const cold = { ...inspection, state: 'cold' as const, ambientC: -10 };
    const earlier = findingOf('tyre.pressure', '1L', { readings: [readingOf('pressure', 200)] });
    const warmDay = { inspection: inspectionOf(CAR, { ambientC: 30 }) };
    const graded = (finding: Finding) =>
      gradePoint({ point: 'tyre.pressure', place: '1L' }, contextOf(CAR, [finding], warmDay));
    const { pressure } = graded(findingOf('tyre.pressure', '1L', carriedContent(earlier, cold))).reasons.find(
      (reason) => reason.rule === 'limit',
    ) as { pressure: { atReferenceKpa: number } };
    expect(pressure.atReferenceKpa).toBeCloseTo(pressureAtReference(200, -10, 0), 6);
    const untold = carriedContent(earlier, { ...cold, ambientC: null });
    expect(untold.readings).toHaveLength(1);
  });
});

test('a return visit looks at watched spots, advisories, fails and gaps, not at what passed', () => {
  const { points } = verdictOf(
    contextOf(CAR, [
      findingOf('belt.aux', '', { words: ['noisy'] }),
      findingOf('leak.engine', '', { leaks: [leakOf({ stage: 'damp' })] }),
      findingOf('hose.coolant.top', ''),
      findingOf('tyre.tread', '1L', { readings: treadOf(7, 7, 7) }),
    ]),
  );
  const keys = watchedPoints(points);
  expect(keys).toEqual(expect.arrayContaining(['belt.aux', 'leak.engine', 'battery.rest']));
  expect(keys).not.toContain('hose.coolant.top');
  expect(keys).not.toContain('tyre.tread@1L');
});

describe('three figures on one line, outside first', () => {
  test.each([
    ['5 5.5 4', [5, 5.5, 4]],
    ['5/5.5/4', [5, 5.5, 4]],
    ['5,1; 5,5; 4', [5.1, 5.5, 4]],
    ['6/32 6/32 5/32', [4.7625, 4.7625, 3.96875]],
    ['5', [5]],
    [' 5mm  5mm 4mm ', [5, 5, 4]],
  ])('“%s”', (typed, values) => {
    const line = parseLine(typed, 'mm', 3);
    expect(line.status === 'values' && line.stored).toEqual(values.map((value) => expect.closeTo(value, 6)));
  });
  test.each([
    ['5 x 4', { status: 'unreadable', typed: 'x' }],
    ['5 4', { status: 'wrong-count', got: 2, wanted: 3 }],
    ['5 4 3 2', { status: 'wrong-count', got: 4, wanted: 3 }],
    ['', { status: 'unreadable' }],
  ])('“%s” is told, never guessed', (typed, problem) => expect(parseLine(typed, 'mm', 3)).toMatchObject(problem));
});

test('a return visit also looks where it shows what was left open', () => {
  const left = [
    { end: 'wheel', place: '1R' },
    { end: 'codes-cleared', place: '' },
    { end: 'funnel', place: '' },
  ] as const;
  expect(watchedPoints([], left)).toEqual(['close.bolts@1R', 'cabin.codes', 'close.leakcheck']);
});
