import { gaugeReads } from './gauge';
import { normalDraw, seededRandom } from './random';
import { wornTo } from './wear';
import { PART_KINDS, fleetWorld } from './fleetWorld';

test('a gauge reads in its steps, never below nothing, and is wrong as often as it is told to be', () => {
  const random = seededRandom(2);
  const reads = Array.from({ length: 4000 }, () => gaugeReads(5, { step: 0.5, sigma: 0.2, misread: 0.1 }, random));
  expect(reads.every((value) => (value * 2) % 1 === 0 && value >= 0)).toBe(true);
  const wrong = reads.filter((value) => Math.abs(value - 5) >= 1).length / reads.length;
  expect(wrong).toBeGreaterThan(0.07);
  expect(wrong).toBeLessThan(0.13);
  expect(gaugeReads(0, { step: 0.1, sigma: 0.5, misread: 0 }, () => 0.999)).toBeGreaterThanOrEqual(0);
});

test('draws are normal and come again from the same seed', () => {
  const draws = (seed: number) => {
    const random = seededRandom(seed);
    return Array.from({ length: 5000 }, () => normalDraw(random));
  };
  const one = draws(9);
  expect(draws(9)).toEqual(one);
  const mean = one.reduce((sum, value) => sum + value, 0) / one.length;
  const spread = Math.sqrt(one.reduce((sum, value) => sum + (value - mean) ** 2, 0) / one.length);
  expect(Math.abs(mean)).toBeLessThan(0.05);
  expect(Math.abs(spread - 1)).toBeLessThan(0.05);
});

test('wear turns where it is told to, and ends at nothing', () => {
  const truth = { fresh: 10, fittedKm: 0, per1000: 0.5, change: { fromKm: 4000, factor: 3 } };
  expect([0, 4000, 6000, 90_000].map((km) => wornTo(truth, km))).toEqual([10, 8, 5, 0]);
});

describe('a world of changes', () => {
  const world = fleetWorld({ seed: 21, vehicles: 40, years: 6, changing: true });

  test('gauges err as they are made to, most within their spread, a few far off', () => {
    for (const { kind, gauge } of PART_KINDS) {
      const off = world
        .flatMap(({ parts }) => parts.filter((part) => part.kind === kind))
        .flatMap(({ readings }) =>
          readings.filter(({ truth }) => truth > 1).map(({ value, truth }) => Math.abs(value - truth)),
        );
      const far =
        off.filter((one) => one > 4 * Math.hypot(gauge.sigma, gauge.bias, gauge.step / 2)).length / off.length;
      expect(far).toBeGreaterThan(0.002);
      expect(far).toBeLessThan(0.03);
    }
  });

  test('a brake that drags wears its own pad faster than its fellow', () => {
    const pairs = world.flatMap(({ parts, events }) =>
      events
        .filter(({ kind }) => kind === 'drag')
        .flatMap(({ place, day }) => {
          const loss = (at: string) => {
            const part = parts.find(
              (one) =>
                one.kind === 'pad' && one.place === at && one.fittedDay < day && (one.readings.at(-1)?.day ?? 0) > day,
            );
            const after = part?.readings.filter((reading) => reading.day > day) ?? [];
            const before = part?.readings.findLast((reading) => reading.day <= day);
            const last = after.at(-1);
            return before && last ? (before.truth - last.truth) / (last.km - before.km) : null;
          };
          const [dragging, fellow] = [loss(place), loss(place.replace(/[LR]/, (side) => (side === 'L' ? 'R' : 'L')))];
          return dragging !== null && fellow !== null ? [dragging / fellow] : [];
        }),
    );
    expect(pairs.length).toBeGreaterThan(3);
    expect(pairs.filter((ratio) => ratio > 1.15).length / pairs.length).toBeGreaterThan(0.7);
  });

  test('a puncture loses more than its fellows until it is mended', () => {
    const punctured = world.flatMap(({ pressures, events }) =>
      events
        .filter(({ kind }) => kind === 'puncture')
        .flatMap(({ place, day }) => pressures.filter((one) => one.place === place && one.day > day + 60).slice(0, 1)),
    );
    const sound = world
      .filter(({ events }) => !events.some(({ kind }) => kind === 'puncture'))
      .flatMap(({ pressures }) => pressures);
    const mean = (list: readonly { readonly found: number }[]) =>
      list.reduce((sum, { found }) => sum + found, 0) / list.length;
    expect(mean(punctured)).toBeLessThan(mean(sound) - 15);
    expect(world.flatMap(({ pressures }) => pressures).some(({ mended }) => mended)).toBe(true);
  });
});
