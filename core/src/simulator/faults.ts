import type { PointCode } from '../catalogue/catalogue';
import type { FaultCode } from '../catalogue/counted';
import { DRY, LEAK_STAGES, type Fluid, type LeakObservation, type LeakPlace, type LeakStage } from '../catalogue/leaks';
import type { MeasureCode } from '../catalogue/measures';
import type { Spot } from '../catalogue/points/point';
import type { Word } from '../catalogue/words';
import type { Place } from '../vehicle/vehicle';

export const FAULTS = [
  'weeping-seal',
  'coolant-loss',
  'misalignment',
  'under-inflation',
  'thermostat-open',
  'fuel-in-oil',
] as const;
/** Something that is wrong with a simulated vehicle. */
export type FaultKind = (typeof FAULTS)[number];

/** A fault as it really is. */
export interface FaultTruth {
  readonly kind: FaultKind;
  /** On the vehicle's meter, km: before it there is no sign. */
  readonly fromKm: number;
  /** How fast it grows beside the usual: 1 as usual, 2 twice as fast. */
  readonly pace: number;
  /** The tyre or axle it acts on; empty for the vehicle as a whole. */
  readonly place: Place;
}

/** A figure that reads otherwise than on a sound vehicle, by so much, stored unit. */
export interface ShiftedReading {
  readonly point: PointCode;
  readonly place: Place;
  readonly measure: MeasureCode;
  readonly spot: Spot;
  readonly by: number;
}

/** Everything a fault shows, at every point it acts on. */
export interface FaultSigns {
  readonly readings: readonly ShiftedReading[];
  readonly words: readonly { readonly point: PointCode; readonly place: Place; readonly word: Word }[];
  readonly leaks: readonly { readonly point: PointCode; readonly leak: LeakObservation }[];
  readonly codes: readonly { readonly point: PointCode; readonly code: FaultCode }[];
  /** Fuel used, times that of a sound vehicle. */
  readonly fuel: number;
}

const NONE: FaultSigns = { readings: [], words: [], leaks: [], codes: [], fuel: 1 };

/** What the vehicle holds between its marks, L. */
export interface Spans {
  readonly oilL: number;
  readonly coolantL: number;
}

const levels = (points: readonly PointCode[], by: number): ShiftedReading[] =>
  by === 0 ? [] : points.map((point) => ({ point, place: '', measure: 'level', spot: 'whole', by }));
const OIL: readonly PointCode[] = ['cold.oil', 'oil.level'];
const COOLANT: readonly PointCode[] = ['cold.coolant', 'coolant.level'];

/** Thousands of km at which a leak reaches each stage after dry. */
const LEAK_AT = [0, 1.5, 5, 9, 15] as const;
function stageAt(thousands: number): LeakStage {
  const reached = LEAK_AT.filter((at) => thousands >= at).length;
  return LEAK_STAGES[reached] ?? 'run';
}
const isWet = (stage: LeakStage) => LEAK_STAGES.indexOf(stage) >= LEAK_STAGES.indexOf('drop');

function leakSigns(point: PointCode, fluid: Fluid, place: LeakPlace, below: LeakPlace, thousands: number) {
  const stage = stageAt(thousands);
  const leak = { ...DRY, stage, fluid, place };
  // What drips lies under it in the morning, a stage less.
  const pool = isWet(stage)
    ? [{ point: 'cold.pool' as const, leak: { ...leak, stage: 'drop' as const, place: below } }]
    : [];
  return [{ point, leak }, ...pool];
}

type Signs = (thousands: number, truth: FaultTruth, spans: Spans) => Partial<FaultSigns>;

const SIGNS: Readonly<Record<FaultKind, Signs>> = {
  'weeping-seal': (t, _truth, { oilL }) => ({
    leaks: leakSigns('leak.engine', 'engine-oil', 'rear-crank-seal', 'under-gearbox', t),
    readings: levels(OIL, -(0.004 * t * t) / oilL),
  }),
  'coolant-loss': (t, _truth, { coolantL }) => ({
    leaks: leakSigns('leak.cooling', 'coolant', 'pump-weep-hole', 'under-radiator', t),
    readings: levels(COOLANT, -(0.05 * t) / coolantL),
    words: t > 4 ? [{ point: 'hose.coolant.bottom', place: '', word: 'joint-weeping' }] : [],
  }),
  // Toe-out scrubs the inner edges of both tyres of the axle, and feathers them first.
  misalignment: (t, { place }) => {
    const both = (['L', 'R'] as const).map((side) => `${place === '2' ? 2 : 1}${side}` as const);
    const loss = 0.18 * t;
    return {
      readings: both.flatMap((at) => [
        { point: 'tyre.tread', place: at, measure: 'tread', spot: 'inner', by: -loss } as const,
        { point: 'tyre.tread', place: at, measure: 'tread', spot: 'centre', by: -loss / 3 } as const,
      ]),
      words: both.flatMap((at) => [
        ...(loss >= 0.4 ? [{ point: 'tyre.wear', place: at, word: 'feathering' } as const] : []),
        ...(loss >= 1 ? [{ point: 'tyre.wear', place: at, word: 'inner-edge-wear' } as const] : []),
      ]),
    };
  },
  // Soft by a fifth, and both shoulders carry what the middle should.
  'under-inflation': (t, { place }) => {
    const loss = 0.1 * t;
    return {
      readings: [
        { point: 'tyre.pressure', place, measure: 'pressure', spot: 'whole', by: -45 },
        ...(['outer', 'inner'] as const).map(
          (spot) => ({ point: 'tyre.tread', place, measure: 'tread', spot, by: -loss }) as const,
        ),
      ],
      words: loss >= 1 ? [{ point: 'tyre.wear', place, word: 'both-edge-wear' }] : [],
      fuel: 1.02,
    };
  },
  // It never gets warm: water stays in the oil's vapour, the mixture stays rich.
  'thermostat-open': (t) => ({
    codes: [{ point: 'cabin.codes', code: { code: 'P0128', text: 'coolant stays too cold', state: 'stored' } }],
    words: [
      { point: 'cabin.heater', place: '', word: 'damaged' },
      ...(t > 2 ? [{ point: 'oil.cap', place: '', word: 'milky' } as const] : []),
    ],
    fuel: 1.07,
  }),
  // An injector that drips: the oil rises, smells of fuel, and the engine smokes black.
  'fuel-in-oil': (t, _truth, { oilL }) => ({
    readings: levels(OIL, (0.06 * t) / oilL),
    words: [
      ...(t > 1 ? [{ point: 'oil.condition', place: '', word: 'fuel-smell' } as const] : []),
      ...(t > 1 ? [{ point: 'cabin.idle', place: '', word: 'rough' } as const] : []),
      ...(t > 3 ? [{ point: 'cabin.smoke', place: '', word: 'black-on-revs' } as const] : []),
    ],
    fuel: 1.04,
  }),
};

/**
 * What a fault shows at a meter reading, at every point it acts on; nothing before it began. What was topped up since is
 * for the world to add.
 *
 * @param km on the vehicle's meter
 */
export function faultSigns(truth: FaultTruth, km: number, spans: Spans): FaultSigns {
  const thousands = ((km - truth.fromKm) / 1000) * truth.pace;
  return thousands <= 0 ? NONE : { ...NONE, ...SIGNS[truth.kind](thousands, truth, spans) };
}
