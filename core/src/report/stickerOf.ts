import { formatISO } from 'date-fns/formatISO';
import { monthsAfter } from '../bench/due';
import { looseEnds } from '../acts/looseEnds';
import type { Act } from '../acts/act';
import type { Inspection } from '../inspection/inspection';
import type { HouseRules } from '../rules/houseRules';
import type { Vehicle } from '../vehicle/vehicle';

/** What falls due next, counted from this visit. */
export interface NextDue {
  readonly job: string;
  /** On the vehicle's meter; null where only time counts. */
  readonly meter: number | null;
  /** ISO date; null where only the meter counts. */
  readonly by: string | null;
}

export interface Sticker {
  readonly dues: readonly NextDue[];
  /** Wheel bolts are torqued again between these two readings of the odometer, km; null where no wheel was off. */
  readonly boltsAgain: { readonly fromKm: number; readonly toKm: number } | null;
}

/** Wheel bolts settle on the first kilometres. */
const BOLTS_AGAIN_KM = { from: 50, to: 100 } as const;

/** What goes on the windscreen after a visit: each job's next limit, shortened for hard use where the house does, and the bolts. */
export function stickerOf(
  { spec, meterUnit }: Pick<Vehicle, 'spec' | 'meterUnit'>,
  { meter, startedAt }: Pick<Inspection, 'meter' | 'startedAt'>,
  acts: readonly Act[],
  house: Pick<HouseRules, 'hardUse' | 'hardUseFactor'>,
): Sticker {
  const factor = spec.hardUse && house.hardUse === 'shortened' ? house.hardUseFactor : 1;
  const dues = spec.intervals.flatMap(({ job, km, hours, months }): NextDue[] => {
    const limit = meterUnit === 'h' ? hours : km;
    const due: NextDue = {
      job,
      meter: limit === null ? null : Math.round(meter + limit * factor),
      by:
        months === null
          ? null
          : formatISO(monthsAfter(new Date(startedAt), months * factor), { representation: 'date' }),
    };
    return due.meter === null && due.by === null ? [] : [due];
  });
  const wheelOff = looseEnds(acts).some(({ opened }) => opened.end === 'wheel');
  return {
    dues: dues.sort(
      (a, b) => (a.by ?? '9').localeCompare(b.by ?? '9') || (a.meter ?? Infinity) - (b.meter ?? Infinity),
    ),
    boltsAgain:
      wheelOff && meterUnit === 'km' ? { fromKm: meter + BOLTS_AGAIN_KM.from, toKm: meter + BOLTS_AGAIN_KM.to } : null,
  };
}
