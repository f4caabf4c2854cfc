import {
  BASES,
  CHANGE_SCOPES,
  FLUIDS,
  LEAK_PLACES,
  LEAK_STAGES,
  MEASURE_CODES,
  POINT_CODES,
  SPOTS,
  VEHICLE_CLASSES,
  type ChangeNote,
  type FleetKnowledge,
  type LeakSpot,
} from '@weskopos/core';
import type { BoardPart, VehicleBoard } from '@weskopos/core/outlook';
import { z } from 'zod';
import { idSchema, instantSchema, placeSchema } from './records/shapes';
import { rangeSchema } from './trend';
import { depthCurveSchema } from './wear';

const shiftsSchema = z.record(z.string(), z.object({ mean: z.number(), variance: z.number() }));

const calibrationsSchema = z.record(z.string(), z.object({ scored: z.number(), width: z.number().positive() }));

const heldUpSchema = z.object({ parts: z.number(), held: z.number().nullable() });
const heldSchema = z.record(z.string(), heldUpSchema);

/** What the fleet teaches each forecast, for devices to carry into the bay. */
export const fleetKnowledgeSchema: z.ZodType<FleetKnowledge> = z.object({
  learnedAt: instantSchema.nullable(),
  rates: z.record(
    z.string(),
    z.object({
      parts: z.number(),
      base: z.number(),
      axles: shiftsSchema,
      cells: shiftsSchema,
      vehicles: shiftsSchema,
      between: z.number(),
      within: z.number(),
      changes: z.number(),
      handU: z.number(),
      curve: depthCurveSchema,
      newOff: z.number().optional(),
      movedEvery: z.number().positive().nullable(),
    }),
  ),
  use: z.object({
    cosine: z.number(),
    sine: z.number(),
    strays: z.array(z.object({ days: z.number(), sigma: z.number() })),
    usual: z.number(),
    usualSigma: z.number(),
  }),
  widths: calibrationsSchema,
  held: heldSchema,
});

export const changeNoteSchema: z.ZodType<ChangeNote> = z.discriminatedUnion('kind', [
  z.object({
    kind: z.literal('wear'),
    scope: z.enum(CHANGE_SCOPES),
    point: z.enum(POINT_CODES).nullable(),
    measures: z.array(z.enum(MEASURE_CODES)),
    places: z.array(placeSchema),
    spot: z.enum(SPOTS),
    factor: z.number(),
    since: z.string(),
    sureness: z.number(),
  }),
  z.object({
    kind: z.literal('pressure'),
    place: placeSchema,
    kpaPerMonth: z.number(),
    since: z.string(),
    sureness: z.number(),
  }),
  z.object({
    kind: z.literal('use'),
    what: z.enum(['fuel', 'oil']),
    factor: z.number(),
    since: z.string(),
    sureness: z.number(),
  }),
]);

export const leakSpotSchema: z.ZodType<LeakSpot> = z.object({
  key: z.string(),
  point: z.enum(POINT_CODES),
  fluid: z.enum(FLUIDS),
  place: z.enum(LEAK_PLACES).nullable(),
  looks: z.array(z.object({ at: instantSchema, stage: z.enum(LEAK_STAGES), wiped: z.boolean() })),
  fate: z.enum(['watched', 'closed', 'worse']),
});

/** One part of one vehicle on the fleet's board, by the worst of its spots. */
const boardPartSchema: z.ZodType<BoardPart> = z.object({
  key: z.string(),
  point: z.enum(POINT_CODES),
  place: placeSchema,
  spot: z.enum(SPOTS),
  measure: z.enum(MEASURE_CODES),
  size: z.string(),
  value: z.number(),
  limit: z.number(),
  status: z.enum(['reached', 'running-out', 'far-off']),
  at: instantSchema,
  basis: z.enum(BASES),
  distance: rangeSchema.nullable(),
  days: rangeSchema.nullable(),
  besidePeers: z.number().nullable(),
});
const vehicleBoardSchema: z.ZodType<VehicleBoard> = z.object({
  vehicleId: idSchema,
  fleetCode: z.string(),
  name: z.string(),
  class: z.enum(VEHICLE_CLASSES),
  meterUnit: z.enum(['km', 'h']),
  axles: z.number(),
  lastVisit: instantSchema.nullable(),
  nextVisit: instantSchema.nullable(),
  parts: z.array(boardPartSchema),
  changes: z.array(changeNoteSchema),
  leaks: z.array(leakSpotSchema),
});
export const fleetBoardSchema = z.object({
  learnedAt: instantSchema.nullable(),
  vehicles: z.array(vehicleBoardSchema),
});
/** What runs out in the whole fleet, and since when that is known. */
export type FleetBoard = z.infer<typeof fleetBoardSchema>;

const lossSchema = z.object({ loss: z.number(), ours: z.number(), count: z.number() }).nullable();
export const scoreLineSchema = z.object({
  name: z.string(),
  /** Each part counted once. */
  byPart: heldUpSchema,
  arrived: z.number(),
  waiting: z.number(),
  replaced: z.number(),
  held: z.number().nullable(),
  heldDays: z.number().nullable(),
  off: z.number().nullable(),
  offDays: z.number().nullable(),
  pinball: z.number().nullable(),
  naive: z.object({ 'last-two': lossSchema, line: lossSchema, 'line-from-new': lossSchema, 'fleet-life': lossSchema }),
});

/** How the forecasts that were shown have held, and how well readings repeat. */
export const scorecardSchema = z.object({
  forecasts: z.number(),
  byKind: z.array(scoreLineSchema),
  /** By what the vehicles are used for. */
  byUse: z.array(scoreLineSchema),
  /** How much wider each kind's ranges are told, and by how many readings; none where it speaks as the model does. */
  calibrated: calibrationsSchema,
  repeats: z.array(z.object({ measure: z.enum(MEASURE_CODES), pairs: z.number(), sigma: z.number() })),
  /** Only for a lead, by name: the forecasts shown after each person's visits, and two persons' readings of one thing. */
  byInspector: z.array(scoreLineSchema),
  hands: z.array(
    z.object({
      measure: z.enum(MEASURE_CODES),
      names: z.tuple([z.string(), z.string()]),
      pairs: z.number(),
      /** How much more the first reads than the second, stored unit, and the standard deviation of single differences. */
      bias: z.number(),
      sigma: z.number(),
    }),
  ),
});
/** How well forecasts, gauges and hands held so far. */
export type Scorecard = z.infer<typeof scorecardSchema>;
