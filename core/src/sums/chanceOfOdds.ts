/** Log odds as a chance, 0 to 1. */
export const chanceOfOdds = (odds: number): number => 1 / (1 + Math.exp(-odds));
