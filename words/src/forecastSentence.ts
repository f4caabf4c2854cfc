import type { AgeForecast, Forecast, MeasureCode, MeterUnit, Outlook, Range } from '@weskopos/core';
import { addDays } from 'date-fns/addDays';
import { dateWords, amount, meterWords, roughMeter, unitOf } from './show';

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
  if (forecast.status === 'needs-readings')
    return `Needs ${forecast.want === 1 ? 'a reading' : `${forecast.want} readings`} of this part; has ${forecast.have === 0 ? 'none' : forecast.have}.`;
  if (forecast.status === 'reached') return `Is under ${amount(measure, limit)} now.`;
  const odd = forecast.odd >= ODD_FROM ? ' The last reading is unlike the ones before: read it again.' : '';
  const by = forecastFrom[forecast.from];
  if (forecast.status === 'far-off')
    return `Does not reach ${amount(measure, limit)} in any time one plans for.${by}${odd}`;
  const when = forecast.days && dateRange(forecast.at, forecast.days);
  const far = distanceRange(forecast.distance, unit);
  return `Reaches ${amount(measure, limit)} ${when ? `${when}; ${far}` : far} (8 in 10).${heldWords(forecast)}${perhapsWords(forecast)}${by}${odd}`;
}

const forecastFrom = {
  readings: '',
  fleet: ' Told by what the fleet wears: this part has one reading only.',
  general: ' General figures: one reading of this part, and nothing learned here yet of how such parts wear.',
} satisfies Record<Outlook['from'], string>;

/** A change that may have come is in the range already. */
const perhapsWords = ({ perhaps }: Outlook): string =>
  perhaps
    ? ` It may wear ${perhaps.factor.toFixed(1)} times as fast lately (${Math.min(MOST_SURE, Math.round(perhaps.chance * 100))} % sure): the range has both.`
    : '';

/** What promises 8 in 10 and held seldomer says so. */
export const heldWords = ({ held }: Pick<Outlook, 'held'>): string =>
  held === undefined ? '' : ` Such ranges have held ${Math.round(held * 10)} times in 10 here, not 8.`;

/** By when to look again before it could be caught past its limit; null where there is no telling, or no hurry. */
export function lookAgainSentence(forecast: Forecast | AgeForecast): string | null {
  if (forecast.status !== 'running-out' || forecast.lookAgain === null) return null;
  const { at, lookAgain } = forecast;
  if (lookAgain < 1) return 'It may be past its limit already: renew it, or measure it again now.';
  if (lookAgain > OPEN_END_DAYS) return null;
  return `Look again by ${dateWords(addDays(new Date(at), Math.floor(lookAgain)), 'whole')}, before it could be caught past its limit.`;
}

/** `in 2 800 to 4 100 km, most likely 3 400 km`. */
function distanceRange({ low, mid, high }: Range, unit: MeterUnit): string {
  const likely = mid === null ? '' : `, most likely ${roughMeter(mid, unit)}`;
  return high === null
    ? `in ${roughMeter(low, unit)} at least, with no upper end yet${likely}`
    : `in ${roughMeter(low, unit)} to ${roughMeter(high, unit)}${likely}`;
}

/** `between mid-March and the end of May 2027, most likely in April 2027`, from ends told in days. */
export function dateRange(from: string, { low, mid, high }: Range): string {
  const at = (days: number) => addDays(new Date(from), Math.round(days));
  if (high !== null && high <= WEEKS_UP_TO_DAYS)
    return `within ${Math.max(1, Math.floor(low / 7))} to ${Math.max(1, Math.ceil(high / 7))} weeks of ${dateWords(at(0), 'whole')}`;
  const likely =
    mid === null || mid > OPEN_END_DAYS ? '' : `, most likely in ${dateWords(at(mid), 'longMonthAndYear')}`;
  if (high === null || high > OPEN_END_DAYS) return `not before ${partOfMonth(at(low), true)}${likely}`;
  const sameYear = at(low).getFullYear() === at(high).getFullYear();
  return `between ${partOfMonth(at(low), !sameYear)} and ${partOfMonth(at(high), true)}${likely}`;
}

function partOfMonth(date: Date, withYear: boolean): string {
  const month = dateWords(date, withYear ? 'longMonthAndYear' : 'longMonth');
  const day = date.getDate();
  return day <= 10 ? `early ${month}` : day <= 20 ? `mid-${month}` : `the end of ${month}`;
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
