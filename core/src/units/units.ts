/** What a unit measures; a value is converted only within its quantity. */
export type Quantity = 'length' | 'pressure' | 'distance' | 'share' | 'fraction' | 'temperature';

interface UnitDefinition {
  readonly quantity: Quantity;
  /** stored = shown · factor + offset */
  readonly factor: number;
  readonly offset: number;
}

/**
 * Units by symbol, each as its step to the stored unit of the quantity:
 * length mm, pressure kPa (gauge), distance km, share %, fraction 1, temperature °C.
 * Factors: inch 25.4 mm, mile 1.609344 km (both exact), psi 6.894757293168 kPa (NIST SP 811, B.8).
 */
export const UNITS = {
  mm: { quantity: 'length', factor: 1, offset: 0 },
  '/32in': { quantity: 'length', factor: 25.4 / 32, offset: 0 },
  kPa: { quantity: 'pressure', factor: 1, offset: 0 },
  bar: { quantity: 'pressure', factor: 100, offset: 0 },
  psi: { quantity: 'pressure', factor: 6.894757293168, offset: 0 },
  km: { quantity: 'distance', factor: 1, offset: 0 },
  mi: { quantity: 'distance', factor: 1.609344, offset: 0 },
  '%': { quantity: 'share', factor: 1, offset: 0 },
  level: { quantity: 'fraction', factor: 1, offset: 0 },
  '°C': { quantity: 'temperature', factor: 1, offset: 0 },
  '°F': { quantity: 'temperature', factor: 5 / 9, offset: -160 / 9 },
} as const satisfies Record<string, UnitDefinition>;

export type Unit = keyof typeof UNITS;

/** Shown value → stored (SI) value. Example: `toStored(35, 'psi')` → 241.3165…  */
export function toStored(shown: number, unit: Unit): number {
  return shown * UNITS[unit].factor + UNITS[unit].offset;
}

/** Stored (SI) value → the value in `unit`. Inverse of {@link toStored}. */
export function fromStored(stored: number, unit: Unit): number {
  return (stored - UNITS[unit].offset) / UNITS[unit].factor;
}
