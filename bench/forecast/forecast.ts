import { NAIVE_METHODS } from '@weskopos/core/score/naive';
import { meanPinball, quantileOf } from '@weskopos/core/score/loss';
import { benchAgeing } from './ageing';
import { backtest, type Judged } from './backtest';
import { studyChanges, type CurvePoint } from './changes';
import { TOLD_FROM } from '@weskopos/core/wear/rateChange';

/** Seeds that were not looked at while the forecaster was built. */
const UNSEEN = [70_101, 70_202, 70_303, 70_404, 70_505];
const YEAR = 365.25;
/** Twelve years are simulated, so that what is forecast between the third and the seventh has a truth. */
const PLAN = { vehicles: 60, years: 12 };

const mean = (values: readonly number[]) => values.reduce((sum, value) => sum + value, 0) / values.length;
const percent = (share: number) => `${(share * 100).toFixed(1)} %`;

/** How well forecasts hold, beside plain methods from the same readings. */
export function benchForecast(seeds: readonly number[] = UNSEEN): void {
  for (const changing of [true, false]) {
    const judged = seeds.flatMap((seed) => backtest({ ...PLAN, seed, changing }, 3 * YEAR, 7 * YEAR));
    console.log(`forecast, ${changing ? 'a world with changes' : 'a steady world'}, ${seeds.length} seeds`);
    for (const kind of ['tread', 'pad'] as const)
      report(
        kind,
        judged.filter((one) => one.kind === kind),
      );
  }
}

/** What ages by standing, on the same unseen seeds. */
export const benchAges = (seeds: readonly number[] = UNSEEN): void => benchAgeing(seeds);

/** How much of what changed is found within two visits, against what is raised for nothing. */
export function benchChanges(seeds: readonly number[] = UNSEEN): void {
  const study = studyChanges(seeds);
  console.log(
    `changes: ${study.events} of 1.5 times and more in ${study.vehicleYears} vehicle-years, found within two visits`,
  );
  const line = (name: string, { threshold, found, falsePerYear }: CurvePoint) =>
    console.log(
      `  ${name} ${threshold}: ${percent(found)} found, ${falsePerYear.toFixed(3)} false a vehicle-year${name === 'odds' && threshold === TOLD_FROM ? ' (working point)' : ''}`,
    );
  for (const point of study.ours) line('odds', point);
  for (const point of study.naive) line('last stretch over the one before', point);
}

function report(kind: string, judged: readonly Judged[]): void {
  const held = (one: Judged, quantiles: readonly number[], truth: number) =>
    truth >= (quantiles[0] ?? NaN) && truth <= (quantiles[2] ?? NaN);
  const half = judged.filter(({ halfLife, noiseFree }) => halfLife && noiseFree !== null);
  const error = (of: (one: Judged) => number) =>
    quantileOf(
      half.map((one) => Math.abs(of(one) - one.truth)),
      0.5,
    );
  const ours = error(({ ours: quantiles }) => quantiles[1] ?? NaN);
  const line = error(({ noiseFree }) => noiseFree ?? NaN);
  const loss = mean(judged.map((one) => meanPinball(one.ours, one.truth)));
  console.log(
    `  ${kind}: ${judged.length} forecasts; 80 % held ${percent(mean(judged.map((one) => Number(held(one, one.ours, one.truth)))))} of distances, ${percent(mean(judged.map((one) => Number(held(one, one.oursDays, one.truthDays)))))} of dates`,
  );
  console.log(
    `    half life (${half.length}): median error ${ours.toFixed(2)} thousand km, ${(ours / line).toFixed(2)} × a noise-free line (${line.toFixed(2)})`,
  );
  console.log(`    pinball ${loss.toFixed(3)}`);
  for (const method of NAIVE_METHODS) {
    const single = mean(
      judged.map((one) => meanPinball([one.naive[method], one.naive[method], one.naive[method]], one.truth)),
    );
    const spread = mean(judged.map((one) => meanPinball(one.naiveSpread[method], one.truth)));
    console.log(
      `    ${method}: half life ${error((one) => one.naive[method]).toFixed(2)}; pinball ours is ${percent(1 - loss / single)} below its single figure, ${percent(1 - loss / spread)} below it with a learned spread`,
    );
  }
}
