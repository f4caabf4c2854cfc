import { FLUIDS, type Fluid } from './leaks';

export const FLUID_LOOKS = {
  colour: ['clear', 'amber', 'brown-black', 'red', 'green-blue', 'pink-orange', 'white'],
  feel: ['thin-slippery', 'thick-slippery', 'greasy', 'watery', 'sticky-crystals'],
  smell: ['burnt-oil', 'sweet', 'fuel', 'fishy', 'sulphur', 'none'],
  where: ['engine-front', 'engine-rear', 'under-cabin', 'wheel', 'rear-axle', 'tank'],
} as const;
/** What was seen, felt and smelt of a leak; null for what was not. */
export type FluidLook = { readonly [K in keyof typeof FLUID_LOOKS]: (typeof FLUID_LOOKS)[K][number] | null };

/** A fluid it may be, with what speaks for it. */
export interface FluidGuess {
  readonly fluid: Fluid;
  /** What was seen that speaks for it. */
  readonly because: readonly string[];
}

const SIGNS: Partial<Record<Fluid, readonly string[]>> = {
  'engine-oil': ['amber', 'brown-black', 'thin-slippery', 'burnt-oil', 'engine-front', 'engine-rear'],
  'gear-oil': ['amber', 'brown-black', 'thick-slippery', 'sulphur', 'rear-axle', 'engine-rear'],
  'transmission-fluid': ['red', 'thin-slippery', 'engine-rear', 'under-cabin'],
  'steering-hydraulic': ['red', 'amber', 'thin-slippery', 'engine-front'],
  'brake-fluid': ['clear', 'amber', 'thin-slippery', 'fishy', 'wheel'],
  coolant: ['green-blue', 'pink-orange', 'watery', 'sweet', 'engine-front', 'under-cabin'],
  fuel: ['clear', 'amber', 'watery', 'fuel', 'tank'],
  grease: ['greasy', 'brown-black', 'wheel'],
  washer: ['green-blue', 'watery', 'none', 'engine-front'],
  urea: ['white', 'clear', 'sticky-crystals', 'tank'],
  'damper-oil': ['amber', 'thin-slippery', 'fishy', 'wheel'],
  water: ['clear', 'watery', 'none', 'under-cabin'],
};

/** Signs one fluid alone has: they weigh double. */
const TELLING = ['sweet', 'fuel', 'sulphur', 'sticky-crystals', 'greasy', 'fishy', 'red'];

/** Good guesses of what a leak is, best first, each with why. Empty when nothing was told or nothing fits. */
export function whichFluid(look: FluidLook): FluidGuess[] {
  const told = Object.values(look).filter((sign): sign is NonNullable<typeof sign> => sign !== null);
  const weight = (signs: readonly string[]) => signs.reduce((sum, sign) => sum + (TELLING.includes(sign) ? 2 : 1), 0);
  return FLUIDS.map((fluid) => ({ fluid, because: told.filter((sign) => SIGNS[fluid]?.includes(sign)) }))
    .filter(({ because }) => because.length * 2 > told.length)
    .sort((a, b) => weight(b.because) - weight(a.because));
}
