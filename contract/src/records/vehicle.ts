import {
  BATTERY_TYPES,
  BLANK_SPEC,
  BODIES,
  BRAKE_FLUID_GRADES,
  CRANK_STANDARDS,
  DRIVES,
  ENGINE_PLACES,
  FASTENERS,
  GEARBOXES,
  METER_UNITS,
  PLAIN_AXLE,
  POWERS,
  SPEC_FLUIDS,
  STEERINGS,
  USUAL_MAKE_UP,
  VEHICLE_CLASSES,
  jobNamed,
  type Axle,
  type MakeUp,
  type SpecSheet,
  type Vehicle,
} from '@weskopos/core';
import { z } from 'zod';
import { idSchema, jobSchema, textSchema } from './shapes';
import { isRaw, mapped, recordKind, type Raw } from './record';
import { integer, json, text, uuid, type Table } from './table';

const placardSchema = z.number().min(50).max(1200).nullable();

const axleSchema = z.strictObject({
  dual: z.boolean(),
  brake: z.enum(['disc', 'drum']),
  steered: z.boolean(),
  driven: z.boolean(),
  placardKpa: placardSchema,
  placardFullKpa: placardSchema,
  discMinimumMm: z.number().min(3).max(60).nullable(),
  liningNewMm: z.number().min(3).max(30).nullable(),
  tyreSize: textSchema(30).trim(),
  suspension: z.enum(['independent', 'rigid']).nullable(),
}) satisfies z.ZodType<Axle>;

const makeUpSchema = z.strictObject({
  power: z.enum(POWERS),
  steering: z.enum(STEERINGS),
  gearbox: z.enum(GEARBOXES),
  drive: z.enum(DRIVES),
  spareWheel: z.boolean(),
  passengerLift: z.boolean(),
  towbar: z.boolean(),
  urea: z.boolean(),
  timingBelt: z.boolean(),
  hydraulicClutch: z.boolean(),
  winterTyres: z.boolean(),
  driverSide: z.enum(['L', 'R']).nullable(),
  body: z.enum(BODIES).nullable(),
  enginePlace: z.enum(ENGINE_PLACES),
}) satisfies z.ZodType<MakeUp>;

const overZero = (most: number) => z.number().positive().max(most);
const celsius = z.number().min(-60).max(60);

/** A capacity, torque or interval of zero is no value: left empty it is not known, given it is over 0. */
export const specSchema = z.strictObject({
  systemVolts: z.union([z.literal(12), z.literal(24)]),
  smartCharging: z.boolean(),
  battery: z
    .strictObject({
      type: z.enum(BATTERY_TYPES),
      ratedA: overZero(3000).nullable(),
      standard: z.enum(CRANK_STANDARDS).nullable(),
    })
    .refine(({ ratedA, standard }) => (ratedA === null) === (standard === null), {
      path: ['standard'],
      message: 'a rated current and its standard go together',
    }),
  brakeFluid: z.enum(BRAKE_FLUID_GRADES).nullable(),
  stickSpanL: overZero(20).nullable(),
  studs: z.union([z.literal(4), z.literal(5), z.literal(6), z.literal(8), z.literal(10)]).nullable(),
  fluids: z
    .array(
      z.strictObject({
        fluid: z.enum(SPEC_FLUIDS),
        grade: textSchema(60).trim(),
        capacityL: overZero(400).nullable(),
        spanL: overZero(20).nullable(),
        mark: textSchema(120).trim(),
        climates: z
          .array(
            z
              .strictObject({
                grade: textSchema(60).trim().min(1),
                lowestC: celsius.nullable(),
                highestC: celsius.nullable(),
              })
              .refine(({ lowestC, highestC }) => lowestC === null || highestC === null || lowestC < highestC, {
                path: ['highestC'],
                message: 'above the lowest temperature',
              }),
          )
          .max(6),
      }),
    )
    .max(SPEC_FLUIDS.length),
  torques: z
    .array(
      z.strictObject({
        fastener: z.enum(FASTENERS),
        newtonMetres: overZero(2000),
        socket: textSchema(30).trim(),
        angleDeg: overZero(720).nullable(),
        stagesNm: z.array(overZero(2000)).max(5),
        renew: z.boolean(),
      }),
    )
    .max(FASTENERS.length),
  intervals: z
    .array(
      z.strictObject({
        job: jobSchema,
        km: overZero(1_000_000).nullable(),
        months: z.number().int().min(1).max(240).nullable(),
        hours: overZero(100_000).nullable(),
      }),
    )
    .max(40),
  parts: z.array(z.strictObject({ part: textSchema(60).trim().min(1), number: textSchema(60).trim().min(1) })).max(60),
  hardUse: z.boolean(),
  stickWhileFilling: z.enum(['in', 'out']).nullable(),
  filterThread: textSchema(30).trim(),
  filterSeal: textSchema(30).trim(),
  dashCodes: z
    .array(z.strictObject({ code: textSchema(12).trim().min(1), means: textSchema(120).trim().min(1) }))
    .max(40),
  keyCodePlace: textSchema(120).trim(),
  pivots: z
    .array(
      z.strictObject({
        name: textSchema(60).trim().min(1),
        nipples: z.number().int().min(1).max(99),
        everyHours: overZero(10_000).nullable(),
      }),
    )
    .max(40),
}) satisfies z.ZodType<SpecSheet>;

/** A vehicle as the workshop keeps it. */
export const plainVehicleSchema = z.strictObject({
  id: idSchema,
  fleetCode: textSchema(20).trim().min(1),
  plate: textSchema(20).trim(),
  vin: textSchema(20).trim(),
  make: textSchema(40).trim(),
  model: textSchema(60).trim(),
  year: z.number().int().min(1900).max(2100),
  class: z.enum(VEHICLE_CLASSES),
  axles: z.array(axleSchema).min(1).max(4),
  use: textSchema(80).trim(),
  meterUnit: z.enum(METER_UNITS),
  makeUp: makeUpSchema,
  spec: specSchema,
}) satisfies z.ZodType<Vehicle>;

export const vehicleSchema: z.ZodType<Vehicle> = plainVehicleSchema;

const isNamed = (one: unknown): one is Raw & { readonly job: string } => isRaw(one) && typeof one.job === 'string';
const withJob = (one: unknown) => (isNamed(one) ? { ...one, job: jobNamed(one.job) } : one);
const namedIntervals = ({ spec }: Raw) =>
  isRaw(spec) && Array.isArray(spec.intervals) ? spec.intervals.filter(isNamed) : [];

const lacks = (field: string, { makeUp }: Raw) => isRaw(makeUp) && !(field in makeUp);
const withWork = (spec: Raw): Raw => ({
  stickWhileFilling: null,
  filterThread: '',
  filterSeal: '',
  dashCodes: [],
  keyCodePlace: '',
  pivots: [],
  ...spec,
  fluids: mapped(spec.fluids, (one) => (isRaw(one) ? { spanL: null, mark: '', climates: [], ...one } : one)),
  torques: mapped(spec.torques, (one) => (isRaw(one) ? { angleDeg: null, stagesNm: [], renew: false, ...one } : one)),
});

export const vehicleRecord = recordKind<Vehicle>({
  name: 'vehicle',
  schema: vehicleSchema,
  versionOf: (raw) =>
    !('makeUp' in raw)
      ? 1
      : namedIntervals(raw).length > 0
        ? 2
        : lacks('driverSide', raw)
          ? 3
          : lacks('body', raw)
            ? 4
            : 5,
  upgrades: [
    // Only the first axle steered and was driven, everything else was as usual.
    (raw) => ({
      ...raw,
      vin: '',
      meterUnit: 'km',
      makeUp: USUAL_MAKE_UP,
      spec: BLANK_SPEC,
      axles: mapped(raw.axles, (axle) => (isRaw(axle) ? { ...PLAIN_AXLE, ...axle } : axle)),
    }),
    // Jobs of its intervals had a name only.
    (raw) => ({
      ...raw,
      spec: isRaw(raw.spec) ? { ...raw.spec, intervals: mapped(raw.spec.intervals, withJob) } : raw.spec,
    }),
    // Nobody had been asked for what the work at it needs besides grades, litres and torques.
    (raw) => ({
      ...raw,
      makeUp: isRaw(raw.makeUp) ? { driverSide: null, ...raw.makeUp } : raw.makeUp,
      axles: mapped(raw.axles, (axle) => (isRaw(axle) ? { suspension: null, ...axle } : axle)),
      spec: isRaw(raw.spec) ? withWork(raw.spec) : raw.spec,
    }),
    // Every vehicle was drawn alike.
    (raw) => ({
      ...raw,
      makeUp: isRaw(raw.makeUp) ? { body: null, enginePlace: 'front', ...raw.makeUp } : raw.makeUp,
    }),
  ],
});

export const vehicleTable: Table<Vehicle> = {
  table: 'vehicle',
  fields: {
    id: uuid('id'),
    fleetCode: text('fleet_code'),
    plate: text('plate'),
    vin: text('vin'),
    make: text('make'),
    model: text('model'),
    year: integer('year'),
    class: text('class'),
    axles: json('axles'),
    use: text('use'),
    meterUnit: text('meter_unit'),
    makeUp: json('make_up'),
    spec: json('spec'),
  },
};
