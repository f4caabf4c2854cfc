import {
  BLANK_SPEC,
  DRY,
  PLAIN_AXLE,
  PLAIN_FLUID,
  PLAIN_TORQUE,
  USUAL_MAKE_UP,
  type ActContent,
  type Axle,
  type LeakObservation,
  type LifeEntryContent,
  type PointCode,
  type SpecSheet,
  type Vehicle,
  type Word,
  type Place,
  type Wheel,
} from '@weskopos/core';
import type { BatteryTruth, FaultTruth, WearTruth } from '@weskopos/core/simulated';
import type { DrawnSubject } from './drawPhoto';

/** The demo's people; their PINs are printed at the start. */
export const DEMO_PEOPLE = [
  { name: 'Maren', role: 'lead', secret: '112358' },
  { name: 'Isla', role: 'inspector', secret: '246810' },
  { name: 'Callum', role: 'inspector', secret: '135791' },
] as const;

/** A visit as the story tells it: how long ago, how far on the meter, and what was special. */
export interface StoryVisit {
  readonly daysAgo: number;
  readonly km: number;
  readonly by: (typeof DEMO_PEOPLE)[number]['name'];
  readonly ambientC: number;
  readonly complaint?: string;
  readonly levels?: { readonly oil?: number; readonly coolant?: number };
  readonly waterShare?: number;
  /** Figures as they were read, by point and measure: `walk.spare:pressure`. */
  readonly told?: Readonly<Record<string, number>>;
  readonly words?: Readonly<Record<string, readonly Word[]>>;
  readonly leak?: LeakObservation;
  /** Where it leaks; under the engine where it is left out. */
  readonly leakAt?: PointCode;
  readonly notReached?: readonly string[];
  readonly photos?: Readonly<Record<string, readonly [DrawnSubject, number]>>;
  /** Only these stops were done, and it is not signed. */
  readonly halfDone?: readonly string[];
  /** How long ago today’s visit began, minutes; 50 where it is left out. */
  readonly minutesAgo?: number;
  /** A look at the wheels and the oil only, as between two inspections. */
  readonly brief?: boolean;
  /** What was done in it besides looking, minutes after it began. */
  readonly acts?: readonly (readonly [minute: number, act: ActContent])[];
}

/** A part renewed in the demo's story. */
export interface Renewal {
  readonly part: 'tyre' | 'pads';
  readonly places: readonly Place[];
  readonly km: number;
  readonly fresh: number;
  readonly told: boolean;
}

/** What happens to one vehicle of the demo. */
export interface Story {
  readonly vehicle: Omit<Vehicle, 'id'>;
  /** Wear by place, distances from the first visit. Tread is the centre; the edges follow from it. */
  readonly tread: (place: Place) => WearTruth;
  readonly pad: (place: Place, side: 'outer' | 'inner') => WearTruth;
  readonly pressureKpa: (place: Place, visit: number) => number;
  readonly visits: readonly StoryVisit[];
  readonly template: string;
  /** Something that is wrong with it, with its signs wherever it acts. */
  readonly fault?: FaultTruth;
  /** Age of its battery today, months, and how it fades; else one in good health. */
  readonly battery?: BatteryTruth & { readonly months: number };
  /** Glycol by visit, %; else as it was filled. */
  readonly glycol?: (visit: number) => number;
  /** Parts put on new, by the meter; `told` where somebody wrote it down. */
  readonly renewed?: readonly Renewal[];
  /** Tyres that changed places, by the meter. */
  readonly rotations?: readonly {
    readonly km: number;
    readonly moves: readonly { readonly from: Wheel; readonly to: Wheel }[];
  }[];
  /** What was written down between visits, by days ago. */
  /** Nobody knows what was done to it before. */
  readonly papersLost?: boolean;
  readonly log?: readonly (readonly [daysAgo: number, meter: number, entry: LifeEntryContent])[];
}

export const weep = (stage: LeakObservation['stage'], wiped = true): LeakObservation => ({
  ...DRY,
  stage,
  fluid: 'engine-oil',
  place: 'rear-crank-seal',
  wiped,
});
/** An axle by its placard; lining and disc as the invented makers build them. */
export const axle = (placardKpa: number, change: Partial<Axle> = {}): Axle => ({
  ...PLAIN_AXLE,
  placardKpa,
  placardFullKpa: placardKpa + 40,
  discMinimumMm: change.brake === 'drum' ? null : 20,
  liningNewMm: 12,
  ...change,
});
export const frontAxle = (placardKpa: number, change: Partial<Axle> = {}) =>
  axle(placardKpa, { steered: true, ...change });
export const spec = (change: Partial<SpecSheet>): SpecSheet => ({
  ...BLANK_SPEC,
  battery: { type: 'flooded', ratedA: 640, standard: 'EN' },
  brakeFluid: 'DOT 4',
  stickSpanL: 1.2,
  studs: 5,
  fluids: [
    {
      ...PLAIN_FLUID,
      fluid: 'engine-oil',
      grade: '5W-30',
      capacityL: 5.2,
      climates: [{ grade: '0W-30', lowestC: null, highestC: -15 }],
    },
    { ...PLAIN_FLUID, fluid: 'coolant', grade: 'ethylene glycol, green', capacityL: 7.5, spanL: 1.1 },
    { ...PLAIN_FLUID, fluid: 'brake-fluid', grade: 'DOT 4', capacityL: 0.9, spanL: 0.25 },
  ],
  torques: [
    { ...PLAIN_TORQUE, fastener: 'wheel-bolts', newtonMetres: 120, socket: '17' },
    { ...PLAIN_TORQUE, fastener: 'drain-plug', newtonMetres: 30, socket: '13' },
  ],
  intervals: [{ job: { code: 'engine-oil', name: 'Engine oil and filter' }, km: 20_000, months: 12, hours: null }],
  parts: [{ part: 'Oil filter', number: 'TH 1042' }],
  ...change,
});
export const front = (place: Place) => place.startsWith('1');

const FRONT_TO_REAR = [
  { from: '1L', to: '2L' },
  { from: '2L', to: '1L' },
  { from: '1R', to: '2R' },
  { from: '2R', to: '1R' },
] as const;

/** Vehicles of Ferrant Holm Community Transport, invented like everything here. */
export const FIRST_STORIES: readonly Story[] = [
  {
    vehicle: {
      fleetCode: 'FH 07',
      plate: 'FHT 707',
      make: 'Morrick',
      model: 'Ferrier 16',
      year: 2018,
      class: 'minibus',
      use: 'quarry road',
      axles: [frontAxle(400), axle(350, { dual: true, driven: true })],
      vin: '',
      meterUnit: 'km',
      makeUp: { ...USUAL_MAKE_UP, drive: 'rear', passengerLift: true },
      spec: spec({
        studs: 6,
        hardUse: true,
        torques: [{ ...PLAIN_TORQUE, fastener: 'wheel-bolts', newtonMetres: 180, socket: '19' }],
      }),
    },
    template: 'interim',
    // It drinks more since the brake drags.
    log: Array.from({ length: 14 }, (_, fill) => {
      const km = 69_900 + fill * 950;
      const litres = 9.5 * (km < 77_200 ? 11.4 : 13.1) + (fill % 3);
      return [325 - fill * 20, km, { kind: 'fuel', litres, full: true, price: null }] as const;
    }),
    tread: (place) => ({ fresh: front(place) ? 8.6 : 8.2, fittedKm: -2000, per1000: front(place) ? 0.24 : 0.17 }),
    // The nearside front calliper drags since last winter: its inner pad goes first.
    pad: (place, side) => ({
      fresh: 11.6,
      fittedKm: -1200,
      per1000: front(place) ? 0.29 : 0.2,
      ...(place === '1L' ? { change: { fromKm: 7400, factor: side === 'inner' ? 2.7 : 1.3 } } : {}),
    }),
    pressureKpa: (place) => (front(place) ? 398 : 346),
    visits: [
      { daysAgo: 330, km: 69_800, by: 'Isla', ambientC: 4, waterShare: 2, leak: weep('stain') },
      { daysAgo: 270, km: 73_100, by: 'Callum', ambientC: 2, waterShare: 2, leak: weep('dry', false) },
      { daysAgo: 205, km: 76_400, by: 'Isla', ambientC: 9, waterShare: 2, leak: weep('dry', false) },
      { daysAgo: 130, km: 79_600, by: 'Isla', ambientC: 15, waterShare: 2, leak: weep('stain') },
      {
        daysAgo: 62,
        km: 82_300,
        by: 'Callum',
        ambientC: 12,
        complaint: 'Squeals when stopping at the ferry slip.',
        waterShare: 2.5,
        leak: weep('damp'),
        words: { 'pad.inner@1L': ['tapered'], 'belt.aux': ['ribs-cracked'] },
        photos: { 'pad.inner@1L': ['pad', 0.62], 'leak.engine': ['leak', 0.5], 'belt.aux': ['belt', 0.5] },
      },
      {
        daysAgo: 0,
        km: 84_310,
        by: 'Isla',
        ambientC: 7,
        complaint: 'Pulls to the left under braking.',
        waterShare: 2.5,
        halfDone: ['cold', 'bonnet', '1R'],
        photos: {},
      },
    ],
  },
  {
    vehicle: {
      fleetCode: 'FH 03',
      plate: 'FHT 303',
      make: 'Osprell',
      model: 'Linnet',
      year: 2020,
      class: 'car',
      use: 'care visits',
      axles: [frontAxle(230, { driven: true }), axle(220, { brake: 'drum', liningNewMm: 5 })],
      vin: '',
      meterUnit: 'km',
      makeUp: { ...USUAL_MAKE_UP, power: 'petrol', steering: 'electric' },
      spec: spec({}),
    },
    papersLost: true,
    template: 'interim',
    tread: (place) => ({ fresh: 7.4, fittedKm: -3000, per1000: front(place) ? 0.19 : 0.1 }),
    pad: () => ({ fresh: 10.4, fittedKm: -4000, per1000: 0.16 }),
    // Before its third winter the battery is weak.
    battery: { months: 33, life: 36, knee: 3 },
    // A slow puncture, hidden by the cold season.
    pressureKpa: (place, visit) => (place === '2R' ? 218 - 9 * visit : front(place) ? 229 : 219),
    visits: [
      { daysAgo: 290, km: 41_200, by: 'Callum', ambientC: 3, waterShare: 0.5, brief: true },
      { daysAgo: 188, km: 47_900, by: 'Isla', ambientC: 11, waterShare: 1, brief: true },
      { daysAgo: 96, km: 53_400, by: 'Callum', ambientC: 16, waterShare: 1, brief: true },
      {
        daysAgo: 12,
        km: 58_700,
        by: 'Isla',
        ambientC: 5,
        waterShare: 1.5,
        // Nobody had looked at it for two years.
        told: { 'walk.spare:pressure': 120 },
        words: { 'tyre.pressure@2R': ['cap-missing'], 'walk.spare': ['perished'] },
        photos: { 'tyre.tread@1L': ['tread', 0.55] },
      },
    ],
  },
  {
    vehicle: {
      fleetCode: 'FH 11',
      plate: 'FHT 110',
      make: 'Tarnwell',
      model: 'Skerry 4×4',
      year: 2019,
      class: 'light-goods',
      use: 'beach rescue',
      axles: [frontAxle(240, { driven: true }), axle(260, { driven: true })],
      vin: '',
      meterUnit: 'km',
      makeUp: { ...USUAL_MAKE_UP, body: 'pick-up', drive: 'four-selectable', towbar: true },
      spec: spec({ studs: 6 }),
    },
    papersLost: true,
    template: 'interim',
    tread: (place) => ({ fresh: 9.6, fittedKm: -500, per1000: front(place) ? 0.31 : 0.22 }),
    pad: (place) => ({ fresh: 12, fittedKm: -500, per1000: front(place) ? 0.24 : 0.15 }),
    pressureKpa: (place) => (front(place) ? 241 : 259),
    rotations: [
      { km: 32_600, moves: FRONT_TO_REAR },
      { km: 37_300, moves: FRONT_TO_REAR },
    ],
    visits: [
      { daysAgo: 245, km: 30_400, by: 'Isla', ambientC: 5, waterShare: 0.5 },
      { daysAgo: 150, km: 34_900, by: 'Callum', ambientC: 14, waterShare: 1 },
      {
        daysAgo: 40,
        km: 39_800,
        by: 'Isla',
        ambientC: 10,
        waterShare: 1,
        words: { 'hose.coolant.top': ['chafed'] },
        notReached: ['leak.engine'],
        photos: { 'hose.coolant.top': ['belt', 0.2] },
      },
    ],
  },
  {
    vehicle: {
      fleetCode: 'FH 02',
      plate: 'FHT 202',
      make: 'Osprell',
      model: 'Curlew estate',
      year: 2009,
      class: 'car',
      use: 'volunteer driver',
      axles: [frontAxle(220, { driven: true }), axle(220)],
      vin: '',
      meterUnit: 'km',
      makeUp: { ...USUAL_MAKE_UP, body: 'estate', power: 'petrol', timingBelt: false },
      spec: spec({ stickSpanL: 1 }),
    },
    template: 'interim',
    tread: (place) => ({ fresh: front(place) ? 6.1 : 6.8, fittedKm: 0, per1000: 0.15 }),
    pad: (place) => ({ fresh: front(place) ? 6.8 : 7.6, fittedKm: 0, per1000: 0.19 }),
    pressureKpa: () => 219,
    log: [188_900, 191_300, 193_800, 196_100, 198_700, 201_000, 203_200, 205_400, 207_000].map(
      (km, n) => [345 - n * 40, km, { kind: 'top-up', fluid: 'engine-oil', litres: 0.7 }] as const,
    ),
    // It burns oil, and the stick tells.
    visits: [
      { daysAgo: 360, km: 188_200, by: 'Callum', ambientC: 4, waterShare: 2.5, levels: { oil: 0.7 } },
      { daysAgo: 268, km: 193_000, by: 'Isla', ambientC: 3, waterShare: 2.5, levels: { oil: 0.35 } },
      { daysAgo: 170, km: 198_500, by: 'Callum', ambientC: 13, waterShare: 2.5, levels: { oil: 0.2 } },
      { daysAgo: 88, km: 203_100, by: 'Isla', ambientC: 17, waterShare: 3, levels: { oil: 0.1 } },
      {
        daysAgo: 20,
        km: 207_300,
        by: 'Callum',
        ambientC: 9,
        waterShare: 3,
        levels: { oil: -0.05, coolant: 0.2 },
        leak: weep('stain'),
        photos: { 'leak.engine': ['leak', 0.2], 'tyre.tread@1R': ['tread', 0.7] },
      },
    ],
  },
  {
    vehicle: {
      fleetCode: 'FH 12',
      plate: '',
      make: 'Tarnwell',
      model: 'Crofter 22',
      year: 2017,
      class: 'plant',
      use: 'airstrip and verges',
      axles: [
        frontAxle(180, { driven: true, brake: 'drum', discMinimumMm: null }),
        axle(120, { driven: true, brake: 'drum' }),
      ],
      vin: '',
      meterUnit: 'h',
      makeUp: { ...USUAL_MAKE_UP, drive: 'four-selectable', spareWheel: false, timingBelt: false },
      spec: spec({
        studs: null,
        brakeFluid: null,
        intervals: [{ job: { code: 'engine-oil', name: 'Engine oil and filter' }, km: null, months: 12, hours: 200 }],
      }),
    },
    template: 'plant-weekly',
    tread: () => ({ fresh: 20, fittedKm: 0, per1000: 2 }),
    pad: () => ({ fresh: 5, fittedKm: 0, per1000: 0.2 }),
    pressureKpa: (place) => (front(place) ? 178 : 119),
    visits: [
      { daysAgo: 60, km: 1_412, by: 'Callum', ambientC: 12 },
      { daysAgo: 6, km: 1_463, by: 'Callum', ambientC: 6, words: { 'plant.aircleaner': ['debris'] } },
    ],
  },
  {
    vehicle: {
      fleetCode: 'FH 14',
      plate: '',
      make: 'Tarnwell',
      model: 'Lamp 20 set',
      year: 2015,
      class: 'plant',
      use: 'stand-by power',
      axles: [axle(250, { brake: 'drum', driven: true })],
      vin: '',
      meterUnit: 'h',
      makeUp: { ...USUAL_MAKE_UP, body: 'set', spareWheel: false, timingBelt: false },
      spec: spec({
        studs: null,
        brakeFluid: null,
        intervals: [{ job: { code: 'engine-oil', name: 'Engine oil and filter' }, km: null, months: 12, hours: 250 }],
      }),
    },
    template: 'plant-hours',
    tread: () => ({ fresh: 7, fittedKm: 0, per1000: 0.01 }),
    pad: () => ({ fresh: 5, fittedKm: 0, per1000: 0.01 }),
    pressureKpa: () => 246,
    visits: [
      { daysAgo: 180, km: 640, by: 'Isla', ambientC: 11 },
      { daysAgo: 95, km: 652, by: 'Callum', ambientC: 14 },
      { daysAgo: 11, km: 689, by: 'Isla', ambientC: 6, words: { 'plant.aircleaner': ['debris'] } },
    ],
  },
];
