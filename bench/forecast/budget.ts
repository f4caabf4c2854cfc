import type { HabitLook } from '@weskopos/core/simulator/habits/habitWorld';
import { runWorld, type Oracle, type RunForecast } from './worldRun';
import { PLAN, UNSEEN, DRAWN, TOLD_YEARS, biasOf, worldsOf } from './worlds';

/** A reading that is the truth repeats to this, mm. */
const CLEAN = 0.02;

/** The same look by a gauge that is not off. */
const unbiased = (look: HabitLook): HabitLook => ({
  ...look,
  readings: look.readings.map((one) => (one.bound === 'exact' ? { ...one, value: one.value - look.off } : one)),
});

/** The same look by a gauge that reads the truth, at every place. */
const clean = (look: HabitLook): HabitLook => ({
  ...look,
  repeats: CLEAN,
  readings: look.readings.map((one) => ({ ...one, value: one.truth, bound: 'exact' })),
});

/** Root of the mean square of how far the middle is off at half life, in whole lives. */
function errorOf(all: readonly RunForecast[], middle: (one: RunForecast) => number): number {
  const squares = all.flatMap((one) =>
    one.halfLife && one.life !== null ? [((middle(one) - one.truth) / one.life) ** 2] : [],
  );
  return Math.sqrt(squares.reduce((sum, one) => sum + one, 0) / squares.length);
}

/**
 * Where the error at half life comes from: told one thing more each time that nobody knows (what gauges are always off by,
 * what they read wrong, how wear goes with depth, the part's rate of now); what is left after that is what changes later.
 */
export function benchBudget(seeds: readonly number[] = UNSEEN, drawn = DRAWN, only: readonly string[] = []): void {
  for (const [name, habits] of worldsOf(drawn, only)) {
    const run = (oracle: Oracle) => seeds.flatMap((seed) => runWorld({ ...PLAN, seed, habits }, TOLD_YEARS, oracle));
    const shape = { power: habits.depthPower };
    const runs = [run({}), run({ looks: unbiased }), run({ looks: clean }), run({ looks: clean, ...shape })];
    for (const kind of ['tread', 'pad'] as const) {
      const of = (told: readonly RunForecast[] = []) => told.filter((one) => one.kind === kind);
      const errors = [
        ...runs.map((told) => errorOf(of(told), ({ ours }) => ours[1] ?? NaN)),
        errorOf(of(runs[0]), ({ present }) => present),
      ];
      const shares = errors.map((error, at) => (error ** 2 - (errors[at + 1] ?? 0) ** 2) / (errors[0] ?? NaN) ** 2);
      const percent = (share = NaN) => `${(100 * share).toFixed(1)} %`;
      const biases = runs.map((told) => biasOf(of(told)));
      console.log(
        `${name}, ${kind}: off by ${errors.map(percent).join(', ')} of a life as shown, without what gauges are always off by, read clean, shape known, rate known; ` +
          `share of the square ${shares.map(percent).join(', ')}; middle off by ${biases.map(percent).join(', ')} of what was left`,
      );
    }
  }
}
