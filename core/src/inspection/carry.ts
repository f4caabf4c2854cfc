import type { HouseRules } from '../house/houseRules';
import type { Template } from '../catalogue/templates';
import { MEASURES } from '../catalogue/measures';
import { BLANK_CONTENT, type Finding, type FindingContent, type Reading } from './finding';
import type { Inspection } from './inspection';

const MS_PER_DAY = 86_400_000;
/** Older looks do not stand in for today's, days. */
const MOST_DAYS = 92;
type CarriedVisit = Pick<Inspection, 'startedAt' | 'meter'>;

/**
 * The earlier look that may stand in for today's at a point: itself seen, not carried already, not older than three
 * months, and the template lets things be carried. Levels, pressures and other states get old sooner, by the house.
 */
export function carriedFrom(
  last: { readonly finding: Finding; readonly inspection: CarriedVisit } | undefined,
  template: Pick<Template, 'nothingCarried'>,
  today: CarriedVisit,
  house: Pick<HouseRules, 'carryDays' | 'carryKm'>,
): Finding | undefined {
  if (!last || template.nothingCarried || last.finding.carried || last.finding.access !== 'seen') return undefined;
  const days = (Date.parse(today.startedAt) - Date.parse(last.inspection.startedAt)) / MS_PER_DAY;
  if (days < 0 || days > MOST_DAYS) return undefined;
  const isState = last.finding.readings.some(({ measure }) => MEASURES[measure].nature === 'state');
  const gone = today.meter - last.inspection.meter;
  const aged = isState && (days > house.carryDays || gone < 0 || gone > house.carryKm);
  return aged ? undefined : last.finding;
}

/**
 * What an entry says that carries an earlier look: its readings as they were left, its words, codes and whatever kept it
 * from being true, dated. A pressure brings the temperature it was read at.
 */
export function carriedContent(
  earlier: Finding,
  visit: Pick<Inspection, 'startedAt' | 'state' | 'ambientC'>,
): FindingContent {
  const left = earlier.readings.filter(({ phase }) => phase === 'left');
  const replaced = new Set(left.map(({ measure, spot }) => `${measure}/${spot}`));
  const kept = earlier.readings.filter(
    ({ phase, measure, spot }) => phase === 'found' && !replaced.has(`${measure}/${spot}`),
  );
  const readings = [...kept, ...left.map((reading) => ({ ...reading, phase: 'found' as const }))];
  return {
    ...BLANK_CONTENT,
    access: 'seen',
    readings: [...readings, ...ownTemperature(readings, visit)],
    words: earlier.words,
    leaks: earlier.leaks,
    counts: earlier.counts,
    codes: earlier.codes,
    outOf: earlier.outOf,
    howRead: earlier.howRead,
    standard: earlier.standard,
    carried: { at: visit.startedAt.slice(0, 10), from: 'visit' },
  };
}

/** The air's temperature of then, where the pressure of a cold tyre leans on it. */
function ownTemperature(
  readings: readonly Reading[],
  { state, ambientC }: Pick<Inspection, 'state' | 'ambientC'>,
): Reading[] {
  const has = (measure: Reading['measure']) => readings.some((reading) => reading.measure === measure);
  if (!has('pressure') || has('temperature') || state !== 'cold' || ambientC === null) return [];
  return [{ measure: 'temperature', spot: 'whole', phase: 'found', values: [ambientC], bound: 'exact', step: null }];
}
