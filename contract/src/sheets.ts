import { UNITS, isPlace, MEASURE_CODES, POINT_CODES, SPOTS, type Unit } from '@weskopos/core';
import { DAY_ORDERS } from '@weskopos/core/sheets/readCell';
import { DOUBT_ANSWERS, ROW_FATES } from '@weskopos/core/sheets/rowFate';
import { SHEET_DOUBTS, SHEET_FAULTS } from '@weskopos/core/sheets/rowReader';
import { SHEET_FIELDS, SHEET_KINDS, type SheetField } from '@weskopos/core/sheets/sheetKinds';
import { z } from 'zod';
import { idSchema, textSchema } from './records/shapes';
import { ENCODINGS, SHEET_SEPARATORS } from './sheetNames';
import { DECIMAL_MARKS } from './tableNames';

const FIELDS = [...new Set(Object.values(SHEET_FIELDS).flatMap((fields) => Object.keys(fields)))] as [
  SheetField,
  ...SheetField[],
];
const fieldSchema = z.enum(FIELDS);
const unitSchema = z.enum(Object.keys(UNITS) as [Unit, ...Unit[]]);

/** Columns of a table at most. */
export const MOST_COLUMNS = 200;

const columnSchema = z
  .strictObject({
    field: z.enum([...FIELDS, 'reading']).nullable(),
    unit: unitSchema.nullable(),
    at: z
      .strictObject({
        point: z.enum(POINT_CODES),
        place: z.string().refine(isPlace, 'a place such as 1L, or none'),
        measure: z.enum(MEASURE_CODES),
        spot: z.enum(SPOTS),
      })
      .nullable(),
  })
  .refine(({ field, at }) => (field === 'reading') === (at !== null), {
    path: ['at'],
    message: 'where it was read, for a column of readings and no other',
  });

/** How the file itself is read. */
const fileReadSchema = z.strictObject({
  encoding: z.enum(ENCODINGS),
  separator: z.enum(SHEET_SEPARATORS),
  /** Which sheet of a spreadsheet; empty for a text file. */
  tab: textSchema(100),
  /** The row of the headings, from 1. */
  headingRow: z.number().int().min(1).max(100),
});
export type FileRead = z.infer<typeof fileReadSchema>;

/** How a table is taken: file, style, columns, and what was answered. */
export const sheetReadingSchema = z.strictObject({
  file: fileReadSchema,
  kind: z.enum(SHEET_KINDS),
  style: z.strictObject({ decimal: z.enum(DECIMAL_MARKS), days: z.enum(DAY_ORDERS) }),
  columns: z.array(columnSchema).max(MOST_COLUMNS),
  /** What every row says of a field that no column has. */
  fixed: z.partialRecord(fieldSchema, textSchema(200)),
  answers: z.partialRecord(z.enum(SHEET_DOUBTS), z.enum(DOUBT_ANSWERS)),
});
export type SheetTaking = z.infer<typeof sheetReadingSchema>;

export const sheetLookedSchema = z.strictObject({
  /** Read so instead of as it was guessed; left out where it is the first look. */
  file: fileReadSchema.optional(),
  kind: z.enum(SHEET_KINDS).optional(),
});

export const sheetLookSchema = z.object({
  id: idSchema,
  name: z.string(),
  format: z.enum(['csv', 'xlsx']),
  /** Sheets of a spreadsheet. */
  tabs: z.array(z.string()),
  headings: z.array(z.string()),
  /** The first rows below the headings, as a person reads them. */
  sample: z.array(z.array(z.string())),
  /** What was guessed, to be put right. */
  guess: sheetReadingSchema,
  /** Days could be read in another order too. */
  daysUnsure: z.boolean(),
});
/** What a file that was sent looks like. */
export type SheetLook = z.infer<typeof sheetLookSchema>;

const toldSchema = z.object({ field: fieldSchema, written: z.string(), allowed: z.string() });
const rowFateSchema = z.object({
  /** In the file, from 1. */
  row: z.number(),
  fate: z.enum(ROW_FATES),
  faults: z.array(toldSchema.extend({ code: z.enum(SHEET_FAULTS) })),
  doubts: z.array(toldSchema.extend({ code: z.enum(SHEET_DOUBTS) })),
});

export const sheetPlanSchema = z.object({
  id: idSchema,
  rows: z.record(z.enum(ROW_FATES), z.number()),
  /** The first rows that are refused or doubtful; all of them are in the report. */
  told: z.array(rowFateSchema),
  /** What is asked, with how many rows each is about and what was answered. */
  doubts: z.array(z.object({ code: z.enum(SHEET_DOUBTS), rows: z.number() })),
  makes: z.object({ vehicles: z.number(), changed: z.number(), visits: z.number(), entries: z.number() }),
  /** Vehicles it says something of. */
  vehicles: z.array(z.object({ id: idSchema, fleetCode: z.string() })),
  /** Names in it that nobody here has: they are kept beside what they did, and cannot sign in. */
  strangers: z.array(z.string()),
});
/** What taking a table would do, told before anything is written. */
export type SheetPlan = z.infer<typeof sheetPlanSchema>;

export const sheetTakenSchema = z.strictObject({
  reading: sheetReadingSchema,
  /** Rows that are refused are left out; without that nothing is taken where there are any. */
  leaveRefused: z.boolean(),
});
export const sheetProgressSchema = z.object({
  /** Rows looked at so far, of how many; 0 of 0 while nobody looks. */
  done: z.number(),
  rows: z.number(),
});
