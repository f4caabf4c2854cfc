import { BASES, GRADES, MEASURE_CODES, POINT_CODES, SPOTS, SYSTEMS, type Forecast, type Series } from '@weskopos/core';
import { z } from 'zod';
import { instantSchema, idSchema, placeSchema, wheelSchema } from './records/shapes';
import { depthCurveSchema } from './wear';

const seriesReadingSchema = z.object({
  inspectionId: idSchema,
  at: instantSchema,
  meter: z.number(),
  travelled: z.number(),
  value: z.number(),
  u: z.number(),
  startsPart: z.boolean(),
  part: z.string(),
});

const seriesSchema: z.ZodType<Series> = z.object({
  key: z.string(),
  point: z.enum(POINT_CODES),
  place: placeSchema,
  spot: z.enum(SPOTS),
  measure: z.enum(MEASURE_CODES),
  readings: z.array(seriesReadingSchema),
  ofPart: z.array(seriesReadingSchema),
  bounds: z
    .array(
      z.object({
        inspectionId: idSchema,
        at: instantSchema,
        travelled: z.number(),
        value: z.number(),
        u: z.number(),
        bound: z.enum(['over', 'under']),
      }),
    )
    .optional(),
  fitted: z.object({ at: instantSchema, travelled: z.number(), fresh: z.number() }).nullable(),
  before: z.array(z.object({ place: z.union([placeSchema, wheelSchema]), until: z.number() })).optional(),
  sets: z.object({ changes: z.array(z.number()), halfYear: z.number().nullable() }).optional(),
});

export const rangeSchema = z.object({ low: z.number(), mid: z.number().nullable(), high: z.number().nullable() });

const forecastSchema: z.ZodType<Forecast> = z.discriminatedUnion('status', [
  z.object({ status: z.literal('needs-readings'), have: z.number(), want: z.number() }),
  z.object({
    status: z.enum(['reached', 'running-out', 'far-off']),
    at: instantSchema,
    line: z.object({
      travelled: z.number(),
      value: z.number(),
      rate: z.number(),
      valueVariance: z.number(),
      rateVariance: z.number(),
      covariance: z.number(),
      curve: depthCurveSchema.optional(),
    }),
    distance: rangeSchema,
    days: rangeSchema.nullable(),
    lookAgain: z.number().nullable(),
    from: z.enum(['readings', 'fleet', 'general']),
    held: z.number().optional(),
    perhaps: z.object({ factor: z.number(), chance: z.number() }).optional(),
    odd: z.number(),
  }),
]);

/** A wear series with its forecast to the fail limit. */
export const trendSchema = z.object({
  series: seriesSchema,
  forecast: forecastSchema,
  limit: z.number(),
  basis: z.enum(BASES),
});
/** A series of readings with its forecast, for one part. */
export type Trend = z.infer<typeof trendSchema>;

/** Where wear ends and when, as a report tells it. */
const toldRunOutSchema = trendSchema.extend({
  series: z.object({
    key: z.string(),
    point: z.enum(POINT_CODES),
    place: placeSchema,
    spot: z.enum(SPOTS),
    measure: z.enum(MEASURE_CODES),
  }),
});

/** What a report states, graded by the server from what it holds. */
export const reportSchema = z.object({
  inspectionId: idSchema,
  grade: z.enum(GRADES),
  counts: z.record(z.enum(GRADES), z.number()),
  points: z.array(
    z.object({
      key: z.string(),
      grade: z.enum(GRADES),
      computed: z.enum(GRADES),
      watch: z.boolean(),
      corrected: z.boolean(),
      closeCall: z.boolean(),
      reasons: z.array(z.looseObject({ rule: z.string(), grade: z.enum(GRADES) })),
    }),
  ),
  systems: z.array(
    z.object({ system: z.enum(SYSTEMS), grade: z.enum(GRADES), counts: z.record(z.enum(GRADES), z.number()) }),
  ),
  notSeen: z.array(z.string()),
  runOut: z.array(toldRunOutSchema),
});
/** What a report states, graded by the server from what it holds. */
export type ReportData = z.infer<typeof reportSchema>;
