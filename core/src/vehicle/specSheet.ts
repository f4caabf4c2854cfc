import type { Job } from './jobs';

/** Test standards of cranking current; figures of two standards are never compared. */
export const CRANK_STANDARDS = ['EN', 'SAE', 'DIN', 'IEC', 'JIS'] as const;
/** By which standard a cranking current was measured. Never converted into another. */
export type CrankStandard = (typeof CRANK_STANDARDS)[number];

/** From here on a battery counts as charged and its cranking current tells of its health, V of a 12 V system at rest. */
export const CHARGED_V = 12.4;

export const BATTERY_TYPES = ['flooded', 'efb', 'agm', 'lithium'] as const;
/** What a battery is made as. */
export type BatteryType = (typeof BATTERY_TYPES)[number];

/** Grades of brake fluid a limit is known for; anything else is written into its fluid row and not judged by boiling point. */
export const BRAKE_FLUID_GRADES = ['DOT 3', 'DOT 4', 'DOT 5.1'] as const;
/** A grade of brake fluid that a limit is known for. */
export type BrakeFluidGrade = (typeof BRAKE_FLUID_GRADES)[number];

export const SPEC_FLUIDS = [
  'engine-oil',
  'coolant',
  'brake-fluid',
  'transmission-fluid',
  'gear-oil',
  'axle-oil',
  'transfer-oil',
  'steering-hydraulic',
  'washer',
  'urea',
  'hydraulic-oil',
] as const;
/** A fluid the spec sheet tells of. */
export type SpecFluidName = (typeof SPEC_FLUIDS)[number];

/** A grade for the weather the vehicle works in, °C; null where it is open to that end. */
export interface ClimateGrade {
  readonly grade: string;
  readonly lowestC: number | null;
  readonly highestC: number | null;
}

/** What the maker wants of one fluid. */
export interface SpecFluid {
  readonly fluid: SpecFluidName;
  readonly grade: string;
  /** Litres, over 0; null when not known. */
  readonly capacityL: number | null;
  /** Litres between its marks, over 0; null when not known. The engine oil's is told by its stick. */
  readonly spanL: number | null;
  /** Where its mark is, in the workshop's words, where the maker made none; empty where it is plain. */
  readonly mark: string;
  /** Other grades by the weather; empty where one does for all. */
  readonly climates: readonly ClimateGrade[];
}

export const FASTENERS = [
  'wheel-bolts',
  'drain-plug',
  'filter-housing',
  'steering-box',
  'spark-plugs',
  'axle-plug',
  'gearbox-plug',
  'transfer-plug',
  'coolant-drain',
  'fuel-filter',
  'battery-clamp',
] as const;
/** Something whose torque the spec sheet tells. */
export type Fastener = (typeof FASTENERS)[number];

/** A torque the maker wants. */
export interface SpecTorque {
  readonly fastener: Fastener;
  readonly newtonMetres: number;
  /** Socket or key, as it is marked; empty when not noted. */
  readonly socket: string;
  /** Turned on by this much after the torque, degrees; null where the torque is all. */
  readonly angleDeg: number | null;
  /** Torques of the stages before the last, N·m; empty where it is done at once. */
  readonly stagesNm: readonly number[];
  /** To be renewed each time. */
  readonly renew: boolean;
}

/** What a fluid and a torque say where nothing more is known. */
export const PLAIN_FLUID = { grade: '', capacityL: null, spanL: null, mark: '', climates: [] } as const;
export const PLAIN_TORQUE = { socket: '', angleDeg: null, stagesNm: [], renew: false } as const;

/** The battery the vehicle is to have. */
export interface SpecBattery {
  readonly type: BatteryType;
  /** Rated cranking current, A, in its own standard. */
  readonly ratedA: number | null;
  readonly standard: CrankStandard | null;
}

/** How often the maker wants a job done; null for a measure that does not count. */
export interface SpecInterval {
  readonly job: Job;
  readonly km: number | null;
  readonly months: number | null;
  readonly hours: number | null;
}

/** The number of a part that fits. */
export interface SpecPart {
  readonly part: string;
  readonly number: string;
}

/** A pivot that is greased: enough is when fresh grease just shows at every nipple. */
export interface Pivot {
  readonly name: string;
  readonly nipples: number;
  /** Hours between two greasings; null where none is set. */
  readonly everyHours: number | null;
}

/** What the dash says by itself when something falls due: a letter with figures, and what it stands for. */
export interface DashCode {
  readonly code: string;
  readonly means: string;
}

/** What the maker says of one vehicle; it overrides a general limit row. */
export interface SpecSheet {
  readonly systemVolts: 12 | 24;
  readonly smartCharging: boolean;
  readonly battery: SpecBattery;
  readonly brakeFluid: BrakeFluidGrade | null;
  /** Litres between the marks of the oil stick. */
  readonly stickSpanL: number | null;
  readonly studs: 4 | 5 | 6 | 8 | 10 | null;
  readonly fluids: readonly SpecFluid[];
  readonly torques: readonly SpecTorque[];
  readonly intervals: readonly SpecInterval[];
  readonly parts: readonly SpecPart[];
  /** Works hard: short trips, dust, towing. */
  readonly hardUse: boolean;
  /** Whether the oil stick stays in while oil is filled in; null when the maker says nothing. */
  readonly stickWhileFilling: 'in' | 'out' | null;
  /** Thread of the spin-on filter and the size of its seal, as they are written; empty when not noted. */
  readonly filterThread: string;
  readonly filterSeal: string;
  readonly dashCodes: readonly DashCode[];
  /** Where the key's emergency code is kept; never the code itself. */
  readonly keyCodePlace: string;
  /** Pivots that are greased, each with its nipples. */
  readonly pivots: readonly Pivot[];
}

export const BLANK_SPEC: SpecSheet = {
  systemVolts: 12,
  smartCharging: false,
  battery: { type: 'flooded', ratedA: null, standard: null },
  brakeFluid: null,
  stickSpanL: null,
  studs: null,
  fluids: [],
  torques: [],
  intervals: [],
  parts: [],
  hardUse: false,
  stickWhileFilling: null,
  filterThread: '',
  filterSeal: '',
  dashCodes: [],
  keyCodePlace: '',
  pivots: [],
};

/** Litres a fluid takes, null when the sheet is silent. */
export function capacityL(spec: Pick<SpecSheet, 'fluids'>, fluid: SpecFluidName): number | null {
  return spec.fluids.find((row) => row.fluid === fluid)?.capacityL ?? null;
}

/** The torque of a fastener, null when the sheet is silent. */
export function torqueOf(spec: SpecSheet, fastener: Fastener): SpecTorque | null {
  return spec.torques.find((row) => row.fastener === fastener) ?? null;
}
