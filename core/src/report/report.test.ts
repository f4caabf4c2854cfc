import { CAR, findingOf, inspectionOf, readingOf, rulesWith } from '../tests/builders';
import { composeReport } from './composeReport';

const visit = (n: number, meter: number, inner: number, outer: number) => {
  const id = `00000000-0000-4000-8000-0000000000c${n}`;
  const inspection = inspectionOf(CAR, { id, meter, startedAt: `2026-0${n}-01T08:00:00.000Z` });
  const pad = (point: 'pad.inner' | 'pad.outer', mm: number) =>
    findingOf(point, '1L', { readings: [readingOf('lining', mm)] }, id);
  return { inspection, findings: [pad('pad.inner', inner), pad('pad.outer', outer)], acts: [] };
};

describe('a report', () => {
  const report = composeReport(
    CAR,
    visit(3, 20_000, 4, 7),
    [visit(1, 10_000, 8, 9), visit(2, 15_000, 6, 8)],
    rulesWith(),
  );

  test('tells what runs out soonest first, from this visit and those before it', () => {
    expect(report.runOut.map(({ series }) => series.key)).toEqual(['pad.inner@1L:whole', 'pad.outer@1L:whole']);
    expect(report.runOut[0]?.forecast.status).toBe('running-out');
  });

  test('names every point that was not seen, and grades only this visit', () => {
    expect(report.notSeen).toHaveLength(report.verdict.counts['not-seen']);
    expect(report.notSeen.map(({ key }) => key)).not.toContain('pad.inner@1L');
    expect(report.verdict.counts).toMatchObject({ advisory: 2, fail: 0 });
  });
});
