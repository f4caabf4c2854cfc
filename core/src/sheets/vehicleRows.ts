import equal from 'fast-deep-equal';
import { DRIVES, GEARBOXES, POWERS, USUAL_MAKE_UP, type MakeUp } from '../vehicle/makeUp';
import { BLANK_SPEC, BRAKE_FLUID_GRADES, PLAIN_FLUID, PLAIN_TORQUE, type SpecSheet } from '../vehicle/specSheet';
import {
  METER_UNITS,
  PLAIN_AXLE,
  VEHICLE_CLASSES,
  type Axle,
  type MeterUnit,
  type Vehicle,
  type VehicleClass,
} from '../vehicle/vehicle';
import { cellText } from './readCell';
import { fateOf, isKept, type DoubtAnswers, type RowFate, type SheetRow } from './rowFate';
import { RowReader, plainWords, type SheetDoubt, type SheetReading } from './rowReader';
import type { SheetField } from './sheetKinds';

/** How rows of vehicles are taken in. */
export interface TakingVehicles {
  readonly reading: SheetReading;
  readonly answers: DoubtAnswers;
  readonly now: string;
  readonly idOf: (text: string) => string;
}

const CLASS_WORDS: Readonly<Record<string, VehicleClass>> = {
  'passenger car': 'car',
  pkw: 'car',
  van: 'light-goods',
  'light goods vehicle': 'light-goods',
  lgv: 'light-goods',
  pickup: 'light-goods',
  truck: 'goods',
  lorry: 'goods',
  lkw: 'goods',
  hgv: 'goods',
  coach: 'bus',
  tractor: 'plant',
  machine: 'plant',
};
const POWER_WORDS: Readonly<Record<string, MakeUp['power']>> = {
  gas: 'petrol',
  gasoline: 'petrol',
  benzin: 'petrol',
  ev: 'electric',
  battery: 'electric',
  strom: 'electric',
};
const DRIVE_WORDS: Readonly<Record<string, MakeUp['drive']>> = {
  fwd: 'front',
  rwd: 'rear',
  awd: 'four-permanent',
  '4wd': 'four-selectable',
  '4x4': 'four-selectable',
};
const METER_WORDS: Readonly<Record<string, MeterUnit>> = { kilometres: 'km', kilometers: 'km', hours: 'h', hrs: 'h' };
const PRESSURE = { least: 50, most: 1200 };
const DISC = { least: 3, most: 60 };

/**
 * What becomes of rows of vehicles, and the vehicles they make: new ones, and known ones with what the table says
 * otherwise, which is asked. What a row leaves empty stays as it is.
 */
export function takeVehicles(
  rows: readonly SheetRow[],
  known: readonly Vehicle[],
  taking: TakingVehicles,
): { readonly fates: readonly RowFate[]; readonly vehicles: readonly Vehicle[] } {
  const byCode = new Map(known.map((one) => [plainWords(one.fleetCode), one]));
  const named = new Map<string, number>();
  const vehicles: Vehicle[] = [];
  const fates = rows.map(({ row, cells }): RowFate => {
    const reader = new RowReader(cells, taking.reading);
    const fleetCode = reader.text('fleetCode', 20);
    const key = plainWords(fleetCode);
    const before = byCode.get(key) ?? null;
    const vehicle = vehicleOf(reader, fleetCode, before, taking);
    const earlier = named.get(key);
    if (earlier !== undefined)
      reader.wrong('fleetCode', 'code-taken', `each vehicle once; it is in row ${earlier} too`);
    named.set(key, row);
    if (reader.faults.length > 0) return fateOf(row, reader.faults, [], taking.answers);
    if (before && equal(before, vehicle)) return { row, fate: 'same', faults: [], doubts: [] };
    const doubts = before ? changesOf(before, vehicle) : [];
    if (isKept(doubts, taking.answers)) vehicles.push(vehicle);
    return fateOf(row, [], doubts, taking.answers);
  });
  return { fates, vehicles };
}

function vehicleOf(
  reader: RowReader,
  fleetCode: string,
  before: Vehicle | null,
  { idOf, now }: TakingVehicles,
): Vehicle {
  const silent = (field: SheetField) => reader.written(field) === '';
  /** What the row says, or what was so before, or what is usual where nobody knows. */
  const said = <T>(field: SheetField, read: () => T | null, was: T): T =>
    silent(field) && before ? was : (read() ?? was);
  const nextYear = Number(now.slice(0, 4)) + 1;
  const makeUp = before?.makeUp ?? USUAL_MAKE_UP;
  return {
    id: before?.id ?? idOf(`vehicle\n${plainWords(fleetCode)}`),
    fleetCode: before?.fleetCode ?? fleetCode,
    plate: said('plate', () => reader.text('plate', 20), before?.plate ?? ''),
    vin: said('vin', () => reader.text('vin', 20), before?.vin ?? ''),
    make: said('make', () => reader.text('make', 40), before?.make ?? ''),
    model: said('model', () => reader.text('model', 60), before?.model ?? ''),
    year: said('year', () => yearOf(reader, nextYear), before?.year ?? nextYear),
    class: said('class', () => reader.choice('class', VEHICLE_CLASSES, CLASS_WORDS), before?.class ?? 'car'),
    use: said('use', () => reader.text('use', 80), before?.use ?? ''),
    meterUnit: said('meterUnit', () => reader.choice('meterUnit', METER_UNITS, METER_WORDS), before?.meterUnit ?? 'km'),
    axles: axlesOf(reader, before?.axles ?? null),
    makeUp: {
      ...makeUp,
      power: said('power', () => reader.choice('power', POWERS, POWER_WORDS), makeUp.power),
      gearbox: said('gearbox', () => reader.choice('gearbox', GEARBOXES), makeUp.gearbox),
      drive: said('drive', () => reader.choice('drive', DRIVES, DRIVE_WORDS), makeUp.drive),
    },
    spec: specOf(reader, before?.spec ?? BLANK_SPEC),
  };
}

/** A year, or the year of a day. */
function yearOf(reader: RowReader, last: number): number | null {
  const written = cellText(reader.cell('year'));
  const [year] = /\b(19|20)\d\d\b/.exec(written) ?? [];
  if (written === '') reader.wrong('year', 'missing', `1900 to ${last}`);
  else if (year === undefined) reader.wrong('year', 'unreadable', `1900 to ${last}`);
  else if (Number(year) > last) reader.wrong('year', 'out-of-range', `1900 to ${last}`);
  else return Number(year);
  return null;
}

function axlesOf(reader: RowReader, before: readonly Axle[] | null): readonly Axle[] {
  const count = reader.figure('axles', 'step', { least: 1, most: 4 });
  if (count !== null && !Number.isInteger(count)) reader.wrong('axles', 'unreadable', '1, 2, 3, 4');
  const usual = Array.from({ length: count ?? 2 }, (_, n): Axle => ({
    ...PLAIN_AXLE,
    steered: n === 0,
    driven: n === 0,
  }));
  const base = before && (count === null || count === before.length) ? before : usual;
  const size = reader.text('tyreSize', 30);
  const at = (n: number, front: number | null, rear: number | null, was: number | null) =>
    (n === 0 ? front : rear) ?? was;
  const [kpaFront, kpaRear] = [
    reader.figure('frontPressure', 'kPa', PRESSURE),
    reader.figure('rearPressure', 'kPa', PRESSURE),
  ];
  const [discFront, discRear] = [
    reader.figure('frontDiscMinimum', 'mm', DISC),
    reader.figure('rearDiscMinimum', 'mm', DISC),
  ];
  return base.map((axle, n) => ({
    ...axle,
    tyreSize: size === '' ? axle.tyreSize : size,
    placardKpa: at(n, kpaFront, kpaRear, axle.placardKpa),
    discMinimumMm: at(n, discFront, discRear, axle.discMinimumMm),
  }));
}

function specOf(reader: RowReader, before: SpecSheet): SpecSheet {
  const brakeFluid = reader.written('brakeFluid') === '' ? null : reader.choice('brakeFluid', BRAKE_FLUID_GRADES);
  const [grade, litres] = [reader.text('oilGrade', 60), reader.figure('oilCapacity', 'L', { least: 0.1, most: 400 })];
  const torque = reader.figure('wheelTorque', 'N·m', { least: 1, most: 2000 });
  const oil = before.fluids.find(({ fluid }) => fluid === 'engine-oil') ?? {
    ...PLAIN_FLUID,
    fluid: 'engine-oil' as const,
  };
  const bolts = before.torques.find(({ fastener }) => fastener === 'wheel-bolts') ?? {
    ...PLAIN_TORQUE,
    fastener: 'wheel-bolts' as const,
  };
  const hasOil = grade !== '' || litres !== null;
  return {
    ...before,
    brakeFluid: brakeFluid ?? before.brakeFluid,
    fluids: hasOil
      ? [
          ...before.fluids.filter((one) => one.fluid !== 'engine-oil'),
          { ...oil, grade: grade === '' ? oil.grade : grade, capacityL: litres ?? oil.capacityL },
        ]
      : before.fluids,
    torques:
      torque === null
        ? before.torques
        : [...before.torques.filter((one) => one.fastener !== 'wheel-bolts'), { ...bolts, newtonMetres: torque }],
  };
}

const ASKED = [
  'plate',
  'vin',
  'make',
  'model',
  'year',
  'class',
  'use',
  'meterUnit',
] as const satisfies readonly (keyof Vehicle & SheetField)[];

/** What the table says otherwise than the workshop. */
function changesOf(before: Vehicle, after: Vehicle): SheetDoubt[] {
  const plain = ASKED.filter((field) => before[field] !== after[field]).map((field): SheetDoubt => ({
    field,
    code: 'here-otherwise',
    written: String(after[field]),
    allowed: String(before[field]),
  }));
  const rest = !equal([before.axles, before.makeUp, before.spec], [after.axles, after.makeUp, after.spec]);
  return rest
    ? [...plain, { field: 'axles', code: 'here-otherwise', written: '', allowed: 'as its spec sheet says' }]
    : plain;
}
