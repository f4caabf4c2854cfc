import { plainVehicleSchema } from '@weskopos/contract';
import {
  BLANK_SPEC,
  PLAIN_AXLE,
  USUAL_MAKE_UP,
  parseMeasure,
  type Axle,
  type Unit,
  type Vehicle,
} from '@weskopos/core';
import { z } from 'zod';
import { figureIn, houseRules } from '@weskopos/words/show';
import { nowMs } from '../../sync/clock';

/** The vehicle as it is typed: every figure a text, empty for not known. Paths are those of the vehicle. */
export type Typed<T> = T extends number | null
  ? string
  : T extends readonly number[]
    ? string
    : T extends readonly (infer One)[]
      ? Typed<One>[]
      : T extends object
        ? { -readonly [Key in keyof T]: Typed<T[Key]> }
        : T;
/** A vehicle as it stands in the form: figures as they are typed. */
export type VehicleForm = Typed<Vehicle>;

/** Unit a field is typed in; by its last name, since axles and rows repeat. */
const UNITS: Readonly<Record<string, () => Unit>> = {
  placardKpa: () => houseRules().units.pressure,
  placardFullKpa: () => houseRules().units.pressure,
  newtonMetres: () => houseRules().units.torque,
  stagesNm: () => houseRules().units.torque,
  capacityL: () => houseRules().units.volume,
  spanL: () => houseRules().units.volume,
  lowestC: () => houseRules().units.temperature,
  highestC: () => houseRules().units.temperature,
  stickSpanL: () => houseRules().units.volume,
  km: () => houseRules().units.distance,
  discMinimumMm: () => 'mm',
  liningNewMm: () => 'mm',
};
const PLAIN_FIGURES = [
  'year',
  'ratedA',
  'studs',
  'months',
  'hours',
  'systemVolts',
  'angleDeg',
  'nipples',
  'everyHours',
];
/** Fields where nothing chosen is told as an empty text. */
const NULLABLE_CHOICES = ['standard', 'brakeFluid', 'driverSide', 'body', 'stickWhileFilling', 'suspension'];
/** Lists of figures that are typed on one line. */
const LINES = ['stagesNm'];

/** The unit a field of the form is typed in; null for one that is no measure. */
export function unitOfField(name: string): Unit | null {
  return UNITS[name]?.() ?? null;
}

function typed(name: string, value: unknown): unknown {
  if (value === null) return '';
  if (typeof value === 'number') {
    const unit = unitOfField(name);
    return unit
      ? figureIn(unit, value, 2)
          .replace(/\.?0+$/, '')
          .replace('−', '-')
      : String(value);
  }
  if (Array.isArray(value)) {
    const each = value.map((one) => typed(name, one));
    return LINES.includes(name) ? each.join(' ') : each;
  }
  if (typeof value === 'object')
    return Object.fromEntries(Object.entries(value).map(([key, one]) => [key, typed(key, one)]));
  return value;
}

function untyped(name: string, value: unknown): unknown {
  if (LINES.includes(name) && typeof value === 'string')
    return value
      .split(/\s+/)
      .filter(Boolean)
      .map((one) => untypedFigure(name, one));
  if (Array.isArray(value)) return value.map((one) => untyped(name, one));
  if (typeof value === 'object' && value !== null)
    return Object.fromEntries(Object.entries(value).map(([key, one]) => [key, untyped(key, one)]));
  if (NULLABLE_CHOICES.includes(name)) return value === '' ? null : value;
  if (typeof value !== 'string' || (!unitOfField(name) && !PLAIN_FIGURES.includes(name))) return value;
  return value.trim() === '' ? null : untypedFigure(name, value);
}

/** A figure as it is typed; what is none is handed on as it is. */
function untypedFigure(name: string, value: string): unknown {
  const unit = unitOfField(name);
  if (!unit) return Number(value.replace(',', '.'));
  const parsed = parseMeasure(value, unit);
  // Not a figure: handed on as it is, so that the shape refuses it at its field.
  return parsed.status === 'value' ? Number(parsed.stored.toFixed(6)) : value;
}

/** A vehicle as it stands in the form: everything typed, in the workshop's units. */
export function formOf(vehicle: Vehicle): VehicleForm {
  return typed('', vehicle) as VehicleForm;
}

/** What is typed, read and checked as a vehicle: each problem stands at the path of its field. */
export const vehicleFormSchema: z.ZodType<Vehicle, VehicleForm> = z
  .custom<VehicleForm>()
  .transform((form) => untyped('', form))
  .pipe(plainVehicleSchema);

/** A vehicle of which nothing is known yet: two axles, the front one steers. */
export function blankVehicle(id: string): Vehicle {
  const front: Axle = { ...PLAIN_AXLE, steered: true, driven: true };
  return {
    id,
    fleetCode: '',
    plate: '',
    vin: '',
    make: '',
    model: '',
    year: new Date(nowMs()).getFullYear(),
    class: 'car',
    axles: [front, PLAIN_AXLE],
    use: '',
    meterUnit: 'km',
    makeUp: USUAL_MAKE_UP,
    spec: BLANK_SPEC,
  };
}
