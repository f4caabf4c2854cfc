import { habitWorld } from '../simulator/habits/habitWorld';
import { NAMED_WORLDS } from '../simulator/habits/habits';
import { SPOTS, firstCrossingOf, historyOf, worstOf } from '../tests/habitHistory';
import { learnRates } from '../wear/learnRates';
import { learnWidths } from '../wear/learnWidths';
import { crossingAt } from '../wear/crossing';
import { JUDGED, quantileOf } from './loss';

const YEAR = 365.25;
const FROM = 4 * YEAR;

/** Every forecast of one year in a world of habits, with what came, or would have had the part stayed on. */
function forecasts(name: string) {
  const habits = NAMED_WORLDS[name];
  if (!habits) throw new Error(name);
  const world = habitWorld({ seed: 27_182, vehicles: 12, years: 9, habits });
  const known = world.flatMap((vehicle) =>
    vehicle.parts.flatMap((part) => SPOTS[part.kind].flatMap((spot) => historyOf(vehicle, part, spot, FROM) ?? [])),
  );
  const rates = learnRates(known);
  const told = world.flatMap((vehicle) =>
    vehicle.parts.flatMap((part) =>
      part.looks.flatMap(({ day, km }) => {
        const { crossedKm, crossedDay } = part;
        if (day < FROM || day > FROM + YEAR || crossedKm === null || crossedDay === null || crossedDay <= day)
          return [];
        const worst = worstOf(vehicle, part, day);
        if (!worst) return [];
        const curve = firstCrossingOf(vehicle, part, worst, day, rates);
        return [{ truth: (crossedKm - km) / 1000, at: JUDGED.map((chance) => crossingAt(curve, chance)) }];
      }),
    ),
  );
  return { told, widths: learnWidths(known, rates) };
}

test.each(['renewed all round', 'slows as it gets thin', 'any gauge'])(
  'in the world %s, ranges hold and the middle lies in the middle',
  (name) => {
    const { told, widths } = forecasts(name);
    expect(told.length).toBeGreaterThan(120);
    const held = told.filter(({ at: [low = NaN, , high = NaN], truth }) => truth >= low && truth <= high).length;
    expect(held / told.length).toBeGreaterThan(0.7);
    expect(held / told.length).toBeLessThan(0.95);
    const off = told.filter(({ truth }) => truth > 1).map(({ at: [, mid = NaN], truth }) => (mid - truth) / truth);
    expect(Math.abs(quantileOf(off, 0.5))).toBeLessThan(0.15);
    // What was renewed early must not be taken for luck: nothing pushes ranges far out.
    for (const { width } of Object.values(widths)) expect(width).toBeLessThan(1.35);
  },
);
