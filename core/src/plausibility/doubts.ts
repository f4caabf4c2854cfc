import { fromStored, toStored } from '../units/units';
import { pressureUnitOf, type PressureUnit } from './pressureUnit';
import { MEASURES, type MeasureCode } from '../catalogue/measures';
import type { Spot } from '../catalogue/points/point';
import { uncertaintyOf } from '../grading/compared';
import { tyreAgeYears } from '../grading/tyreAge';
import { readingAt, readingValue, type Finding, type Reading } from '../inspection/finding';
import type { HouseRules } from '../house/houseRules';

/** Something odd that is asked once and kept. */
export interface Doubt {
  readonly code:
    | 'better-than-last'
    | 'drier-than-last'
    | 'decimal-slip'
    | 'unit-slip'
    | 'unlikely'
    | 'far-from-partner'
    | 'far-from-next'
    | 'not-made-yet';
  readonly measure: MeasureCode;
  readonly spot: Spot;
  readonly value: number;
  readonly last: number | null;
  /** The unit it looks like, for a unit slip. */
  readonly looksLike: PressureUnit | null;
  /** What was read, taken in that unit, kPa; null without. */
  readonly inThat: number | null;
}

/** Water only ever comes into brake fluid: less of it is new fluid, or a misread. */
const ONLY_RISES: readonly MeasureCode[] = ['water', 'water-band'];
const DECIMAL_SLIP = 5;
/** The two pads of a brake, and two places of a tread, hardly differ by more than this, mm, and by this factor: then one was misread. */
const PARTNER_GAP_MM = 4;
const PARTNER_FACTOR = 2.5;

/**
 * Doubts about a finding: against what is likely at all, against the last one of the same point, and against the other
 * pad of the same brake. A wear reading better than last time by more than three standard deviations of the difference
 * wants a new part, another wheel, or a misread; less water than last time new brake fluid, or a misread.
 *
 * @param last left out where a job renewed what is read since
 * @param at ISO date of the visit
 * @param house how well the house's readings repeat, and the units it reads in
 */
export function doubtsAbout(
  finding: Finding,
  last: Finding | undefined,
  partner: Finding | undefined,
  at: string,
  house: Pick<HouseRules, 'repeatability' | 'units'>,
): Doubt[] {
  const doubts = finding.readings
    .filter(({ phase, bound }) => phase === 'found' && bound === 'exact')
    .flatMap((reading): Doubt[] => {
      const doubt = firstDoubt(reading, last, partner, at, house) ?? besideDoubt(reading, finding);
      return doubt ? [doubt] : [];
    });
  return doubts.filter((doubt) => !finding.kept.includes(doubtId(doubt)));
}

function firstDoubt(
  reading: Reading,
  last: Finding | undefined,
  partner: Finding | undefined,
  at: string,
  house: Pick<HouseRules, 'repeatability' | 'units'>,
): Doubt | undefined {
  const { measure, spot } = reading;
  const gauge = MEASURES[measure];
  const value = readingValue(reading);
  const before = readingAt(last, measure, spot);
  const lastValue = before && before.bound === 'exact' ? readingValue(before) : null;
  const doubt = { measure, spot, value, last: lastValue, looksLike: null, inThat: null };
  if (measure === 'tyre-age') return tyreAgeYears(value, at) < 0 ? { ...doubt, code: 'not-made-yet' } : undefined;
  if (measure === 'pressure' && value > 0) {
    const figure = fromStored(value, house.units.pressure);
    const looksLike = pressureUnitOf(figure, house.units.pressure);
    if (looksLike) return { ...doubt, code: 'unit-slip', looksLike, inThat: toStored(figure, looksLike) };
  }
  if (ONLY_RISES.includes(measure) && lastValue !== null) {
    const noise = Math.SQRT2 * uncertaintyOf({ measure, values: [value], step: null }, house);
    if (value < lastValue - 3 * noise) return { ...doubt, code: 'drier-than-last' };
  }
  if (gauge.nature === 'wear' && lastValue !== null && lastValue > 0) {
    if (value > DECIMAL_SLIP * lastValue || (value > 0 && value < lastValue / DECIMAL_SLIP))
      return { ...doubt, code: 'decimal-slip' };
    const noise = Math.SQRT2 * uncertaintyOf({ measure, values: [value], step: null }, house);
    if (value > lastValue + 3 * noise) return { ...doubt, code: 'better-than-last' };
  }
  if (gauge.likely && (value < gauge.likely[0] || value > gauge.likely[1])) return { ...doubt, code: 'unlikely' };
  const other = measure === 'lining' ? readingAt(partner, 'lining') : undefined;
  const isFar = other?.bound === 'exact' && areFarApart(value, readingValue(other));
  return isFar ? { ...doubt, code: 'far-from-partner' } : undefined;
}

/** One place of a tread that is told far deeper than every other place of the same tyre: hardly worn so, likelier mistyped. */
function besideDoubt({ measure, spot, values, phase }: Reading, finding: Finding): Doubt | undefined {
  if (measure !== 'tread') return undefined;
  const value = readingValue({ values });
  const others = finding.readings.filter(
    (one) => one.measure === measure && one.phase === phase && one.spot !== spot && one.bound === 'exact',
  );
  const isFar =
    others.length > 0 && others.every((one) => value > readingValue(one) && areFarApart(value, readingValue(one)));
  return isFar ? { code: 'far-from-next', measure, spot, value, last: null, looksLike: null, inThat: null } : undefined;
}

/** Two linings of one brake, or two places of one tread, mm. */
function areFarApart(one: number, other: number): boolean {
  const [less, more] = [Math.min(one, other), Math.max(one, other)];
  return more - less > PARTNER_GAP_MM && more > PARTNER_FACTOR * less;
}

/** How a kept doubt is noted on the finding; the measure only where it is not the point's one. */
export function doubtId(doubt: Pick<Doubt, 'code' | 'spot'>): string {
  return `${doubt.code}:${doubt.spot}`;
}
