import type { Place } from '../vehicle/vehicle';
import { pressureAtReference, pressureFromReference } from '../grading/pressureAtReference';

/** A tyre's pressure at two times, with its temperature at each. */
export interface TyrePressure {
  readonly place: Place;
  /** Gauge pressure then and now, kPa, with the tyre's temperature, °C. */
  readonly beforeKpa: number;
  readonly beforeC: number;
  readonly nowKpa: number;
  readonly nowC: number;
  /** Air was added or let out in between: the tyre tells nothing about loss. */
  readonly inflatedSince: boolean;
}

/** How much of a tyre's loss the cold explains, and how much it does not. */
export interface TyreLoss {
  readonly place: Place;
  /** What the change in temperature alone explains, kPa. */
  readonly bySeasonKpa: number;
  /** Measured change less that, kPa; negative is a loss. */
  readonly residualKpa: number;
  readonly verdict: 'own-loss' | 'with-the-others' | 'inflated-since';
  /** For an own loss, kPa per month below the others. */
  readonly perMonthKpa: number | null;
}

/** A tyre must be this much below the common drop before it is said to lose by itself, kPa. */
const LEAST_OWN_LOSS_KPA = 7;
const DAYS_PER_MONTH = 365.25 / 12;

/**
 * Splits what the season took from every tyre from what one lost alone. Expected change follows from the temperatures;
 * the common part is the second highest residual, so that two leaking tyres cannot hide each other. A tyre below the
 * common by more than 3 u and 7 kPa has its own loss.
 *
 * @param days between the two readings, over 0
 * @param u standard uncertainty of one gauge reading, kPa
 * @param altitudeM height of the workshop over the sea, m
 */
export function seasonOrLeak(tyres: readonly TyrePressure[], days: number, u: number, altitudeM: number): TyreLoss[] {
  if (!(days > 0)) throw new RangeError('two readings of a tyre need time between them');
  const residuals = tyres.map((tyre) => {
    const bySeasonKpa =
      pressureFromReference(pressureAtReference(tyre.beforeKpa, tyre.beforeC, altitudeM), tyre.nowC, altitudeM) -
      tyre.beforeKpa;
    return { tyre, bySeasonKpa, residualKpa: tyre.nowKpa - tyre.beforeKpa - bySeasonKpa };
  });
  const sorted = residuals
    .filter(({ tyre }) => !tyre.inflatedSince)
    .map(({ residualKpa }) => residualKpa)
    .sort((a, b) => b - a);
  const common = sorted[1] ?? 0;
  // The residual is a difference of two readings.
  const noise = 3 * Math.SQRT2 * u;
  return residuals.map(({ tyre, bySeasonKpa, residualKpa }) => {
    const below = common - residualKpa;
    const own = !tyre.inflatedSince && below > noise && below > LEAST_OWN_LOSS_KPA;
    return {
      place: tyre.place,
      bySeasonKpa,
      residualKpa,
      verdict: tyre.inflatedSince ? 'inflated-since' : own ? 'own-loss' : 'with-the-others',
      perMonthKpa: own ? (below / days) * DAYS_PER_MONTH : null,
    };
  });
}
