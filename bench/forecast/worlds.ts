import { NAIVE_METHODS } from '@weskopos/core/score/naive';
import { meanPinball, quantileOf } from '@weskopos/core/score/loss';
import { NAMED_WORLDS, drawHabits, type Habits } from '@weskopos/core/simulator/habits/habits';
import { seededRandom } from '@weskopos/core/simulator/random';
import { TOLD_FROM } from '@weskopos/core/wear/rateChange';
import type { ChangeStudy, CurvePoint } from './alarmCurve';
import { studyChanges } from './changes';
import { studyPunctures } from './punctures';
import { runWorld, type RunForecast } from './worldRun';

/** Seeds that were not looked at while the forecaster was built. */
export const UNSEEN: readonly number[] = [61_101, 61_202, 61_303, 61_404, 61_505];
/** And of the worlds drawn from all switches. */
export const DRAWN: readonly number[] = [62_111, 62_222, 62_333];
const YEAR = 365.25;
/** Twelve years are simulated, so that what is forecast in the first seven has a truth. */
export const PLAN = { vehicles: 40, years: 12 };
export const TOLD_YEARS = 7 * YEAR;
const FIRST_HALF_YEAR = YEAR / 2;

/** What is asked of every world; the worst counts. */
interface Figures {
  readonly forecasts: number;
  readonly held: number;
  readonly heldDays: number;
  readonly heldFirst: number;
  /** Median of the middle against what came, share of what was left. */
  readonly bias: number;
  /** Median error at half life, thousands of km: ours, the noise-free line's, the best plain method's. */
  readonly half: number;
  readonly noiseFree: number;
  readonly plain: number;
  /** How far our pinball lies under the best plain single figure, and under the best with a learned spread. */
  readonly underSingle: number;
  readonly underSpread: number;
}

const mean = (values: readonly number[]) => values.reduce((sum, value) => sum + value, 0) / values.length;
const percent = (share: number) => `${(share * 100).toFixed(1)} %`;

/** Named worlds, and others drawn from all switches. */
export const worldsOf = (drawn: readonly number[], only: readonly string[]): (readonly [string, Habits])[] => [
  ...Object.entries(NAMED_WORLDS).filter(([name]) => only.length === 0 || only.includes(name)),
  ...drawn.map((seed) => [`drawn ${seed}`, drawHabits(seededRandom(seed))] as const),
];

/** How forecasts hold in every world; the worst is told last. */
export function benchWorlds(
  seeds: readonly number[] = UNSEEN,
  drawn: readonly number[] = DRAWN,
  only: readonly string[] = [],
): void {
  const worlds = worldsOf(drawn, only);
  const all = worlds.flatMap(([name, habits]) => {
    const told = seeds.flatMap((seed) => runWorld({ ...PLAN, seed, habits }, TOLD_YEARS));
    return (['tread', 'pad'] as const).map((kind) => {
      const figures = figuresOf(told.filter((one) => one.kind === kind));
      console.log(line(`${name}, ${kind}`, figures));
      return figures;
    });
  });
  const worst = (of: (one: Figures) => number) => Math.max(...all.map(of));
  const least = (of: (one: Figures) => number) => Math.min(...all.map(of));
  console.log(
    `worst of ${worlds.length} worlds: held ${percent(least(({ held }) => held))} to ${percent(worst(({ held }) => held))} of distances, ` +
      `${percent(least(({ heldDays }) => heldDays))} to ${percent(worst(({ heldDays }) => heldDays))} of dates, first half-year from ${percent(least(({ heldFirst }) => heldFirst))}; ` +
      `bias up to ${percent(worst(({ bias }) => Math.abs(bias)))}; half life up to ${worst(({ half, noiseFree }) => half / noiseFree).toFixed(2)} × noise-free, ` +
      `${worst(({ half, plain }) => half / plain).toFixed(2)} × the best plain; pinball from ${percent(least(({ underSingle }) => underSingle))} under single figures, ${percent(least(({ underSpread }) => underSpread))} under learned spreads`,
  );
  console.log(
    `pooled: half life ${(all.reduce((sum, one) => sum + one.half, 0) / all.reduce((sum, one) => sum + one.noiseFree, 0)).toFixed(2)} × noise-free`,
  );
}

/** How much of what changed is found within two visits in every world, against what is raised for nothing; and punctures. */
export function benchChanges(
  seeds: readonly number[] = UNSEEN,
  drawn: readonly number[] = DRAWN,
  only: readonly string[] = [],
): void {
  for (const [name, habits] of worldsOf(drawn, only))
    printCurves(name, studyChanges(seeds.map((seed) => ({ vehicles: 40, years: 9, seed, habits }))));
  printCurves('punctures', studyPunctures(seeds));
}

function printCurves(name: string, { events, vehicleYears, ours, naive }: ChangeStudy): void {
  const points = (curve: readonly CurvePoint[]) =>
    curve
      .map(
        ({ threshold, found, falsePerYear }) =>
          `${threshold === TOLD_FROM ? '*' : ''}${threshold}: ${events === 0 ? 'none to find' : percent(found)}, ${falsePerYear.toFixed(3)}`,
      )
      .join(' | ');
  console.log(
    `${name}: ${events} changes of 1.5 times and more in ${vehicleYears} vehicle-years; found, false a vehicle-year`,
  );
  console.log(`  odds (* working point) ${points(ours)}\n  last stretch over the one before ${points(naive)}`);
}

const within = ([low = NaN, , high = NaN]: readonly number[], truth: number) => Number(truth >= low && truth <= high);

/** Median of how far the middle is off, share of what was left; of what had a thousand km left and more. */
export function biasOf(told: readonly RunForecast[]): number {
  const left = told.filter(({ truth }) => truth > 1);
  return quantileOf(
    left.map((one) => ((one.ours[1] ?? NaN) - one.truth) / one.truth),
    0.5,
  );
}

function figuresOf(told: readonly RunForecast[]): Figures {
  const half = told.filter(({ halfLife, noiseFree }) => halfLife && noiseFree !== null);
  const error = (of: (one: RunForecast) => number) =>
    quantileOf(
      half.map((one) => Math.abs(of(one) - one.truth)),
      0.5,
    );
  const loss = mean(told.map((one) => meanPinball(one.ours, one.truth)));
  const best = (of: (one: RunForecast, method: (typeof NAIVE_METHODS)[number]) => readonly number[]) =>
    Math.min(...NAIVE_METHODS.map((method) => mean(told.map((one) => meanPinball(of(one, method), one.truth)))));
  const first = told.filter(({ day }) => day <= FIRST_HALF_YEAR);
  return {
    forecasts: told.length,
    held: mean(told.map((one) => within(one.ours, one.truth))),
    heldDays: mean(told.map((one) => within(one.oursDays, one.truthDays))),
    heldFirst: mean(first.map((one) => within(one.ours, one.truth))),
    bias: biasOf(told),
    half: error(({ ours }) => ours[1] ?? NaN),
    noiseFree: error(({ noiseFree }) => noiseFree ?? NaN),
    plain: Math.min(...NAIVE_METHODS.map((method) => error((one) => one.naive[method]))),
    underSingle: 1 - loss / best((one, method) => [one.naive[method], one.naive[method], one.naive[method]]),
    underSpread: 1 - loss / best((one, method) => one.naiveSpread[method]),
  };
}

function line(name: string, one: Figures): string {
  const { forecasts, held, heldDays, heldFirst, bias, half, noiseFree, plain, underSingle, underSpread } = one;
  return (
    `${name}: ${forecasts} forecasts; held ${percent(held)} of distances, ${percent(heldDays)} of dates, ${percent(heldFirst)} in the first half-year; bias ${percent(bias)}; ` +
    `half life ${half.toFixed(2)} thousand km, ${(half / noiseFree).toFixed(2)} × noise-free, ${(half / plain).toFixed(2)} × the best plain; pinball ${percent(underSingle)} under single figures, ${percent(underSpread)} under learned spreads`
  );
}
