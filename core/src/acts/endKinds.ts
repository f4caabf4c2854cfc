import { typedKeys } from '../sums/keyed';
import type { Caution, Station } from '../catalogue/points/point';
import { hasFits, type Fit } from '../vehicle/fits';
import type { Fastener, SpecFluidName } from '../vehicle/specSheet';

/** What a closing can tell. */
export type ProofField =
  | 'torqueNm'
  | 'angleDone'
  | 'renewed'
  | 'litres'
  | 'level'
  | 'fasteners'
  | 'washer'
  | 'oldSealSeen'
  | 'onGround'
  | 'primed'
  | 'seenTo'
  | 'debris'
  | 'marked'
  | 'partNumber';

/** What closing an end of one kind asks for. */
export interface EndRule {
  /** It is not closed without these. */
  readonly proof: readonly ProofField[];
  /** These are kept when told. */
  readonly extra: readonly ProofField[];
  /** Whose torque the spec sheet tells: asked for where it does, even where `proof` does not want one. */
  readonly fastener: Fastener | null;
  /** Whose capacity the spec sheet tells. */
  readonly fluid: SpecFluidName | null;
  readonly cautions: readonly Caution[];
}

const rule = (
  proof: readonly ProofField[] = [],
  { extra = [], fastener = null, fluid = null, cautions = [] }: Partial<Omit<EndRule, 'proof'>> = {},
): EndRule => ({ proof, extra, fastener, fluid, cautions });

const plug = (fastener: Fastener) =>
  rule(['torqueNm', 'washer'], { extra: ['debris', 'marked'], fastener, cautions: ['hot-oil', 'oil-skin', 'collect'] });
const fillPlug = (fastener: Fastener, fluid: SpecFluidName) =>
  rule(['torqueNm', 'seenTo'], { extra: ['litres', 'washer', 'partNumber', 'marked'], fastener, fluid });

const RULES = {
  'filler-cap': rule(),
  'oil-stick': rule(),
  'drain-plug': rule(['torqueNm', 'washer'], {
    extra: ['debris', 'marked'],
    fastener: 'drain-plug',
    cautions: ['hot-oil', 'oil-skin', 'key-out', 'collect'],
  }),
  'oil-filter': rule(['oldSealSeen'], {
    extra: ['partNumber', 'marked'],
    fastener: 'filter-housing',
    cautions: ['hot-oil', 'collect'],
  }),
  'oil-fill': rule(['litres', 'level'], { extra: ['partNumber'], fluid: 'engine-oil', cautions: ['oil-skin'] }),
  'coolant-cap': rule(['level'], { fluid: 'coolant', cautions: ['hot-cooling'] }),
  'coolant-drain': rule(['litres', 'level'], {
    extra: ['partNumber'],
    fastener: 'coolant-drain',
    fluid: 'coolant',
    cautions: ['hot-cooling', 'collect'],
  }),
  'brake-cap': rule(['level'], { fluid: 'brake-fluid' }),
  'axle-fill-plug': fillPlug('axle-plug', 'axle-oil'),
  'axle-plug': plug('axle-plug'),
  'gearbox-fill-plug': fillPlug('gearbox-plug', 'gear-oil'),
  'gearbox-plug': plug('gearbox-plug'),
  'transfer-fill-plug': fillPlug('transfer-plug', 'transfer-oil'),
  'transfer-plug': plug('transfer-plug'),
  'fuel-filter': rule(['oldSealSeen', 'primed'], {
    extra: ['partNumber', 'marked'],
    fastener: 'fuel-filter',
    cautions: ['fuel-pressure', 'collect'],
  }),
  tray: rule(['fasteners'], { cautions: ['stands'] }),
  cover: rule(['fasteners']),
  wheel: rule(['fasteners', 'torqueNm', 'onGround'], {
    extra: ['marked'],
    fastener: 'wheel-bolts',
    cautions: ['bolts-again'],
  }),
  brake: rule(['seenTo'], { extra: ['partNumber'], cautions: ['brake-dust', 'spring-load'] }),
  clip: rule(),
  key: rule(['seenTo']),
  funnel: rule(),
  jack: rule(['seenTo'], { cautions: ['stands'] }),
  'battery-clamp': rule(['seenTo'], { fastener: 'battery-clamp', cautions: ['collect'] }),
  'codes-cleared': rule(['seenTo']),
  indicator: rule(['seenTo']),
} as const satisfies Record<string, EndRule>;

/** What can be left open. */
export type EndKind = keyof typeof RULES;
export const END_KINDS = typedKeys(RULES);

/** What closing an end of this kind must prove, and what the spec sheet says to it. */
export function endRule(end: EndKind): EndRule {
  return RULES[end];
}

/** Ends that are held by counted fasteners. */
export function isFastened(end: EndKind): boolean {
  return endRule(end).proof.includes('fasteners');
}
/** Ends that belong to one wheel. */
export function isAtWheel(end: EndKind): boolean {
  return end === 'wheel' || end === 'jack' || end === 'brake';
}
/** Ends that belong to one axle. */
export function isAtAxle(end: EndKind): boolean {
  return end === 'axle-plug' || end === 'axle-fill-plug';
}

/** What is drained below is filled through: opened first, since oil that cannot go back in is better not let out. */
export const FILLED_THROUGH = {
  'axle-plug': 'axle-fill-plug',
  'gearbox-plug': 'gearbox-fill-plug',
  'transfer-plug': 'transfer-fill-plug',
} as const satisfies Partial<Record<EndKind, EndKind>>;

/** Where on the vehicle each is opened, in the order of the work, as it is offered. */
export const ENDS_BY_STATION = {
  cabin: ['key', 'codes-cleared', 'indicator'],
  bonnet: [
    'filler-cap',
    'oil-stick',
    'oil-filter',
    'oil-fill',
    'coolant-cap',
    'brake-cap',
    'fuel-filter',
    'battery-clamp',
    'cover',
    'funnel',
    'clip',
  ],
  wheel: ['wheel', 'brake', 'jack'],
  under: [
    'tray',
    'drain-plug',
    'coolant-drain',
    'axle-fill-plug',
    'axle-plug',
    'gearbox-fill-plug',
    'gearbox-plug',
    'transfer-fill-plug',
    'transfer-plug',
  ],
} as const satisfies Partial<Record<Station, readonly EndKind[]>>;

/** What a vehicle must have for an end to exist on it. */
const END_FITS: Readonly<Partial<Record<EndKind, readonly Fit[]>>> = {
  'filler-cap': ['engine'],
  'oil-stick': ['engine'],
  'drain-plug': ['engine'],
  'oil-filter': ['engine'],
  'oil-fill': ['engine'],
  'fuel-filter': ['diesel'],
  'brake-cap': ['hydraulic-brakes'],
  'axle-fill-plug': ['prop-shaft'],
  'axle-plug': ['prop-shaft'],
  'transfer-fill-plug': ['four-wheel-drive'],
  'transfer-plug': ['four-wheel-drive'],
};

/** Whether a vehicle has what would be opened. */
export function hasEnd(end: EndKind, vehicle: Parameters<typeof hasFits>[1]): boolean {
  return hasFits(END_FITS[end] ?? [], vehicle, undefined);
}
