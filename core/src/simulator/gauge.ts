import { normalDraw } from './random';

/** How a gauge in a hand really reads. */
export interface GaugeTruth {
  readonly step: number;
  /** Standard deviation of one reading. */
  readonly sigma: number;
  /** Standard deviation between hands. */
  readonly bias: number;
  /** Share of readings that are plainly wrong. */
  readonly misread: number;
}

/** What the gauge shows of a true value: noise, rounded to its step, now and then a misread; never below zero. */
export function gaugeReads(truth: number, gauge: Omit<GaugeTruth, 'bias'>, random: () => number): number {
  const wrong = gauge.misread > 0 && random() < gauge.misread ? (random() < 0.5 ? -1 : 1) * (1 + 2 * random()) : 0;
  const noisy = truth + wrong + gauge.sigma * normalDraw(random);
  return Math.max(0, Number((Math.round(noisy / gauge.step) * gauge.step).toFixed(6)));
}
