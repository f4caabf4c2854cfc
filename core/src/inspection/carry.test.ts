import { CAR, contextOf, findingOf, inspectionOf, leakOf, readingOf, treadOf, plainSeries } from '../tests/builders';
import { verdictOf } from '../grading/verdict';
import { carriedContent, carriedFrom } from './carry';
import { nextFinding } from './finding';
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
    ['half a year ago', { finding: pads, inspection: { startedAt: '2025-12-01T08:00:00Z' } }, template, undefined],
    [
      'carried itself',
      { finding: { ...pads, carried: { at: '2026-01-01', from: 'visit' as const } }, inspection },
      template,
      undefined,
    ],
    ['not reached then', { finding: { ...pads, access: 'not-reached' as const }, inspection }, template, undefined],
    ['never looked at', undefined, template, undefined],
  ])('%s', (_, last, rules, expected) => {
    expect(carriedFrom(last, rules, today)).toBe(expected);
  });

  test('as it was left, with its date; the trend takes it for no new reading', () => {
    const content = carriedContent(pads, inspection.startedAt);
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
    ['5', [5, 5, 5]],
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
