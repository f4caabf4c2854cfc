import type { Place } from '../vehicle/vehicle';
import { isPlaceOf } from '../vehicle/place';
import { MEASURES } from '../catalogue/measures';
import { cataloguePoint, isPointCode } from '../catalogue/catalogue';
import { SPOTS_OF_LAMP } from '../catalogue/counted';
import type { CataloguePoint } from '../catalogue/points/point';
import { VOCABULARIES } from '../catalogue/words';
import type { Finding, Reading } from '../inspection/finding';

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
    | 'count-here'
    | 'lamp-here'
    | 'codes-here'
    | 'more-than-all'
    | 'place-needed'
    | 'no-place'
    | 'reason-needed';
  readonly allowed: string;
}

type Checked = Omit<Finding, 'point'> & { readonly point: string };

/** What cannot be true whatever the vehicle: unknown point, value out of range, a measure, word, leak, count or code the point does not take. */
export function impossibleIn(finding: Checked): Impossible[] {
  if (!isPointCode(finding.point))
    return [{ field: 'point', code: 'unknown-point', allowed: 'a code of the catalogue' }];
  const point = cataloguePoint(finding.point);
  return [
    ...placeProblems(point, finding.place),
    ...reasonProblems(finding),
    ...observationProblems(point, finding),
    ...readingProblems(point, finding),
  ];
}

const PLACE_WORDS = { tyre: 'a wheel, e.g. 1L', hub: 'a wheel, e.g. 1L', axle: 'an axle, e.g. 2' } as const;

function placeProblems({ repeats }: CataloguePoint, place: Place): Impossible[] {
  if (repeats && !isPlaceOf(repeats, place))
    return [{ field: 'place', code: 'place-needed', allowed: PLACE_WORDS[repeats] }];
  if (!repeats && place !== '')
    return [{ field: 'place', code: 'no-place', allowed: 'empty: this point does not repeat' }];
  return [];
}

function reasonProblems({ access, accessReason, override }: Checked): Impossible[] {
  return [
    ...(access === 'not-reached' && !accessReason
      ? [{ field: 'accessReason', code: 'reason-needed', allowed: 'why it was not reached' } as const]
      : []),
    ...(override && override.reason.trim() === ''
      ? [{ field: 'override.reason', code: 'reason-needed', allowed: 'why it is graded otherwise' } as const]
      : []),
  ];
}

function observationProblems(point: CataloguePoint, finding: Checked): Impossible[] {
  const problems: Impossible[] = [];
  finding.leaks.forEach((leak, index) => {
    if (point.leakPlaces.length === 0)
      problems.push({ field: `leaks.${index}`, code: 'leak-here', allowed: 'only on a point that takes leaks' });
    else if (leak.place !== null && !point.leakPlaces.includes(leak.place))
      problems.push({ field: `leaks.${index}.place`, code: 'leak-here', allowed: point.leakPlaces.join(', ') });
  });
  const words: readonly string[] = point.vocabulary ? VOCABULARIES[point.vocabulary] : [];
  finding.words.forEach((word, index) => {
    if (!words.includes(word))
      problems.push({
        field: `words.${index}`,
        code: 'wrong-word',
        allowed: words.join(', ') || 'no words on this point',
      });
  });
  finding.counts.forEach(({ item, good, of, found, out }, index) => {
    const lamp = item !== 'all';
    if (point.counted === null || lamp !== (point.counted === 'lamps'))
      problems.push({ field: `counts.${index}`, code: 'count-here', allowed: 'what this point counts' });
    else if (good > of) problems.push({ field: `counts.${index}.good`, code: 'more-than-all', allowed: `0 to ${of}` });
    else if (found !== null && found > of)
      problems.push({ field: `counts.${index}.found`, code: 'more-than-all', allowed: `0 to ${of}` });
    else if (new Set(out).size > of - (found ?? good) || out.some((spot) => !SPOTS_OF_LAMP[item].includes(spot)))
      problems.push({
        field: `counts.${index}.out`,
        code: 'lamp-here',
        allowed: `${of - (found ?? good)} of ${SPOTS_OF_LAMP[item].join(', ') || 'none'}`,
      });
  });
  if (finding.codes.length > 0 && !point.codes)
    problems.push({ field: 'codes', code: 'codes-here', allowed: 'only where fault codes are read' });
  return problems;
}

/** Whether a point takes this measure, at this spot. */
function slotProblems(point: CataloguePoint, reading: Reading, at: string): Impossible[] {
  const slots = point.measures.filter(({ measure }) => measure === reading.measure);
  const taken = point.measures.map(({ measure }) => measure).join(', ');
  if (slots.length === 0)
    return [{ field: `${at}.measure`, code: 'wrong-measure', allowed: taken || 'no reading on this point' }];
  if (slots.some(({ spots }) => spots.includes(reading.spot))) return [];
  return [{ field: `${at}.spot`, code: 'wrong-spot', allowed: slots.flatMap(({ spots }) => spots).join(', ') }];
}

function readingProblems(point: CataloguePoint, finding: Checked): Impossible[] {
  const problems: Impossible[] = [];
  const seen = new Set<string>();
  finding.readings.forEach((reading, index) => {
    const at = `readings.${index}`;
    const gauge = MEASURES[reading.measure];
    problems.push(...slotProblems(point, reading, at));
    const slot = `${reading.measure}/${reading.spot}/${reading.phase}`;
    if (seen.has(slot))
      problems.push({ field: `${at}.spot`, code: 'repeated-spot', allowed: 'each spot once per phase' });
    seen.add(slot);
    reading.values.forEach((value, n) => {
      const step = typeof gauge.taken === 'string' || Number.isInteger(value);
      if (!(value >= gauge.least && value <= gauge.most) || !step)
        problems.push({
          field: `${at}.values.${n}`,
          code: 'out-of-range',
          allowed: `${gauge.least} to ${gauge.most} ${gauge.unit}`,
        });
    });
  });
  return problems;
}
