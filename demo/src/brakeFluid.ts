/** One fill of brake fluid: how old it was at the first visit, and what it would hold in the end. */
export interface BrakeFluidFill {
  readonly monthsOld: number;
  /** % water that it comes to hold, on its roads and by its hoses. */
  readonly holds: number;
}

/** Half of what it holds is in after so many months; fast at first, ever slower. */
const HALF_MONTHS = 45;
const BEND = 0.75;
/** Steps of the tester. */
const STEP = 0.5;
const DAYS_PER_MONTH = 30.44;

/** Water in a fill so many days after the first visit, as the tester reads it, %. */
export function waterRead({ monthsOld, holds }: BrakeFluidFill, days: number): number {
  const age = (monthsOld + days / DAYS_PER_MONTH) ** BEND;
  return Math.round((holds * age) / (age + HALF_MONTHS ** BEND) / STEP) * STEP;
}
