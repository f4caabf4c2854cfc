import {
  BASES,
  BATTERY_TYPES,
  BRAKE_FLUID_GRADES,
  CHANGE_JOBS,
  CODE_STATES,
  FLUIDS,
  GRADES,
  HOUSE_CHOICES,
  HOUSE_QUESTIONS,
  HOUSE_RANGES,
  LAMPS,
  LEAK_GRADES,
  LEAK_STAGES,
  LIMIT_KINDS,
  MEASURE_CODES,
  OFFERED,
  OWN_CODES,
  OWN_LOOK_MOST,
  OWN_NAME_MOST,
  POINT_CODES,
  SEASONS,
  UNIT_CHOICES,
  UNIT_QUESTIONS,
  USUAL_HOUSE_RULES,
  VEHICLE_CLASSES,
  VOCABULARIES,
  VOCABULARY_NAMES,
  WORD_GRADES,
  WORDS,
  isOneOf,
  recordOf,
  rulebookProblems,
  type HouseRules,
  type LimitSheet,
  type Offered,
  type Rulebook,
  type Template,
  type Vocabulary,
} from '@weskopos/core';
import { z } from 'zod';
import { isRaw, mapped, recordKind } from './record';
import { idSchema, instantSchema, textSchema, versionSchema } from './shapes';

const codeSchema = z.string().regex(/^[a-z0-9][a-z0-9-]{0,39}$/, 'lower-case letters, figures and hyphens');
const thresholdSchema = z.strictObject({
  grade: z.enum(['advisory', 'fail']),
  bad: z.enum(['below', 'above']),
  value: z.number(),
  inclusive: z.boolean(),
  basis: z.enum(BASES),
  source: textSchema(200),
});
const rowSchema = z.strictObject({
  measure: z.enum(MEASURE_CODES),
  kind: z.enum(LIMIT_KINDS),
  applies: z.strictObject({
    classes: z.array(z.enum(VEHICLE_CLASSES)).optional(),
    points: z.array(z.enum(POINT_CODES)).optional(),
    axles: z.enum(['front', 'rear']).optional(),
    wheels: z.enum(['single', 'dual']).optional(),
    season: z.enum(SEASONS).optional(),
    brakeFluid: z.enum(BRAKE_FLUID_GRADES).optional(),
    charging: z.enum(['plain', 'smart']).optional(),
    batteries: z.array(z.enum(BATTERY_TYPES)).optional(),
  }),
  thresholds: z.array(thresholdSchema).max(8),
  ignoreUpToKpa: z.number().min(0).max(200).optional(),
});
const stageGrades = z.strictObject(
  Object.fromEntries(LEAK_STAGES.slice(1).map((stage) => [stage, z.enum(LEAK_GRADES)])),
);
const wordGrades = Object.fromEntries(
  VOCABULARY_NAMES.map((name) => [
    name,
    z
      .partialRecord(z.enum(WORDS), z.enum(WORD_GRADES))
      .refine(
        (grades) => Object.keys(grades).every((word) => isOneOf<string>(VOCABULARIES[name], word)),
        'only words of this vocabulary',
      ),
  ]),
);
const each = <K extends string, V extends z.ZodType>(keys: readonly K[], value: V) =>
  z.strictObject(recordOf(keys, () => value));

const limitSheetSchema = z.strictObject({
  code: codeSchema,
  version: versionSchema.min(1),
  validFrom: z.iso.date(),
  rows: z.array(rowSchema).max(400),
  leaks: each(FLUIDS, stageGrades),
  words: z.strictObject(wordGrades),
  lamps: each(LAMPS, z.enum(['advisory', 'fail'])),
  countFails: z.array(z.enum(POINT_CODES)),
  codes: each(CODE_STATES, z.enum(WORD_GRADES)),
}) as unknown as z.ZodType<LimitSheet>;

const templateSchema = z.strictObject({
  code: codeSchema,
  name: textSchema(60).trim(),
  points: z.array(z.enum(POINT_CODES)).max(POINT_CODES.length),
  asks: z.array(z.enum(MEASURE_CODES)),
  nothingCarried: z.boolean(),
  onlyWatched: z.boolean(),
  offeredTo: z.enum(OFFERED),
}) satisfies z.ZodType<Template>;

const within = ({ least, most }: { readonly least: number; readonly most: number }) => z.number().min(least).max(most);
const choices = recordOf(HOUSE_QUESTIONS, (question) => z.enum<readonly string[]>(HOUSE_CHOICES[question]));
const units = recordOf(UNIT_QUESTIONS, (question) => z.enum<readonly string[]>(UNIT_CHOICES[question]));
const houseSchema = z.strictObject({
  ...choices,
  units: z.strictObject(units),
  sheet: codeSchema,
  designLowC: within(HOUSE_RANGES.designLowC),
  hardUseFactor: z.number(),
  lookAhead: z.number(),
  repeatability: z.partialRecord(z.enum(MEASURE_CODES), z.number().positive().max(100)),
  winterMonths: z.array(z.number().int().min(1).max(12)).max(12),
  changeCaps: z.partialRecord(
    z.enum(CHANGE_JOBS),
    z.strictObject({
      km: within(HOUSE_RANGES.capKm).nullable(),
      months: within(HOUSE_RANGES.capMonths).int().nullable(),
      hours: within(HOUSE_RANGES.capHours).nullable(),
    }),
  ),
  altitudeM: within(HOUSE_RANGES.altitudeM),
  carryDays: within(HOUSE_RANGES.carryDays),
  carryKm: within(HOUSE_RANGES.carryKm),
  ownPoints: z.partialRecord(
    z.enum(OWN_CODES),
    z.strictObject({ name: textSchema(OWN_NAME_MOST).trim().min(1), look: textSchema(OWN_LOOK_MOST) }),
  ),
}) as unknown as z.ZodType<HouseRules>;

const plainRulebookSchema = z.strictObject({
  version: versionSchema,
  sheets: z.array(limitSheetSchema).max(20),
  templates: z.array(templateSchema).max(60),
  house: houseSchema,
}) satisfies z.ZodType<Rulebook>;

/** A rulebook that holds together; each problem names its field. */
export const rulebookSchema: z.ZodType<Rulebook> = plainRulebookSchema.superRefine((rulebook, context) => {
  for (const { field, code } of rulebookProblems(rulebook)) {
    context.addIssue({
      code: 'custom',
      path: field.split('.').map((part) => (/^\d+$/.test(part) ? Number(part) : part)),
      message: code,
      params: { code, allowed: code },
    });
  }
});

/** Up to the second version a template's code said for which vehicles it is. */
function offeredByCode(code: unknown): Offered {
  if (code === 'first-fourteen') return 'nobody';
  if (code === 'cold-gate') return 'all';
  if (code === 'minibus') return 'lift';
  return typeof code === 'string' && code.startsWith('plant') ? 'plant' : 'road';
}
const lacksOffered = (one: unknown) => isRaw(one) && !('offeredTo' in one);

/** Vocabularies that were one with the general one: what the house had said of it goes on for each of them. */
const ONCE_GENERAL = ['wheel-bolt', 'restraint', 'parking-brake'] as const satisfies readonly Vocabulary[];
const lacksOwnWords = (sheet: unknown) =>
  isRaw(sheet) && isRaw(sheet.words) && ONCE_GENERAL.some((name) => isRaw(sheet.words) && !(name in sheet.words));

function withOwnWords(sheet: unknown): unknown {
  if (!isRaw(sheet) || !isRaw(sheet.words)) return sheet;
  const { general } = sheet.words;
  return { ...sheet, words: { ...recordOf(ONCE_GENERAL, () => general), ...sheet.words } };
}

/** What a house follows that was never asked: what every house did until then. */
const { altitudeM, carryDays, carryKm } = USUAL_HOUSE_RULES;
const FIGURES_OF_FIFTH = { changeCaps: {}, altitudeM, carryDays, carryKm };

export const rulebookRecord = recordKind<Rulebook>({
  name: 'rulebook',
  schema: rulebookSchema,
  versionOf: ({ house, templates, sheets }) => {
    if (isRaw(house) && !('lookAhead' in house && 'repeatability' in house)) return 1;
    if (Array.isArray(templates) && templates.some(lacksOffered)) return 2;
    if (Array.isArray(sheets) && sheets.some(lacksOwnWords)) return 3;
    if (isRaw(house) && !('changeCaps' in house)) return 4;
    return isRaw(house) && !('ownPoints' in house) ? 5 : 6;
  },
  upgrades: [
    // A house that was not asked yet follows what is usual.
    (raw) => ({
      ...raw,
      house: isRaw(raw.house) ? { lookAhead: USUAL_HOUSE_RULES.lookAhead, repeatability: {}, ...raw.house } : raw.house,
    }),
    (raw) => ({
      ...raw,
      templates: mapped(raw.templates, (one) => (isRaw(one) ? { offeredTo: offeredByCode(one.code), ...one } : one)),
    }),
    (raw) => ({ ...raw, sheets: mapped(raw.sheets, withOwnWords) }),
    (raw) => ({ ...raw, house: isRaw(raw.house) ? { ...FIGURES_OF_FIFTH, ...raw.house } : raw.house }),
    (raw) => ({ ...raw, house: isRaw(raw.house) ? { ownPoints: {}, ...raw.house } : raw.house }),
  ],
});

/** What proposed rules would change, over the visits the workshop holds. */
export const rulebookPreviewSchema = z.object({
  visits: z.number().int(),
  points: z.number().int(),
  /** The worst-changed visits first; at most a page of them. */
  changes: z.array(
    z.object({
      inspectionId: idSchema,
      fleetCode: z.string(),
      startedAt: instantSchema,
      key: z.string(),
      before: z.enum(GRADES),
      after: z.enum(GRADES),
    }),
  ),
  /** All changes there are, by what became of what. */
  totals: z.array(z.object({ before: z.enum(GRADES), after: z.enum(GRADES), points: z.number().int() })),
});
/** What a version of the rules would change, before it is saved. */
export type RulebookPreview = z.infer<typeof rulebookPreviewSchema>;
