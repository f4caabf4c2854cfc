import { recordOf } from '../sums/keyed';
import type { Range } from '../trends/forecast';
import type { Series } from '../trends/series';
import { JUDGED, meanPinball, quantileOf } from './loss';
import { NAIVE_METHODS, type NaiveMethod } from './naive';
import type { StoredForecast } from './storedForecast';

const DAY_MS = 86_400_000;

/** What became of a forecast. */
export interface Judgement {
  readonly forecast: StoredForecast;
  /** The limit was met; the part went before it was; or it still runs. */
  readonly fate: 'arrived' | 'replaced' | 'waiting';
  /** Distance and days from the forecast to the truth; where it has not come, to the last look. */
  readonly left: number;
  readonly leftDays: number;
}

/**
 * What became of a forecast by what has been read since. Where the limit was met between two readings, the place between
 * them is taken on their straight line.
 *
 * @param all every series of the vehicle, as known now
 */
export function judge(forecast: StoredForecast, all: readonly Series[]): Judgement {
  const readings = all
    .filter(({ point, key }) => point === forecast.point && spotOf(key) === spotOf(forecast.series))
    .flatMap((series) => series.readings.filter(({ part }) => part === forecast.part))
    .filter(({ travelled, at }) => travelled >= forecast.travelled && at > forecast.at)
    .sort((a, b) => a.travelled - b.travelled);
  let before = { travelled: forecast.travelled, at: Date.parse(forecast.at), value: forecast.value };
  for (const reading of readings) {
    const now = { travelled: reading.travelled, at: Date.parse(reading.at), value: reading.value };
    if (reading.value < forecast.limit) {
      const share = before.value > now.value ? (before.value - forecast.limit) / (before.value - now.value) : 1;
      const at = Math.min(1, Math.max(0, share));
      return {
        forecast,
        fate: 'arrived',
        left: before.travelled + (now.travelled - before.travelled) * at - forecast.travelled,
        leftDays: (before.at + (now.at - before.at) * at - Date.parse(forecast.at)) / DAY_MS,
      };
    }
    before = now;
  }
  const running = all.some((series) => series.ofPart.at(-1)?.part === forecast.part);
  return {
    forecast,
    fate: running ? 'waiting' : 'replaced',
    left: before.travelled - forecast.travelled,
    leftDays: (before.at - Date.parse(forecast.at)) / DAY_MS,
  };
}

const spotOf = (key: string) => key.slice(key.indexOf(':'));

/** How one group of forecasts has held. */
export interface ScoreLine {
  readonly name: string;
  readonly arrived: number;
  readonly waiting: number;
  readonly replaced: number;
  /** Share of the truths that came within the 80 % shown; null before any has come. */
  readonly held: number | null;
  readonly heldDays: number | null;
  /** Median of how far the middle was off, in the meter's unit and in days. */
  readonly off: number | null;
  readonly offDays: number | null;
  /** Mean pinball loss, ours and each plain method's on those it could answer, ours beside it; meter's unit. */
  readonly pinball: number | null;
  readonly naive: Readonly<
    Record<NaiveMethod, { readonly loss: number; readonly ours: number; readonly count: number } | null>
  >;
}

/** A score over forecasts; only what has arrived is scored, and how much has not is told. */
export function scoreLine(name: string, judged: readonly Judgement[]): ScoreLine {
  const arrived = judged.filter(({ fate }) => fate === 'arrived');
  const count = (fate: Judgement['fate']) => judged.filter((one) => one.fate === fate).length;
  const share = (held: readonly boolean[]) => (held.length > 0 ? held.filter(Boolean).length / held.length : null);
  const middle = (values: readonly number[]) => (values.length > 0 ? quantileOf(values, 0.5) : null);
  const dated = arrived.flatMap(({ forecast, leftDays }) =>
    forecast.shown.days ? [{ range: forecast.shown.days, leftDays }] : [],
  );
  // An end left open has no distance to lose by: such forecasts are judged by whether they held, not by pinball.
  const closed = arrived.flatMap((one) => {
    const { low, mid, high } = one.forecast.shown.distance;
    return mid === null || high === null ? [] : [{ one, loss: meanPinball([low, mid, high], one.left) }];
  });
  const mean = (values: readonly number[]) => values.reduce((sum, value) => sum + value, 0) / values.length;
  return {
    name,
    arrived: arrived.length,
    waiting: count('waiting'),
    replaced: count('replaced'),
    held: share(arrived.map(({ forecast, left }) => holds(forecast.shown.distance, left))),
    heldDays: share(dated.map(({ range, leftDays }) => holds(range, leftDays))),
    off: middle(arrived.flatMap(({ forecast, left }) => offBy(forecast.shown.distance, left))),
    offDays: middle(dated.flatMap(({ range, leftDays }) => offBy(range, leftDays))),
    pinball: closed.length > 0 ? mean(closed.map(({ loss }) => loss)) : null,
    naive: recordOf(NAIVE_METHODS, (method) => {
      const answered = closed.flatMap(({ one, loss: ours }) => {
        const told = one.forecast.naive[method];
        return told === null
          ? []
          : [
              {
                ours,
                loss: meanPinball(
                  JUDGED.map(() => told),
                  one.left,
                ),
              },
            ];
      });
      if (answered.length === 0) return null;
      return {
        loss: mean(answered.map(({ loss }) => loss)),
        ours: mean(answered.map(({ ours }) => ours)),
        count: answered.length,
      };
    }),
  };
}

const holds = ({ low, high }: Range, truth: number) => truth >= low && (high === null || truth <= high);
const offBy = ({ mid }: Range, truth: number) => (mid === null ? [] : [Math.abs(mid - truth)]);
