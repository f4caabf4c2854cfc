import fc from 'fast-check';
import { CAR, contextOf, findingOf, readingOf, treadOf } from '../tests/builders';
import type { Vehicle } from '../vehicle/vehicle';
import { createGrader, gradedPoints } from './verdict';

test('grading on from what was graded before gives what grading anew gives, whatever changes', () => {
  const codes = ['pad.outer', 'pad.inner', 'tyre.pressure', 'tyre.tread'] as const;
  const change = fc.record({
    point: fc.constantFrom(...codes, 'battery.rest', 'battery.crank'),
    place: fc.constantFrom('1L', '1R', '2L', '2R'),
    value: fc.integer({ min: 1, max: 12 }),
  });
  const four: Vehicle = {
    ...CAR,
    makeUp: { ...CAR.makeUp, drive: 'four-permanent' },
    spec: { ...CAR.spec, battery: { type: 'flooded', ratedA: 600, standard: 'EN' } },
  };
  fc.assert(
    fc.property(fc.array(change, { minLength: 1, maxLength: 12 }), (changes) => {
      const base = contextOf(four, []);
      const grade = createGrader();
      grade(base);
      let last = base;
      for (const { point, place, value } of changes) {
        const at = point.startsWith('battery') ? '' : place;
        const readings =
          point === 'tyre.tread'
            ? treadOf(value, value, value)
            : [
                point === 'tyre.pressure'
                  ? readingOf('pressure', value * 30)
                  : point === 'battery.rest'
                    ? readingOf('rest-voltage', 11.5 + value / 10)
                    : point === 'battery.crank'
                      ? readingOf('crank', value * 60)
                      : readingOf('lining', value),
              ];
        const finding = findingOf(point, at, { readings, standard: point === 'battery.crank' ? 'EN' : null });
        const key = at === '' ? point : `${point}@${at}`;
        last = { ...last, standing: new Map(last.standing).set(key, finding) };
        grade(last);
      }
      expect(grade(last)).toEqual(gradedPoints(last));
    }),
    { numRuns: 30 },
  );
});

test('the same context is not graded twice', () => {
  const grade = createGrader();
  const context = contextOf(CAR, []);
  expect(grade(context)).toBe(grade(context));
});
