import type { AgeForecast, Forecast, MeasureCode, MeterUnit, Outlook, Range } from '@weskopos/core';
import { addDays } from 'date-fns/addDays';
import { amount, dateWords, decimals, meterWords, roughMeter, unitOf } from './show';
import { told } from './tongue';

/** A last reading this unlikely beside the ones before is told. */
const ODD_FROM = 0.6;
/** Farther off than this, an end is left open. */
const OPEN_END_DAYS = 8 * 365;
/** Nothing is ever quite sure, %. */
export const MOST_SURE = 99;
/** Up to this far weeks say more than parts of months. */
const WEEKS_UP_TO_DAYS = 56;

/** What a forecast says, as a range in words; says what it would need when there is too little. */
export function forecastSentence(forecast: Forecast, measure: MeasureCode, limit: number, unit: MeterUnit): string {
  const { said } = told;
  if (forecast.status === 'needs-readings') return said.needsReadings(forecast.want, forecast.have);
  if (forecast.status === 'reached') return said.isUnderNow(amount(measure, limit));
  const odd = forecast.odd >= ODD_FROM ? said.odd : '';
  const by = said.forecastFrom[forecast.from];
  if (forecast.status === 'far-off') return `${said.notInTime(amount(measure, limit))}${by}${odd}`;
  const when = forecast.days && dateRange(forecast.at, forecast.days);
  const far = distanceRange(forecast.distance, unit);
  return `${said.runsOut(amount(measure, limit), when ?? '', far)}${heldWords(forecast)}${perhapsWords(forecast)}${by}${odd}`;
}

/** A change that may have come is in the range already. */
const perhapsWords = ({ perhaps }: Outlook): string =>
  perhaps ? told.said.perhaps(decimals(perhaps.factor, 1), Math.min(MOST_SURE, Math.round(perhaps.chance * 100))) : '';

/** What promises 8 in 10 and held seldomer says so. */
export const heldWords = ({ held }: Pick<Outlook, 'held'>): string =>
  held === undefined ? '' : told.said.held(Math.round(held * 10));

/** By when to look again before it could be caught past its limit; null where there is no telling, or no hurry. */
export function lookAgainSentence(forecast: Forecast | AgeForecast): string | null {
  if (forecast.status !== 'running-out' || forecast.lookAgain === null) return null;
  const { at, lookAgain } = forecast;
  if (lookAgain < 1) return told.said.pastAlready;
  if (lookAgain > OPEN_END_DAYS) return null;
  return told.said.lookAgain(dateWords(addDays(new Date(at), Math.floor(lookAgain)), 'whole'));
}

/** `in 2 800 to 4 100 km, most likely 3 400 km`. */
function distanceRange({ low, mid, high }: Range, unit: MeterUnit): string {
  const likely = mid === null ? '' : told.said.likelyFar(roughMeter(mid, unit));
  return high === null
    ? `${told.said.inAtLeast(roughMeter(low, unit))}${likely}`
    : `${told.said.inBetween(roughMeter(low, unit), roughMeter(high, unit))}${likely}`;
}

/** `between mid-March and the end of May 2027, most likely in April 2027`, from ends told in days. */
export function dateRange(from: string, { low, mid, high }: Range): string {
  const { said } = told;
  const at = (days: number) => addDays(new Date(from), Math.round(days));
  if (high !== null && high <= WEEKS_UP_TO_DAYS)
    return said.withinWeeks(
      Math.max(1, Math.floor(low / 7)),
      Math.max(1, Math.ceil(high / 7)),
      dateWords(at(0), 'whole'),
    );
  const likely = mid === null || mid > OPEN_END_DAYS ? '' : said.likelyIn(dateWords(at(mid), 'longMonthAndYear'));
  if (high === null || high > OPEN_END_DAYS) return `${said.notBefore(partOfMonth(at(low), true))}${likely}`;
  const sameYear = at(low).getFullYear() === at(high).getFullYear();
  return `${said.betweenDates(partOfMonth(at(low), !sameYear), partOfMonth(at(high), true))}${likely}`;
}

function partOfMonth(date: Date, withYear: boolean): string {
  const month = dateWords(date, withYear ? 'longMonthAndYear' : 'longMonth');
  const day = date.getDate();
  return told.said.partOfMonth(day <= 10 ? 'early' : day <= 20 ? 'mid' : 'end', month);
}

type When =
  | Exclude<Forecast, Outlook>
  | ({ readonly status: Exclude<Forecast['status'], 'needs-readings'> } & Pick<Outlook, 'at' | 'days'> & {
        readonly distance: Range | null;
      });

/** The middle of a forecast as short as it goes: `Apr 27`, or a distance where dates are not known. */
export function shortWhen(forecast: When, unit: MeterUnit): string {
  if (forecast.status === 'reached') return 'now';
  if (forecast.status === 'needs-readings') return 'cannot tell yet';
  if (forecast.status === 'far-off') return 'far off';
  const { days, distance, at } = forecast;
  if (days?.mid != null && days.mid <= OPEN_END_DAYS)
    return `about ${dateWords(addDays(new Date(at), Math.round(days.mid)), 'monthAndYear')}`;
  return distance?.mid == null ? 'far off' : `about ${roughMeter(distance.mid, unit)}`;
}

/** `0.61 mm per 1,000 km`, or null without a line. */
export function rateWords(forecast: Forecast, measure: MeasureCode, unit: MeterUnit): string | null {
  if (forecast.status === 'needs-readings') return null;
  const { line }: Outlook = forecast;
  const per = unit === 'h' ? 100 : 1000;
  return `${(line.rate * per).toFixed(2)} ${unitOf(measure)} per ${meterWords(per, unit)}`;
}
