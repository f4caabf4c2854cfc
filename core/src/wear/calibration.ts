/** One forecast looked back at: at which of its own chances the truth came. */
export interface ScoredChance {
  /** Chance that the forecast gave to what came, 0 to 1; of one that still waits: to what has passed so far. */
  readonly chance: number;
  /** Whether the truth has come; else it lies somewhere above. */
  readonly arrived: boolean;
}

/** What a forecast must say so that it holds what it promises: the chance to be asked for, by the chance wanted. */
export interface Calibration {
  readonly scored: number;
  /** Own chances at which 5, 10, … 95 % of the truths had come. */
  readonly steps: readonly number[];
}

const STEPS = 20;
/** Weight of trust in the model itself, in forecasts. */
const TRUST = 40;

export const UNCALIBRATED: Calibration = { scored: 0, steps: [] };

/**
 * Learns from scored forecasts how its chances must be stretched. Forecasts that still wait count as far as they have
 * come (product-limit estimate, Kaplan and Meier 1958): judging only what has ended would favour what ended early.
 */
export function calibrate(scored: readonly ScoredChance[]): Calibration {
  const ordered = [...scored].sort((a, b) => a.chance - b.chance || Number(b.arrived) - Number(a.arrived));
  const arrived = ordered.filter((one) => one.arrived).length;
  if (arrived < 20) return { scored: arrived, steps: [] };
  const trust = TRUST / (TRUST + arrived);
  const steps: number[] = [];
  let [left, atRisk] = [1, ordered.length];
  for (const { chance, arrived: came } of ordered) {
    if (came) left *= 1 - 1 / atRisk;
    atRisk -= 1;
    while (steps.length < STEPS - 1 && 1 - left >= (steps.length + 1) / STEPS) steps.push(chance);
  }
  while (steps.length < STEPS - 1) steps.push(Math.max(steps.at(-1) ?? 0, 0.995));
  return {
    scored: arrived,
    steps: steps.map((chance, index) => (1 - trust) * chance + (trust * (index + 1)) / STEPS),
  };
}

/** The chance to ask the model for, so that the answer holds `wanted`. Never falls as `wanted` rises. */
export function askFor({ steps }: Calibration, wanted: number): number {
  if (steps.length === 0) return wanted;
  const at = wanted * STEPS;
  const below = Math.floor(at);
  const low = below <= 0 ? 0 : (steps[below - 1] ?? 1);
  const high = below >= STEPS - 1 ? 1 : (steps[below] ?? 1);
  return Math.min(0.999, Math.max(0.001, low + (high - low) * (at - below)));
}

/** What a chance of the model is worth by what has been seen: the other way round of {@link askFor}. */
export function worth({ steps }: Calibration, chance: number): number {
  if (steps.length === 0) return chance;
  const after = steps.findIndex((step) => step >= chance);
  const below = after === -1 ? steps.length : after;
  const [low, high] = [below === 0 ? 0 : (steps[below - 1] ?? 0), below === steps.length ? 1 : (steps[below] ?? 1)];
  const share = high > low ? (chance - low) / (high - low) : 0;
  return Math.min(1, Math.max(0, (below + share) / STEPS));
}
