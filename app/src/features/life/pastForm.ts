import { METER_RANGE, parseMeasure, type Vehicle } from '@weskopos/core';
import type { Problems } from '../../controls/useCheckedForm';
import { words } from '@weskopos/words/en';
import { meterTypedUnit, meterWords } from '@weskopos/words/show';
import { whenProblem } from './lifeEntryForm';
import { parseDay } from './parseDay';

/** What is typed of a job that was done some time. */
export interface PastForm {
  when: string;
  meter: string;
}

export const blankPast = (): PastForm => ({ when: '', meter: '' });

/** What is wrong with it, by field: it wants a day; the meter may be missing. */
export function pastProblems(form: PastForm, vehicle: Vehicle, now: string): Problems<PastForm> {
  const told = words.entryForm;
  const day = parseDay(form.when, now, vehicle.year);
  const { least, most } = METER_RANGE[vehicle.meterUnit];
  const meter = parseMeasure(form.meter, meterTypedUnit(vehicle.meterUnit));
  const fits = meter.status === 'empty' || (meter.status === 'value' && meter.stored >= least && meter.stored <= most);
  return {
    ...(day.status === 'empty' ? { when: told.whenRange } : { when: whenProblem(day, vehicle.year) }),
    ...(fits ? {} : { meter: told.meterRange(least, meterWords(most, vehicle.meterUnit), true) }),
  };
}

/** When and at which meter, of a form without problems. */
export function pastOf(
  form: PastForm,
  vehicle: Vehicle,
  now: string,
): { readonly at: string; readonly meter: number | null } {
  const day = parseDay(form.when, now, vehicle.year);
  const meter = parseMeasure(form.meter, meterTypedUnit(vehicle.meterUnit));
  return { at: day.status === 'day' ? day.at : now, meter: meter.status === 'value' ? meter.stored : null };
}
