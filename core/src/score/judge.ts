import { recordOf } from '../sums/keyed';
import type { Range } from '../trends/forecast';
import { MEASURES } from '../catalogue/measures';
import { groupBy } from '../sums/groupBy';
import { comesDownTo, heightAt, lineThrough } from '../sums/straightLine';
import type { Series, SeriesReading } from '../trends/series';
import type { HeldUp } from '../trends/heldUp';
import { heldUp } from './heldEnds';
import { JUDGED, holds, meanPinball, quantileOf } from './loss';
import { NAIVE_METHODS, type NaiveMethod } from './naive';
import type { StoredForecast } from './storedForecast';
import { wholePart } from './wholePart';

const DAY_MS = 86_400_000;
/** A place's own line where it met its limit: through so many readings up to the one that finds it so, and the next. */
const LINE_READINGS = 3;

/** What became of a forecast. */
export interface Judgement {
  readonly forecast: StoredForecast;
  /** The limit was met; the part went before it was; or it still runs. */
  readonly fate: 'arrived' | 'replaced' | 'waiting';
  /** Distance and days from the forecast to the truth; where it has not come, to the last look. */
  readonly left: number;
  readonly leftDays: number;
}

/** A moment at which a part was read, or met its limit. */
interface Moment {
  readonly travelled: number;
  /** ms since the epoch. */
  readonly at: number;
}

/**
 * What became of a forecast by what has been read since: a part is at its end where the first place across it is. That it
 * is, a reading says; when it was, the line through that place's last readings, since the first reading under the limit of
 * several places comes before the part does. Wear fails under its limit, what ages fails at it.
 *
 * @param all every series of the vehicle, as known now
 */
export function judge(forecast: StoredForecast, all: readonly Series[]): Judgement {
  const whole = wholePart(forecast.part);
  const isOfPart = (part: string) => wholePart(part) === whole;
  const looked = all.filter(({ point }) => point === forecast.point);
  const readings = looked
    .flatMap((series) => series.readings.filter(({ part }) => isOfPart(part)))
    .sort((a, b) => a.travelled - b.travelled);
  const since = readings.filter(({ travelled, at }) => travelled >= forecast.travelled && at > forecast.at);
  const wears = looked.every(({ measure }) => MEASURES[measure].nature === 'wear');
  const isMet = (value: number) => (wears ? value < forecast.limit : value <= forecast.limit);
  const arrivals = [...groupBy(readings, ({ part }) => part).values()].flatMap(
    (ones) => arrivalOf(forecast, ones, isMet) ?? [],
  );
  const [first] = arrivals.sort((a, b) => a.travelled - b.travelled);
  const running = all.some((series) => isOfPart(series.ofPart.at(-1)?.part ?? ''));
  const last = since.at(-1) ?? forecast;
  const end: Moment = first ?? { travelled: last.travelled, at: Date.parse(last.at) };
  return {
    forecast,
    fate: first ? 'arrived' : running ? 'waiting' : 'replaced',
    left: end.travelled - forecast.travelled,
    leftDays: (end.at - Date.parse(forecast.at)) / DAY_MS,
  };
}

/** When one place of a part met the limit after a forecast; null where it has not. */
function arrivalOf(
  forecast: StoredForecast,
  readings: readonly SeriesReading[],
  isMet: (value: number) => boolean,
): Moment | null {
  const { limit } = forecast;
  const isLater = ({ travelled, at }: SeriesReading) => travelled >= forecast.travelled && at > forecast.at;
  const met = readings.findIndex((reading) => isLater(reading) && isMet(reading.value));
  const now = readings[met];
  if (!now) return null;
  const near = readings.slice(Math.max(0, met + 1 - LINE_READINGS), met + 2);
  const line = lineThrough(near.map(({ travelled, value }) => ({ x: travelled, y: value })));
  const times = lineThrough(near.map(({ travelled, at }) => ({ x: travelled, y: Date.parse(at) })));
  const travelled = line && comesDownTo(line, limit);
  if (travelled === null || !times) return { travelled: now.travelled, at: Date.parse(now.at) };
  return {
    travelled: Math.max(forecast.travelled, travelled),
    at: Math.max(Date.parse(forecast.at), heightAt(times, travelled)),
  };
}

/** How one group of forecasts has held. */
export interface ScoreLine {
  readonly name: string;
  /** Each part counted once. */
  readonly byPart: HeldUp;
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
    byPart: heldUp(judged),
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

const offBy = ({ mid }: Range, truth: number) => (mid === null ? [] : [Math.abs(mid - truth)]);
