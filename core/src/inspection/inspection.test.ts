import fc from 'fast-check';
import { atmosphereKpa, pressureAtReference, pressureFromReference } from '../grading/pressureAtReference';
import { gaugeReads } from '../simulator/gauge';
import { wornTo } from '../simulator/wear';
import { seededRandom } from '../simulator/random';
import { findingOf, readingOf } from '../tests/builders';
import { currentFindings } from './currentFindings';
import { lapsedGrade } from './lapsedGrade';
import { contentOf, nextFinding, type Finding, type FindingChange } from './finding';

describe('findings are added, never overwritten', () => {
  const first = findingOf('belt.aux', '', { words: ['noisy'] });
  const after = (parent: Finding, note: string, id: string): Finding =>
    nextFinding(parent, parent, { id, at: `2026-06-01T09:00:0${id}.000Z` }, { note });

  test('the entry nobody builds on stands, whatever order and however often they arrive', () => {
    const chain = [first, after(first, 'second', '1')];
    chain.push(after(chain[1]!, 'third', '2'));
    fc.assert(
      fc.property(fc.shuffledSubarray([...chain, ...chain], { minLength: 6 }), (shuffled) => {
        const { standing, forks } = currentFindings(shuffled);
        expect(standing.get('belt.aux')?.note).toBe('third');
        expect(forks.size).toBe(0);
      }),
    );
  });

  test('two entries on one parent are a visible fork with both kept', () => {
    const forked = currentFindings([first, after(first, 'hers', '1'), after(first, 'his', '2')]);
    expect(forked.standing.get('belt.aux')?.note).toBe('his');
    expect(forked.forks.get('belt.aux')?.map(({ note }) => note)).toEqual(['his', 'hers']);
  });

  test('a next entry keeps what it does not change', () => {
    expect(after(first, 'x', '1')).toMatchObject({ parent: first.id, words: ['noisy'], note: 'x' });
  });
});

describe('tyre pressure and temperature', () => {
  test('220 kPa at 0 °C is 243.5 kPa at 20 °C', () => {
    expect(pressureAtReference(220, 0, 0)).toBeCloseTo(243.5, 1);
    // Thinner air at 1,500 m: the same tyre gains less by being warmed.
    expect(atmosphereKpa(1500)).toBeCloseTo(84.56, 1);
    expect(pressureAtReference(220, 0, 1500)).toBeCloseTo(242.3, 1);
  });
  test('there and back', () => {
    fc.assert(
      fc.property(fc.integer({ min: 50, max: 900 }), fc.integer({ min: -40, max: 60 }), (kpa, celsius) =>
        expect(pressureAtReference(pressureFromReference(kpa, celsius, 0), celsius, 0)).toBeCloseTo(kpa, 8),
      ),
    );
  });
});

describe('simulated wear', () => {
  const truth = { fresh: 10, fittedKm: 0, per1000: 0.5, change: { fromKm: 4000, factor: 2 } };
  test.each([
    [-500, 10],
    [4000, 8],
    [6000, 6],
    [99_000, 0],
  ])('at %d km it is %d mm', (km, mm) => expect(wornTo(truth, km)).toBeCloseTo(mm, 10));

  test('a gauge reads in its steps, and the same seed reads the same', () => {
    const reads = () => {
      const random = seededRandom(3);
      return Array.from({ length: 20 }, () => gaugeReads(5, { step: 0.5, sigma: 0.3, misread: 0 }, random));
    };
    expect(reads()).toEqual(reads());
    expect(new Set(reads()).size).toBeGreaterThan(1);
    for (const value of reads()) expect((value * 2) % 1).toBe(0);
  });
});

describe('a grade by hand', () => {
  const override = { grade: 'pass', reason: 'seen by a lead' } as const;
  const graded = findingOf('tyre.tread', '1L', { readings: [readingOf('tread', 1, 'outer')], override });
  const next = (change: FindingChange) =>
    nextFinding(graded, graded, { id: 'n', at: '2026-06-01T09:00:00.000Z' }, change);

  test.each<[string, FindingChange]>([
    ['a new reading', { readings: [readingOf('tread', 5, 'outer')] }],
    ['not reached', { access: 'not-reached' }],
    ['a word', { words: ['bulge'] }],
    ['cleared', { ...contentOf(undefined) }],
  ])('lapses with %s; the entry it was given on keeps it', (_, change) => {
    expect(next(change).override).toBeNull();
    expect(graded.override).toEqual(override);
  });

  test.each<[string, FindingChange]>([
    ['a note', { note: 'inner edge' }],
    ['a photo', { photos: [] }],
    ['what is brought back whole', contentOf(graded)],
    ['another grade', { override: { grade: 'advisory', reason: 'again' } }],
  ])('stays with %s', (_, change) => {
    expect(next(change).override).not.toBeNull();
  });

  test('is asked for again after a new look, and after the looks that follow it; not once it was taken back', () => {
    const reread = { ...next({ readings: [readingOf('tread', 2, 'outer')] }), id: 'r' };
    const noted = nextFinding(reread, reread, { id: 'o', at: '2026-06-01T09:05:00.000Z' }, { note: 'again' });
    const back = nextFinding(graded, graded, { id: 'b', at: '2026-06-01T09:00:00.000Z' }, { override: null });
    const all = [graded, reread, noted, back];
    expect([graded, reread, noted, back].map((one) => lapsedGrade(one, all))).toEqual([null, override, override, null]);
    expect(lapsedGrade(undefined, all)).toBeNull();
  });
});
