import {
  CATALOGUE,
  DRY,
  FLUIDS,
  LEAK_PLACES,
  WORDS,
  composeReport,
  gradedPoints,
  type Finding,
  type Forecast,
} from '@weskopos/core';
import {
  CAR,
  contextOf,
  findingOf,
  inspectionOf,
  leakOf,
  readingOf,
  rulesWith,
  treadOf,
} from '@weskopos/core/tests/builders';
import { worksOf } from '@weskopos/core/works/worksOf';
import type { Visit } from '@weskopos/contract';
import { de } from './de';
import { en } from './en';
import { forecastSentence } from './forecastSentence';
import { reportPaper } from './paper/reportPaper';
import type { Paper } from './paper/paper';
import { gradeSentence } from './reasonSentence';
import { amount, day, figure, meterWords, placeWords, pointWords } from './show';
import { inTongue, told } from './tongue';

const german = <T extends string | object>(tell: () => T) => inTongue(de, tell);

/** A visit with about everything that can be said of one. */
const FOUND: Finding[] = [
  findingOf('pad.inner', '1L', { readings: [readingOf('lining', 1)], note: 'grinds' }),
  findingOf('pad.outer', '1L', { readings: [readingOf('lining', 5)] }),
  findingOf('tyre.tread', '2R', { readings: treadOf(1.2, 3.4, 3.3) }),
  findingOf('tyre.pressure', '1L', { readings: [readingOf('pressure', 180)] }),
  findingOf('brake.fluid.water', '', { readings: [readingOf('water', 3.5)] }),
  findingOf('coolant.strength', '', { readings: [readingOf('glycol', 30)] }),
  findingOf('charge.voltage', '', { readings: [readingOf('charge-voltage', 13.1)] }),
  findingOf('damper', '2L', { words: ['rod-wet'] }),
  findingOf('leak.engine', '', { leaks: [leakOf({ stage: 'drip', reaches: 'exhaust' })] }),
  findingOf('exhaust', '', { access: 'not-reached', accessReason: 'unsafe' }),
  findingOf('walk.lamps', '', { counts: [{ item: 'brake', found: 1, good: 1, of: 2, out: ['rear-left'] }] }),
  findingOf('cabin.codes', '', { codes: [{ code: 'P0420', text: '', state: 'stored' }] }),
];
const visitOf = (findings: readonly Finding[]): Visit => ({
  inspection: inspectionOf(CAR, { complaint: 'Quietscht' }),
  findings: findings.map((one) => ({ ...one, by: 'Isla' })),
  acts: [],
  inspector: 'Isla',
  signedBy: null,
  sheet: null,
  amendments: [],
  voidedBy: null,
  seal: { hash: 'ab'.repeat(32), key: 'abcdef', value: 'x' },
});
const paperOf = (
  wording: 'workshop' | 'keeper',
  findings: readonly Finding[] = FOUND,
  isNewest = true,
  fromHere = true,
): Paper => {
  const visit = visitOf(findings);
  const report = composeReport(CAR, visit, [], rulesWith());
  const pads = {
    kind: 'work',
    id: 'w',
    vehicleId: 'v',
    at: visit.inspection.startedAt,
    meter: null,
    task: { code: 'pads', point: null, name: '', place: '1' },
    reasons: [
      {
        kind: 'finding',
        inspectionId: fromHere ? visit.inspection.id : 'another',
        point: 'pad.inner',
        place: '1L',
        grade: 'fail',
        at: visit.inspection.startedAt,
      },
    ],
    urgency: 'not-driven',
    from: null,
    to: null,
    minutes: null,
    parts: [],
    note: '',
  } as const;
  const dues = [
    { job: { code: 'brake-fluid', name: '' }, doneAt: '2025-01-01', meter: null, by: '2027-01-01', capped: false },
  ] as const;
  return reportPaper({ report, visit, earlier: [], isNewest, works: worksOf([pads]), dues, wording, prices: null });
};

/** Every text of a paper that a person reads; sources are the limit sheet's own words. */
function textsOf({ title, blocks }: Paper): string[] {
  const texts: string[] = [title];
  const take = (value: unknown, key = ''): void => {
    if (typeof value === 'string') {
      if (
        !['kind', 'key', 'grade', 'deck', 'd', 'fill', 'stroke', 'anchor', 'weight', 'id', 'source', 'code'].includes(
          key,
        )
      )
        texts.push(value);
    } else if (Array.isArray(value)) for (const one of value) take(one, key);
    else if (value && typeof value === 'object')
      for (const [name, one] of Object.entries(value))
        if (name !== 'graded' && name !== 'unnamed' && name !== 'shapes') take(one, name);
  };
  take(blocks);
  return texts;
}

/** Words no German sentence has, and every English sentence of ours has some of. */
const ENGLISH =
  /\b(the|of|is|under|over|not|seen|look|pads?|brakes?|tyre|front|rear|near|worn|wheel|fluid|engine|by|with|between|from|and|to)\b/i;

describe('German', () => {
  test('says all of a report, to the workshop and to a keeper; nothing English is left', () => {
    for (const wording of ['workshop', 'keeper'] as const) {
      const texts = textsOf(german(() => paperOf(wording)));
      expect(texts.length).toBeGreaterThan(60);
      expect(texts.filter((text) => ENGLISH.test(text))).toEqual([]);
      expect(textsOf(paperOf(wording)).filter((text) => ENGLISH.test(text)).length).toBeGreaterThan(20);
    }
  });

  test('has every point, word, fluid and place its own way, none of them twice', () => {
    const english: Readonly<Record<string, string>> = en.point;
    for (const { code } of CATALOGUE) if (code in english) expect(de.point[code as keyof typeof de.point]).toBeTruthy();
    for (const one of WORDS) expect(de.word[one]).toBeTruthy();
    for (const one of FLUIDS) expect(de.fluid[one]).toBeTruthy();
    for (const one of LEAK_PLACES) expect(de.leakPlace[one]).toBeTruthy();
    const leaks = Object.values(de.leakPlace);
    expect(new Set(leaks).size).toBe(leaks.length);
  });

  test('writes figures, days and places as it does', () => {
    german(() => {
      expect(amount('lining', 2.5)).toBe('2,5 mm');
      expect(figure('pressure', 230)).toBe('230');
      expect(meterWords(84_310, 'km')).toBe('84\u202f310 km');
      expect(meterWords(1234.5, 'h')).toBe('1\u202f234,5 h');
      expect(day('2026-12-02T10:00:00.000Z')).toBe('2. Dez. 2026');
      expect(placeWords('1', 2)).toBe('Vorderachse');
      expect(placeWords('2Lo', 2)).toMatch(/^hinten .+, außen$/);
      expect(placeWords('2L', 3)).toMatch(/^Achse 2 /);
      expect(pointWords('pad.inner', '1L', 2)).toMatch(/^Innerer Belag, vorn /);
      return 'done';
    });
  });

  test('says why in sentences that begin large and end', () => {
    const graded = gradedPoints(contextOf(CAR, FOUND));
    const sentences = german(() => graded.map(({ result }) => gradeSentence(result)));
    for (const one of sentences) expect(one).toMatch(/^[A-ZÄÖÜ0-9].*\.$/);
    expect(sentences).toContain('1,0 mm liegt unter 1,5 (Recht). 4,0 mm zwischen innerem und äußerem Belag.');
  });

  test('tells forecasts as ranges', () => {
    const forecast = {
      status: 'running-out',
      at: '2026-11-01T08:00:00.000Z',
      days: { low: 60, mid: 120, high: 200 },
      distance: { low: 2800, mid: 3400, high: 4100 },
      from: 'readings',
      odd: 0,
      held: 0.6,
      lookAgain: 40,
    } as unknown as Forecast;
    expect(german(() => forecastSentence(forecast, 'lining', 1.5, 'km'))).toBe(
      'Erreicht 1,5 mm zwischen Ende Dezember 2026 und Mitte Mai 2027, am ehesten im März 2027; in 2\u202f800 km bis 4\u202f100 km, am ehesten 3\u202f400 km (8 von 10). Solche Spannen haben hier 6 von 10 Malen gehalten, nicht 8.',
    );
  });
});

test('another language is told in once only, also where telling fails', () => {
  expect(() =>
    inTongue(de, () => {
      throw new Error('no');
    }),
  ).toThrow('no');
  expect(told).toBe(en);
});

describe('to a keeper', () => {
  test('what is wrong is said with what it is for; the trade’s own pages are left out', () => {
    const kinds = (wording: 'workshop' | 'keeper') => paperOf(wording).blocks.map(({ kind }) => kind);
    expect(kinds('keeper')).toContain('table');
    expect(kinds('workshop')).not.toContain('table');
    const worst = paperOf('keeper').blocks.find((one) => one.kind === 'rows' && one.title === 'Worst first');
    expect(JSON.stringify(worst)).toContain('Brakes have to stop it');
    expect(JSON.stringify(paperOf('workshop'))).not.toContain('Brakes have to stop it');
  });

  test('works are told with the visit they grew from, and all of them with the newest', () => {
    const told = (isNewest: boolean, fromHere: boolean) =>
      paperOf('keeper', FOUND, isNewest, fromHere).blocks.some(
        (one) => one.kind === 'rows' && one.title === 'What is to be done',
      );
    expect([told(true, true), told(true, false), told(false, true), told(false, false)]).toEqual([
      true,
      true,
      true,
      false,
    ]);
  });

  test('a visit at which nothing was seen says so, and no empty heading stands there', () => {
    const paper = paperOf('keeper', [findingOf('leak.engine', '', { leaks: [DRY] })]);
    for (const block of paper.blocks) {
      if (block.kind === 'rows' || block.kind === 'table') expect(block.rows.length).toBeGreaterThan(0);
      if (block.kind === 'lines') expect(block.lines.length).toBeGreaterThan(0);
    }
  });
});
