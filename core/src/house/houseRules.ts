import { typedKeys } from '../sums/keyed';
import type { JobCode } from '../vehicle/jobs';
import type { MeasureCode } from '../catalogue/measures';
import type { OwnPoints } from './ownPoint';
import type { Unit } from '../units/units';

const CHOICES = {
  /** When a fluid or filter is changed. */
  fluidChange: ['earlier', 'maker', 'condition'],
  hardUse: ['shortened', 'same'],
  liningAs: ['mm', 'percent', 'steps'],
  treadAs: ['gauge', 'bars'],
  lowBrakeFluid: ['leave', 'top-up'],
  drainWasher: ['new', 'reuse'],
  filterTightness: ['half-turn', 'torque'],
  dipstickWhileFilling: ['spec', 'in', 'out'],
  oilTarget: ['top', 'middle'],
  draining: ['warm', 'cold'],
  bestTyres: ['rear', 'even-out'],
  rotation: ['by-drive', 'none'],
  dampSeal: ['watch', 'advisory'],
  nearLimit: ['plain', 'guarded'],
  positionWords: ['kerb', 'left-right', 'driver'],
  /** The side of the road that traffic keeps to: the kerb, and the nearside, is there. */
  traffic: ['left', 'right'],
  beginWith: ['cold', 'under', 'cabin'],
} as const;

/** What a house can answer its own way. */
export type HouseQuestion = keyof typeof CHOICES;
/** The answers to one question of the house. */
export type HouseChoice<Q extends HouseQuestion> = (typeof CHOICES)[Q][number];
/** The schools of each question; the first is the default. */
export const HOUSE_CHOICES: { readonly [Q in HouseQuestion]: readonly HouseChoice<Q>[] } = CHOICES;
export const HOUSE_QUESTIONS = typedKeys(CHOICES);

/** Units the workshop reads and types in; everything is stored in SI. */
export const UNIT_CHOICES = {
  pressure: ['kPa', 'bar', 'psi'],
  tread: ['mm', '/32in'],
  distance: ['km', 'mi'],
  temperature: ['°C', '°F'],
  volume: ['L', 'US qt'],
  torque: ['N·m', 'lb·ft'],
} as const satisfies Record<string, readonly Unit[]>;
/** What a house can read and type in units of its own. */
export type UnitQuestion = keyof typeof UNIT_CHOICES;
export const UNIT_QUESTIONS = typedKeys(UNIT_CHOICES);
/** The units a house reads and types in. */
export type HouseUnits = { readonly [Q in UnitQuestion]: (typeof UNIT_CHOICES)[Q][number] };

/** How this workshop works and judges, where the law and the maker leave it free. */
export type HouseRules = { readonly [Q in HouseQuestion]: HouseChoice<Q> } & {
  readonly units: HouseUnits;
  /** Code of the limit sheet that judges. */
  readonly sheet: string;
  /** Lowest temperature to expect, °C: what coolant is judged by. */
  readonly designLowC: number;
  /** Share of an interval that hard use leaves, over 0 to 1. */
  readonly hardUseFactor: number;
  /** Chance to be under the fail limit before the next visit from which a passing wear reading is an advisory, over 0 to 1. */
  readonly lookAhead: number;
  /** How well this house's own gauges and hands repeat, one standard deviation, stored unit; else the usual gauge's. */
  readonly repeatability: Readonly<Partial<Record<MeasureCode, number>>>;
  /** Months in which winter-marked tyres are judged as such, 1 to 12. */
  readonly winterMonths: readonly number[];
  /** The longest a fluid or filter stays in, by its job, under *the earlier of maker’s interval and house cap*. */
  readonly changeCaps: Readonly<Partial<Record<ChangeJob, ChangeCap>>>;
  /** Height of the workshop over the sea, m: the air a gauge reads against. */
  readonly altitudeM: number;
  /** A level or a pressure is not carried from a look older than this. */
  readonly carryDays: number;
  /** Nor from one farther back than this, km. */
  readonly carryKm: number;
  /** Points the workshop added to the catalogue; its templates say where they are looked at. */
  readonly ownPoints: OwnPoints;
};

/** Jobs that renew a fluid or a filter. */
export const CHANGE_JOBS = [
  'engine-oil',
  'oil-filter',
  'air-filter',
  'cabin-filter',
  'fuel-filter',
  'coolant',
  'brake-fluid',
  'gearbox-oil',
  'transfer-oil',
  'axle-oil',
  'hydraulic-oil',
] as const satisfies readonly JobCode[];
/** A job that renews a fluid or a filter. */
export type ChangeJob = (typeof CHANGE_JOBS)[number];

/** A house's own longest interval; null for a measure it does not cap by. */
export interface ChangeCap {
  readonly km: number | null;
  readonly months: number | null;
  readonly hours: number | null;
}

/** What the house's few figures may be. */
export const HOUSE_RANGES = {
  designLowC: { least: -60, most: 20 },
  altitudeM: { least: -500, most: 6000 },
  carryDays: { least: 1, most: 365 },
  carryKm: { least: 1, most: 50_000 },
  capKm: { least: 100, most: 1_000_000 },
  capMonths: { least: 1, most: 240 },
  capHours: { least: 1, most: 100_000 },
} as const;

export const USUAL_HOUSE_RULES: HouseRules = {
  ...(Object.fromEntries(HOUSE_QUESTIONS.map((question) => [question, CHOICES[question][0]])) as {
    [Q in HouseQuestion]: HouseChoice<Q>;
  }),
  units: { pressure: 'kPa', tread: 'mm', distance: 'km', temperature: '°C', volume: 'L', torque: 'N·m' },
  sheet: 'baseline',
  designLowC: -25,
  hardUseFactor: 0.7,
  lookAhead: 0.2,
  repeatability: {},
  winterMonths: [11, 12, 1, 2, 3],
  changeCaps: {
    'engine-oil': { km: 20_000, months: 12, hours: 250 },
    'brake-fluid': { km: null, months: 24, hours: null },
    coolant: { km: null, months: 60, hours: null },
  },
  altitudeM: 0,
  carryDays: 14,
  carryKm: 500,
  ownPoints: {},
};
