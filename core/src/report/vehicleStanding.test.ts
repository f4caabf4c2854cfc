import fc from 'fast-check';
import { pointKey, type PointCode } from '../catalogue/catalogue';
import { worstGrade, type Grade } from '../grading/grade';
import type { GradedPoint } from '../grading/verdict';
import type { JobDone } from '../jobs/jobsOf';
import type { LifeEntry, LifeEntryContent } from '../parts/lifeEntry';
import { CAR, findingOf } from '../tests/builders';
import type { Hub, Place } from '../vehicle/vehicle';
import { wholeGrade } from './signedSheet';
import { leftOpenBy, vehicleStanding, type JudgedVisit } from './vehicleStanding';

const day = (n: number) => new Date(Date.UTC(2026, 0, 1 + n, 9)).toISOString();
const look = (point: PointCode, place: Place, grade: Grade, at: string, carried = false): GradedPoint => ({
  point,
  place,
  key: pointKey(point, place),
  station: 'wheel',
  stop: 'wheel',
  finding: { ...findingOf(point, place), at },
  result: wholeGrade({ grade, ...(carried ? { carried: { at: '2026-01-01', from: 'visit' } } : {}) }),
});
const visit = (n: number, ...points: GradedPoint[]): JudgedVisit => ({
  inspection: { id: `v${n}`, startedAt: day(n), meter: 10_000 + n },
  verdict: { points },
});
const entry = (n: number, content: LifeEntryContent): LifeEntry => ({
  id: `e${n}`,
  vehicleId: CAR.id,
  at: day(n),
  meter: null,
  ...content,
});
const job = (n: number, code: JobDone['job']['code'], place: Place = ''): JobDone => ({
  job: { code, name: '' },
  at: day(n),
  meter: null,
  place,
  litres: null,
  toldBy: { kind: 'entry', id: `j${n}` },
});
const fit = (n: number, what: 'tyre' | 'pads', place: Place) =>
  entry(n, { kind: 'fit', what, place, fresh: null, note: '' });
const standing = (visits: JudgedVisit[], jobs: JobDone[] = [], entries: LifeEntry[] = []) =>
  vehicleStanding(visits, jobs, entries);

describe('how a vehicle stands', () => {
  test('a short visit hides nothing a long one found', () => {
    const long = visit(1, look('tyre.tread', '1L', 'advisory', day(1)), look('belt.aux', '', 'pass', day(1)));
    const short = visit(2, look('cold.oil', '', 'pass', day(2)), look('tyre.tread', '1L', 'not-seen', day(2)));
    const told = standing([long, short]);
    expect(told.grade).toBe('advisory');
    expect(told.counts).toEqual({ fail: 0, advisory: 1, pass: 2 });
    expect(told.last).toEqual({ inspectionId: 'v2', at: day(2), seen: 1, of: 2 });
    expect(leftOpenBy(told, 'v2')).toEqual([
      { point: 'tyre.tread', place: '1L', grade: 'advisory', at: day(1), inspectionId: 'v1' },
    ]);
    expect(leftOpenBy(told, 'v1')).toEqual([]);
  });

  test.each<[string, GradedPoint]>([
    ['not seen', look('tyre.tread', '1L', 'not-seen', day(2))],
    ['recorded without a limit', look('tyre.tread', '1L', 'recorded', day(2))],
    ['only carried', look('tyre.tread', '1L', 'pass', day(2), true)],
    ['another wheel', look('tyre.tread', '1R', 'pass', day(2))],
    ['another point there', look('tyre.wall', '1L', 'pass', day(2))],
  ])('a look that tells nothing of it settles nothing: %s', (_, second) => {
    const told = standing([visit(1, look('tyre.tread', '1L', 'fail', day(1))), visit(2, second)]);
    expect(told.grade).toBe('fail');
  });

  test('a better look settles it; what is worse later counts', () => {
    const [bad, good] = [look('belt.aux', '', 'fail', day(1)), look('belt.aux', '', 'pass', day(2))];
    expect(standing([visit(1, bad), visit(2, good)])).toMatchObject({ grade: 'pass', counts: { fail: 0, pass: 1 } });
    expect(standing([visit(1, { ...good }), visit(2, { ...bad })]).grade).toBe('fail');
  });

  test('one oil level, read at the gate, with the bonnet up and after settling, is one quantity: the last look counts', () => {
    const gate = look('cold.oil', '', 'fail', day(1));
    const left = look('close.level', '', 'pass', day(1));
    expect(standing([visit(1, gate, left)])).toMatchObject({ grade: 'pass', counts: { fail: 0, pass: 1 } });
    expect(standing([visit(1, look('oil.level', '', 'advisory', day(1))), visit(2, gate)]).grade).toBe('fail');
    // A glance from above is a lesser look at the belt than a torch under the bonnet.
    const glance = look('cold.belts', '', 'pass', day(2));
    expect(standing([visit(1, look('belt.aux', '', 'advisory', day(1))), visit(2, glance)]).grade).toBe('advisory');
  });

  test('a job since settles what it puts right, one before does not', () => {
    const visits = [
      visit(2, look('brake.fluid.water', '', 'fail', day(2)), look('pad.inner', '1L', 'advisory', day(2))),
    ];
    expect(standing(visits, [job(3, 'brake-fluid')]).grade).toBe('advisory');
    expect(standing(visits, [job(1, 'brake-fluid')]).grade).toBe('fail');
    expect(standing(visits, [job(3, 'coolant')]).grade).toBe('fail');
    const axle = [visit(2, look('axle.oil.level', '2', 'fail', day(2)))];
    expect(standing(axle, [job(3, 'axle-oil', '1')]).grade).toBe('fail');
    expect(standing(axle, [job(3, 'axle-oil', '2')]).grade).toBe('not-seen');
  });

  test('a new part ends what was found on the old one; a moved one takes it along', () => {
    const visits = [visit(1, look('tyre.tread', '1L', 'advisory', day(1)))];
    expect(standing(visits, [], [fit(2, 'tyre', '1L')]).points).toEqual([]);
    expect(standing(visits, [], [fit(2, 'pads', '1L')]).grade).toBe('advisory');
    const moves = [
      { from: '1L', to: '2L' },
      { from: '2L', to: '1L' },
    ] as const;
    const told = standing(visits, [], [entry(2, { kind: 'rotate', moves })]);
    expect(told.points.map(({ graded }) => graded.key)).toEqual(['tyre.tread@2L']);
    const after = visit(3, look('tyre.tread', '1L', 'pass', day(3)));
    expect(standing([...visits, after], [], [entry(2, { kind: 'rotate', moves })]).grade).toBe('advisory');
  });

  test('nothing looked at is never a pass', () => {
    expect(standing([])).toMatchObject({ grade: 'not-seen', last: null, points: [] });
  });
});

/** What happens to four wheels, day by day, told forwards: the plain story the threads must agree with. */
test('over random lives it is what one gets by going through them day by day', () => {
  const hubs: readonly Hub[] = ['1L', '1R', '2L', '2R'];
  const hub = fc.constantFrom(...hubs);
  const grade = fc.constantFrom<Grade>('pass', 'advisory', 'fail', 'not-seen', 'recorded');
  const event = fc.oneof(
    fc.record({
      kind: fc.constant('visit' as const),
      looks: fc.uniqueArray(fc.record({ place: hub, grade, point: fc.constantFrom('tyre.tread', 'pad.inner') }), {
        maxLength: 5,
        selector: ({ place, point }) => `${point}${place}`,
      }),
      carried: fc.boolean(),
    }),
    fc.record({ kind: fc.constant('fit' as const), place: hub, what: fc.constantFrom('tyre', 'pads') }),
    fc.record({ kind: fc.constant('rotate' as const), to: fc.shuffledSubarray([...hubs], { minLength: 4 }) }),
  );
  fc.assert(
    fc.property(fc.array(event, { maxLength: 10 }), (events) => {
      const visits: JudgedVisit[] = [];
      const entries: LifeEntry[] = [];
      let now = new Map<string, Grade>();
      events.forEach((one, n) => {
        if (one.kind === 'fit') {
          entries.push(fit(n, one.what, one.place));
          now.delete(`${one.what === 'tyre' ? 'tyre.tread' : 'pad.inner'}@${one.place}`);
        } else if (one.kind === 'rotate') {
          const moves = hubs.map((from, at) => ({ from, to: one.to[at] ?? from }));
          entries.push(entry(n, { kind: 'rotate', moves }));
          now = new Map(
            [...now].map(([key, told]) => {
              const move = moves.find(({ from }) => key === `tyre.tread@${from}`);
              return [move ? `tyre.tread@${move.to}` : key, told];
            }),
          );
        } else {
          visits.push(
            visit(
              n,
              ...one.looks.map(({ point, place, grade: told }) => look(point, place, told, day(n), one.carried)),
            ),
          );
          if (one.carried) return;
          for (const { point, place, grade: told } of one.looks)
            if (['pass', 'advisory', 'fail'].includes(told)) now.set(`${point}@${place}`, told);
        }
      });
      const told = standing(visits, [], entries);
      expect(new Map(told.points.map(({ graded }) => [graded.key, graded.result.grade]))).toEqual(now);
      expect(told.grade).toBe(worstGrade([...now.values()]));
    }),
    { numRuns: 2000 },
  );
});
