import { MEASURES } from '../catalogue/measures';
import { cataloguePoint, isPointCode } from '../catalogue/points';
import { VOCABULARIES } from '../catalogue/words';
import { readingValue, type Finding } from '../inspection/finding';

/** Something impossible in a finding: the field, and what is allowed there. */
export interface Impossible {
  /** Path from the finding, e.g. `readings.0.values.0`. */
  readonly field: string;
  readonly code:
    | 'unknown-point'
    | 'out-of-range'
    | 'wrong-measure'
    | 'wrong-spot'
    | 'wrong-word'
    | 'repeated-spot'
    | 'leak-here'
    | 'place-needed'
    | 'no-place'
    | 'reason-needed';
  readonly allowed: string;
}

/** What cannot be true whatever the vehicle: unknown point, value out of range, a measure, word or leak the point does not take. */
export function impossibleIn(finding: Omit<Finding, 'point'> & { readonly point: string }): Impossible[] {
  if (!isPointCode(finding.point))
    return [{ field: 'point', code: 'unknown-point', allowed: 'a code of the catalogue' }];
  const point = cataloguePoint(finding.point);
  const problems: Impossible[] = [];
  if (point.repeats && finding.place === '')
    problems.push({ field: 'place', code: 'place-needed', allowed: 'a wheel, e.g. 1L' });
  if (!point.repeats && finding.place !== '')
    problems.push({ field: 'place', code: 'no-place', allowed: 'empty: this point does not repeat' });
  if (finding.access === 'not-reached' && !finding.accessReason)
    problems.push({ field: 'accessReason', code: 'reason-needed', allowed: 'why it was not reached' });
  if (finding.leak && point.kind !== 'leak')
    problems.push({ field: 'leak', code: 'leak-here', allowed: 'only on a leak point' });
  const words: readonly string[] = point.vocabulary ? VOCABULARIES[point.vocabulary] : [];
  finding.words.forEach((word, index) => {
    if (!words.includes(word))
      problems.push({
        field: `words.${index}`,
        code: 'wrong-word',
        allowed: words.join(', ') || 'no words on this point',
      });
  });
  const seen = new Set<string>();
  finding.readings.forEach((reading, index) => {
    const at = `readings.${index}`;
    const measure = MEASURES[reading.measure];
    if (reading.measure !== point.measure)
      problems.push({
        field: `${at}.measure`,
        code: 'wrong-measure',
        allowed: point.measure ?? 'no reading on this point',
      });
    if (!point.spots.includes(reading.spot))
      problems.push({ field: `${at}.spot`, code: 'wrong-spot', allowed: point.spots.join(', ') });
    const slot = `${reading.spot}/${reading.phase}`;
    if (seen.has(slot))
      problems.push({ field: `${at}.spot`, code: 'repeated-spot', allowed: 'each spot once per phase' });
    seen.add(slot);
    reading.values.forEach((value, n) => {
      if (!(value >= measure.least && value <= measure.most)) {
        problems.push({
          field: `${at}.values.${n}`,
          code: 'out-of-range',
          allowed: `${measure.least} to ${measure.most} ${measure.unit}`,
        });
      }
    });
  });
  return problems;
}

/** Something odd that is asked once and kept. */
export interface Doubt {
  readonly code: 'better-than-last' | 'decimal-slip' | 'unit-slip';
  readonly spot: Finding['readings'][number]['spot'];
  readonly value: number;
  readonly last: number | null;
  /** The unit it looks like, for a unit slip. */
  readonly looksLike: 'psi' | 'bar' | null;
}

const DECIMAL_SLIP = 5;
/** Gauge pressures of road tyres hardly lie below this, kPa; figures of that size are psi or bar. */
const LEAST_LIKELY_KPA = 80;
const MOST_LIKELY_BAR = 8;

/**
 * Doubts about a finding against the last one of the same point. A wear reading better than last time by more than
 * three standard deviations of the difference wants a new part, another wheel, or a misread.
 */
export function doubtsAbout(finding: Finding, last: Finding | undefined): Doubt[] {
  const doubts = finding.readings
    .filter((reading) => reading.phase === 'found')
    .flatMap((reading): Doubt[] => {
      const measure = MEASURES[reading.measure];
      const value = readingValue(reading);
      const before =
        last?.readings.find((other) => other.spot === reading.spot && other.phase === 'left') ??
        last?.readings.find((other) => other.spot === reading.spot);
      const lastValue = before ? readingValue(before) : null;
      const doubt = { spot: reading.spot, value, last: lastValue, looksLike: null };
      if (reading.measure === 'pressure' && value > 0 && value < LEAST_LIKELY_KPA) {
        return [{ ...doubt, code: 'unit-slip', looksLike: value <= MOST_LIKELY_BAR ? 'bar' : 'psi' }];
      }
      if (measure.nature !== 'wear' || lastValue === null || lastValue <= 0) return [];
      if (value > DECIMAL_SLIP * lastValue || (value > 0 && value < lastValue / DECIMAL_SLIP))
        return [{ ...doubt, code: 'decimal-slip' }];
      const noise = Math.SQRT2 * Math.hypot(measure.step / Math.sqrt(12), measure.repeatability);
      return value > lastValue + 3 * noise ? [{ ...doubt, code: 'better-than-last' }] : [];
    });
  return doubts.filter((doubt) => !finding.kept.includes(doubtId(doubt)));
}

/** How a kept doubt is noted on the finding. */
export function doubtId(doubt: Pick<Doubt, 'code' | 'spot'>): string {
  return `${doubt.code}:${doubt.spot}`;
}
