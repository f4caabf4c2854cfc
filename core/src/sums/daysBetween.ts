const DAY_MS = 86_400_000;

/** Days from one ISO moment to another, parts of days counted; negative where the second comes first. */
export const daysBetween = (from: string, to: string): number => (Date.parse(to) - Date.parse(from)) / DAY_MS;
