import {
  METER_RANGE,
  checkMeter,
  fromStored,
  parseMeasure,
  type ArrivalState,
  type Inspection,
  type Load,
  type MeterAnswer,
  type MeterCheck,
  type MeterUnit,
} from '@weskopos/core';
import type { Problems } from '../../controls/useCheckedForm';
import { words } from '@weskopos/words/en';
import { meterTypedUnit, meterWords } from '@weskopos/words/show';

const STOOD_MOST_H = 10_000;
const AMBIENT_RANGE = { least: -60, most: 60 } as const;
/** Fuel as a gauge shows it, share of a full tank. */
const FUEL = { empty: 0, quarter: 0.25, half: 0.5, 'three-quarters': 0.75, full: 1 } as const;
/** Fuel as a gauge shows it: a step of {@link FUEL_STEPS}. */
export type FuelStep = keyof typeof FUEL;
export const FUEL_STEPS = ['empty', 'quarter', 'half', 'three-quarters', 'full'] as const satisfies readonly FuelStep[];

/** What is typed and chosen as a vehicle arrives. */
export interface ArrivalForm {
  meter: string;
  /** Why the meter says something doubtful. */
  answer: MeterAnswer | null;
  state: ArrivalState | null;
  stood: string;
  fuel: FuelStep | null;
  load: Load;
  /** Code of the inspection chosen; null for the usual one. */
  template: string | null;
  ambient: string;
  complaint: string;
  corners: readonly string[];
}

export const BLANK_ARRIVAL: ArrivalForm = {
  meter: '',
  answer: null,
  state: null,
  stood: '',
  fuel: null,
  load: 'light',
  template: null,
  ambient: '',
  complaint: '',
  corners: [],
};

/** What a meter reading is checked against. */
export interface MeterFacts {
  readonly unit: MeterUnit;
  /** The reading before, with its ISO date. */
  readonly last: { readonly meter: number; readonly at: string } | null;
  readonly now: string;
}

/** A meter as it was typed, with what speaks against it; null where it is no number. `stored` in the meter's unit. */
export function readMeter(
  text: string,
  { unit, last, now }: MeterFacts,
): { readonly stored: number; readonly check: MeterCheck } | null {
  const read = parseMeasure(text, meterTypedUnit(unit));
  if (read.status !== 'value') return null;
  const stored = unit === 'h' ? tenths(read.stored) : Math.round(read.stored);
  return { stored, check: checkMeter(stored, last, now, unit) };
}

const tenths = (value: number) => Math.round(value * 10) / 10;

/** What the meter is called. */
export const meterName = (unit: MeterUnit) => (unit === 'h' ? words.arrival.hourMeter : words.arrival.odometer);

/** What is wrong with an arrival, by field. */
export function problemsOf(form: ArrivalForm, facts: MeterFacts): Problems<ArrivalForm> {
  const told = words.arrival;
  const check = readMeter(form.meter, facts)?.check;
  const doubtAnswered = check?.status !== 'doubtful' || check.answers.some((one) => one === form.answer);
  return {
    ...(check && check.status !== 'impossible' ? {} : { meter: meterProblem(form.meter, facts.unit) }),
    ...(doubtAnswered ? {} : { answer: told.answerDoubt }),
    ...(form.state === null ? { state: told.chooseStands } : {}),
    ...(form.state !== 'hot' && isOutside(form.stood, 'h', 0, STOOD_MOST_H)
      ? { stood: told.stoodRange(STOOD_MOST_H) }
      : {}),
    ...(isOutside(form.ambient, '°C', AMBIENT_RANGE.least, AMBIENT_RANGE.most)
      ? { ambient: told.ambientRange(AMBIENT_RANGE.least, AMBIENT_RANGE.most) }
      : {}),
  };
}

function meterProblem(text: string, unit: MeterUnit): string {
  const told = words.arrival;
  if (text.trim() === '') return told.readMeter(meterName(unit));
  const { least, most } = METER_RANGE[unit];
  const range = unit === 'h' ? told.hoursRange : told.distanceRange;
  return range(meterName(unit), least, meterWords(most, unit));
}

/** Whether what is typed is no number or one outside a range; empty is neither. */
function isOutside(text: string, unit: 'h' | '°C', least: number, most: number): boolean {
  const read = parseMeasure(text, unit);
  return read.status === 'unreadable' || (read.status === 'value' && !(read.stored >= least && read.stored <= most));
}

/** What a form without problems says of the visit it begins. */
export function arrivedWith(
  form: ArrivalForm,
  facts: MeterFacts,
): Pick<Inspection, 'meter' | 'meterAnswer' | 'complaint' | 'ambientC' | 'load' | 'stoodH' | 'corners' | 'fuel'> {
  const read = readMeter(form.meter, facts);
  if (!read) throw new Error('the meter has not been read');
  const ambient = valueOf(form.ambient, '°C');
  return {
    meter: read.stored,
    meterAnswer: read.check.status === 'doubtful' ? form.answer : null,
    complaint: form.complaint.trim(),
    ambientC: ambient === null ? null : tenths(ambient),
    load: form.load,
    stoodH: stoodHours(form.state, form.stood),
    corners: [...form.corners],
    fuel: form.fuel === null ? null : FUEL[form.fuel],
  };
}

function valueOf(text: string, unit: 'h' | '°C'): number | null {
  const read = parseMeasure(text, unit);
  return read.status === 'value' ? read.stored : null;
}

/** Hours it has stood, of one that did not come in hot; null where nobody told. */
export function stoodHours(state: ArrivalForm['state'], stood: string): number | null {
  return state === null || state === 'hot' ? null : valueOf(stood, 'h');
}

/** The newest meter of visits, oldest first; what was given up told nothing. `before` leaves that visit and later ones out. */
export function lastMeter(
  visits: readonly { readonly inspection: Inspection }[],
  before: Inspection | null = null,
): MeterFacts['last'] {
  const last = visits.findLast(
    ({ inspection: { id, startedAt, voidedAt } }) =>
      voidedAt === null && id !== before?.id && (before === null || startedAt < before.startedAt),
  );
  return last ? { meter: last.inspection.meter, at: last.inspection.startedAt } : null;
}

/** What was said on arrival, as it is typed again to be corrected. */
export function formOf(inspection: Inspection, unit: MeterUnit): ArrivalForm {
  const { meter, meterAnswer, state, stoodH, fuel, load, template, ambientC, complaint, corners } = inspection;
  const typed = fromStored(meter, meterTypedUnit(unit));
  const step = FUEL_STEPS.find((one) => FUEL[one] === fuel);
  return {
    meter: String(unit === 'h' ? tenths(typed) : Math.round(typed)),
    answer: meterAnswer,
    state,
    stood: stoodH === null ? '' : String(stoodH),
    fuel: step ?? null,
    load,
    template,
    ambient: ambientC === null ? '' : String(ambientC),
    complaint,
    corners,
  };
}
