/** What is counted as n of N on one point: each lamp for itself, fixings and nipples as a whole. */
export const LAMPS = [
  'dip',
  'main',
  'side',
  'indicator',
  'repeater',
  'brake',
  'high-brake',
  'reverse',
  'fog',
  'number-plate',
  'daylight',
] as const;
/** A lamp that is counted. */
export type Lamp = (typeof LAMPS)[number];

export const COUNTED_ITEMS = [...LAMPS, 'all'] as const;
/** What is counted at a point: a lamp, or all there is. */
export type CountedItem = (typeof COUNTED_ITEMS)[number];

export const LAMP_SPOTS = ['front-left', 'front-right', 'rear-left', 'rear-right'] as const;
/** Where on the vehicle one of several lamps of a kind is, seen by whoever sits in it. */
export type LampSpot = (typeof LAMP_SPOTS)[number];

const FRONT: readonly LampSpot[] = ['front-left', 'front-right'];
const REAR: readonly LampSpot[] = ['rear-left', 'rear-right'];
/** Where each lamp of a kind is; none where there is one, or where nobody can say which. */
export const SPOTS_OF_LAMP: Readonly<Record<CountedItem, readonly LampSpot[]>> = {
  dip: FRONT,
  main: FRONT,
  daylight: FRONT,
  side: LAMP_SPOTS,
  indicator: LAMP_SPOTS,
  repeater: FRONT,
  brake: REAR,
  'high-brake': [],
  reverse: [],
  fog: [],
  'number-plate': [],
  all: [],
};

/** `good` of `of`; 0 ≤ good ≤ of, of 1 to 99. */
export interface Count {
  readonly item: CountedItem;
  readonly good: number;
  readonly of: number;
  /** How many were good as found, where some were put right on the spot; null where nothing was changed. */
  readonly found: number | null;
  /** Which are out as found, no more than are; empty where nobody said which. */
  readonly out: readonly LampSpot[];
}

/** How many of each lamp a road vehicle of two sides usually has; the inspector says otherwise where it differs. */
export const USUAL_LAMPS: Readonly<Record<Lamp, number>> = {
  dip: 2,
  main: 2,
  side: 4,
  indicator: 4,
  repeater: 2,
  brake: 2,
  'high-brake': 1,
  reverse: 1,
  fog: 1,
  'number-plate': 1,
  daylight: 2,
};

export const CODE_STATES = ['stored', 'pending', 'returned'] as const;
/** `returned`: came back after clearing; only these count as a fault that stands. */
export type CodeState = (typeof CODE_STATES)[number];

/** A fault code as read, before anything is cleared. */
export interface FaultCode {
  readonly code: string;
  readonly text: string;
  readonly state: CodeState;
}

/** How a level was read: some bottles are stained so that they look full. */
export const HOW_READ = ['mark-seen', 'cap-off', 'stick', 'electronic'] as const;
/** How a level was read. */
export type HowRead = (typeof HOW_READ)[number];
