import { oilUsed } from '../calculators/oil';
import { momentsOf } from '../catalogue/quantities';
import { standingOf } from '../inspection/currentFindings';
import { readingAt, readingValue, type Finding } from '../inspection/finding';
import type { Inspection } from '../inspection/inspection';
import { entriesOf, standingEntries, type LifeEntry } from '../parts/lifeEntry';
import { oilPer1000, type OilChange } from '../parts/logs';

/** A visit as far as its oil is concerned. */
export interface OilVisit {
  readonly inspection: Pick<Inspection, 'startedAt' | 'meter'>;
  readonly findings: readonly Finding[];
}

/** Oil used, L per 1,000 km, and what it is told by. */
export interface OilUse {
  readonly per1000: number;
  /** `stick`: the stick at both ends and what was put in between; `top-ups`: only what was put in. */
  readonly by: 'stick' | 'top-ups';
}

/** What the stick said when a vehicle came and went, and what was put in meanwhile. */
interface OilLook {
  readonly at: string;
  readonly meter: number;
  readonly found: number;
  readonly left: number;
  readonly addedL: number;
}

/** Less than this tells nothing, km. */
const LEAST_KM = 500;

/** The oil of a visit by the moments its stick was read at; null where none was read true. */
function lookOf({ inspection, findings }: OilVisit): OilLook | null {
  const standing = standingOf(findings);
  const looks = momentsOf('oil.level').flatMap((point) => {
    const finding = standing.get(point);
    return finding && finding.outOf.length === 0 && finding.carried === null ? [finding] : [];
  });
  const levels = looks.flatMap((finding) => {
    const found = readingAt(finding, 'level', 'whole', 'found') ?? readingAt(finding, 'level');
    const left = readingAt(finding, 'level');
    return found && left ? [{ found: readingValue(found), left: readingValue(left) }] : [];
  });
  const [first, last] = [levels[0], levels.at(-1)];
  if (!first || !last) return null;
  const addedL = looks.reduce((sum, finding) => {
    const volume = readingAt(finding, 'volume');
    return sum + (volume ? readingValue(volume) : 0);
  }, 0);
  return { at: inspection.startedAt, meter: inspection.meter, found: first.found, left: last.left, addedL };
}

/**
 * Oil used since the last change: what was put in, at visits and between them, and what the stick fell by from the first
 * look to the last. Where the span of the stick is not known, or it was read once, by what was put in alone.
 *
 * @param visits signed or open ones that count, oldest first
 * @param spanL litres between the marks of the stick; null where the spec sheet does not tell
 * @param changed the last change; undefined where nobody has told of one
 * @returns null before there is enough distance to tell it over
 */
export function oilUseSince(
  visits: readonly OilVisit[],
  entries: readonly LifeEntry[],
  spanL: number | null,
  changed?: OilChange,
): OilUse | null {
  const from = changed ? Date.parse(changed.at) : -Infinity;
  // The stick of the very visit that changed it is read as it was left.
  const looks = visits.flatMap((visit) => lookOf(visit) ?? []).filter(({ at }) => Date.parse(at) >= from - DAY_MS);
  const [start, end] = [looks[0], looks.at(-1)];
  if (spanL !== null && start && end && end.meter - start.meter >= LEAST_KM) {
    const between = entriesOf(standingEntries(entries), 'top-up').filter(
      ({ fluid, at }) => fluid === 'engine-oil' && at > start.at && at < end.at,
    );
    const atVisits = looks.slice(1, -1).reduce((sum, { addedL }) => sum + addedL, 0);
    const toppedUp = between.reduce((sum, { litres }) => sum + litres, 0) + atVisits;
    return { per1000: oilUsed(toppedUp, start.left, end.found, spanL, end.meter - start.meter), by: 'stick' };
  }
  const per1000 = oilPer1000(entries, changed);
  return per1000 === null ? null : { per1000, by: 'top-ups' };
}

/** A change is dated by the act that closed it, the visit by its begin: within a day they are one. */
const DAY_MS = 86_400_000;
