import { FLUIDS, LEAK_STAGES } from '../catalogue/leaks';
import { MEASURES, MEASURE_CODES } from '../catalogue/measures';
import { VOCABULARIES, VOCABULARY_NAMES } from '../catalogue/words';
import { BASELINE, US_LIGHT } from '../limits/baseline';
import { sheetProblems, wordGrade, type LimitRow } from '../limits/limitSheet';
import { CAR, findingOf, inspectionOf, readingOf, treadOf } from '../tests/builders';
import { HOUSE_CHOICES, HOUSE_QUESTIONS, USUAL_HOUSE_RULES } from '../house/houseRules';
import { BUILT_IN_RULEBOOK, newestRulebook, rulebookAt, rulesOf, type Rulebook } from './rulebook';
import { rulebookProblems } from './rulebookProblems';
import { whatChanges } from '../grading/whatChanges';

describe('the built-in sheets', () => {
  test.each([
    ['baseline', BASELINE],
    ['US light', US_LIGHT],
  ])('%s has no problem, names every source and can be read on its gauges', (_, sheet) => {
    expect(sheet.rows.length).toBeGreaterThan(20);
    expect(sheetProblems(sheet)).toEqual([]);
    for (const { measure, kind, thresholds } of sheet.rows) {
      for (const { source, value } of thresholds) {
        expect(source).not.toBe('');
        if (kind === 'value') expect(value >= MEASURES[measure].least && value <= MEASURES[measure].most).toBe(true);
      }
    }
  });
  test('grade every fluid at every stage and every word of every vocabulary', () => {
    for (const fluid of FLUIDS) expect(Object.keys(BASELINE.leaks[fluid])).toEqual(LEAK_STAGES.slice(1));
    for (const name of VOCABULARY_NAMES)
      expect(Object.keys(BASELINE.words[name]).sort()).toEqual([...VOCABULARIES[name]].sort());
  });
  test('a word the sheet forgot is advised, never passed', () => {
    expect(wordGrade({ ...BASELINE, words: { ...BASELINE.words, belt: {} } }, 'belt', 'frayed')).toBe('advisory');
  });
  test('2/32 in is 1.5875 mm', () => {
    const fail = US_LIGHT.rows
      .find(({ measure }) => measure === 'tread')
      ?.thresholds.find(({ grade }) => grade === 'fail');
    expect(fail).toMatchObject({ value: 1.5875, basis: 'law' });
    expect(MEASURE_CODES).toContain('tread');
  });
});

describe('a rulebook that is wrong is refused with the field', () => {
  const [first, ...rest] = BASELINE.rows as [LimitRow, ...LimitRow[]];
  const withRow = (row: LimitRow): Rulebook => ({
    ...BUILT_IN_RULEBOOK,
    sheets: [{ ...BASELINE, rows: [row, ...rest] }],
  });
  const edges = (...values: number[]) =>
    first.thresholds.map((edge, index) => ({ ...edge, value: values[index] ?? edge.value }));
  test.each([
    ['as built in', BUILT_IN_RULEBOOK, undefined, undefined],
    [
      'fail on the wrong side of advisory',
      withRow({ ...first, thresholds: edges(3, 3.5) }),
      'sheets.0.rows.0.thresholds.1.value',
      'fail-inside-advisory',
    ],
    [
      'no figure',
      withRow({ ...first, thresholds: edges(Number.NaN) }),
      'sheets.0.rows.0.thresholds.0.value',
      'not-a-number',
    ],
    ['no limit in a row', withRow({ ...first, thresholds: [] }), 'sheets.0.rows.0.thresholds', 'no-threshold'],
    [
      'a share of 80',
      withRow({ ...first, kind: 'rated-share', thresholds: edges(80, 60) }),
      'sheets.0.rows.0.thresholds.0.value',
      'share-range',
    ],
    ['no sheet', { ...BUILT_IN_RULEBOOK, sheets: [] }, 'sheets', 'no-sheet'],
    [
      'a template without points',
      { ...BUILT_IN_RULEBOOK, templates: [{ ...BUILT_IN_RULEBOOK.templates[0]!, points: [] }] },
      'templates.0.points',
      'no-points',
    ],
    [
      'one name twice',
      { ...BUILT_IN_RULEBOOK, templates: [BUILT_IN_RULEBOOK.templates[0]!, BUILT_IN_RULEBOOK.templates[0]!] },
      'templates.1.code',
      'code-twice',
    ],
    [
      'a sheet that is not there',
      { ...BUILT_IN_RULEBOOK, house: { ...USUAL_HOUSE_RULES, sheet: 'gone' } },
      'house.sheet',
      'no-such-sheet',
    ],
    [
      'a factor of nothing',
      { ...BUILT_IN_RULEBOOK, house: { ...USUAL_HOUSE_RULES, hardUseFactor: 0 } },
      'house.hardUseFactor',
      'factor-range',
    ],
  ])('%s', (_, rulebook, field, code) => {
    const [problem] = rulebookProblems(rulebook);
    expect([problem?.field, problem?.code]).toEqual([field, code]);
  });
});

describe('versions', () => {
  const third = { ...BUILT_IN_RULEBOOK, version: 3 };
  const fifth = { ...BUILT_IN_RULEBOOK, version: 5, house: { ...USUAL_HOUSE_RULES, sheet: 'us-light' } };
  test.each([
    [0, 0],
    [3, 3],
    [4, 3],
    [5, 5],
  ])('a visit of version %d is judged by version %d', (version, by) => {
    expect(rulebookAt([fifth, third], version).version).toBe(by);
  });
  test('the newest is for new visits, and its house rule chooses the sheet', () => {
    expect(newestRulebook([third, fifth]).version).toBe(5);
    expect(newestRulebook([]).version).toBe(0);
    expect([rulesOf(fifth, 'full').sheet.code, rulesOf(third, 'interim').template.code]).toEqual([
      'us-light',
      'interim',
    ]);
  });
  test('every question has its first school as the default', () => {
    expect(HOUSE_QUESTIONS.length).toBeGreaterThan(14);
    for (const question of HOUSE_QUESTIONS) expect(USUAL_HOUSE_RULES[question]).toBe(HOUSE_CHOICES[question][0]);
  });
});

describe('what would change', () => {
  const visit = {
    inspection: inspectionOf(CAR),
    findings: [
      findingOf('tyre.tread', '1L', { readings: treadOf(3.5, 3.5, 3.5) }),
      findingOf('pad.outer', '1L', { readings: [readingOf('lining', 6)] }),
    ],
  };
  const stricter: Rulebook = {
    ...BUILT_IN_RULEBOOK,
    version: 1,
    sheets: [
      {
        ...BASELINE,
        rows: BASELINE.rows.map((row) =>
          row.measure === 'tread' && row.kind === 'value'
            ? {
                ...row,
                thresholds: row.thresholds.map((edge) => (edge.grade === 'advisory' ? { ...edge, value: 4 } : edge)),
              }
            : row,
        ),
      },
    ],
  };
  test('names the points whose grade differs, before and after, and nothing else', () => {
    expect(whatChanges(CAR, visit, BUILT_IN_RULEBOOK, stricter)).toEqual([
      { inspectionId: visit.inspection.id, key: 'tyre.tread@1L', before: 'pass', after: 'advisory' },
    ]);
    expect(whatChanges(CAR, visit, stricter, stricter)).toEqual([]);
  });
});
