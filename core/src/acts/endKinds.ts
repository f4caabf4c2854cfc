import { typedKeys } from '../sums/keyed';
import type { Caution } from '../catalogue/points/point';
import type { Fastener, SpecFluidName } from '../vehicle/specSheet';

/** What a closing must tell. */
export type ProofField = 'torqueNm' | 'litres' | 'level' | 'fasteners' | 'washer' | 'oldSealSeen' | 'onGround';

/** What closing an end of one kind asks for. */
export interface EndRule {
  readonly proof: readonly ProofField[];
  /** Whose torque the spec sheet tells. */
  readonly fastener: Fastener | null;
  /** Whose capacity the spec sheet tells. */
  readonly fluid: SpecFluidName | null;
  readonly cautions: readonly Caution[];
}

const rule = (
  proof: readonly ProofField[] = [],
  { fastener = null, fluid = null, cautions = [] }: Partial<Omit<EndRule, 'proof'>> = {},
): EndRule => ({ proof, fastener, fluid, cautions });

const RULES = {
  'filler-cap': rule(),
  'oil-stick': rule(),
  'drain-plug': rule(['torqueNm', 'washer'], { fastener: 'drain-plug', cautions: ['hot-oil', 'oil-skin', 'key-out'] }),
  'oil-filter': rule(['oldSealSeen'], { fastener: 'filter-housing', cautions: ['hot-oil', 'collect'] }),
  'oil-fill': rule(['litres', 'level'], { fluid: 'engine-oil', cautions: ['oil-skin'] }),
  'coolant-cap': rule(['level'], { fluid: 'coolant', cautions: ['hot-cooling'] }),
  'brake-cap': rule(['level'], { fluid: 'brake-fluid' }),
  'axle-plug': rule(['torqueNm', 'washer'], { fastener: 'axle-plug', cautions: ['hot-oil'] }),
  tray: rule(['fasteners'], { cautions: ['stands'] }),
  cover: rule(['fasteners']),
  wheel: rule(['fasteners', 'torqueNm', 'onGround'], { fastener: 'wheel-bolts', cautions: ['bolts-again'] }),
  clip: rule(),
  key: rule(),
  funnel: rule(),
  jack: rule([], { cautions: ['stands'] }),
  'battery-clamp': rule(),
  'codes-cleared': rule(),
  indicator: rule(),
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
  return end === 'wheel' || end === 'jack';
}
