/** What a unit measures; a value is converted only within its quantity. */
export type Quantity =
  | 'length'
  | 'pressure'
  | 'distance'
  | 'share'
  | 'fraction'
  | 'temperature'
  | 'volume'
  | 'torque'
  | 'voltage'
  | 'current'
  | 'angle'
  | 'seconds'
  | 'hours'
  | 'months'
  | 'clicks'
  | 'rate'
  | 'week'
  | 'step';

interface UnitDefinition {
  readonly quantity: Quantity;
  /** stored = shown · factor + offset */
  readonly factor: number;
  readonly offset: number;
}

const plain = (quantity: Quantity): UnitDefinition => ({ quantity, factor: 1, offset: 0 });
const scaled = (quantity: Quantity, factor: number): UnitDefinition => ({ quantity, factor, offset: 0 });

/**
 * Units by symbol, each as its step to the stored unit of the quantity:
 * length mm, pressure kPa (gauge), distance km, share %, fraction 1, temperature °C, volume L, torque N·m.
 * Factors: inch 25.4 mm, mile 1.609344 km, US gallon 3.785411784 L, imperial gallon 4.54609 L (all exact),
 * psi 6.894757293168 kPa and lb·ft 1.3558179483 N·m (NIST SP 811, B.8).
 */
export const UNITS = {
  mm: plain('length'),
  '/32in': scaled('length', 25.4 / 32),
  in: scaled('length', 25.4),
  kPa: plain('pressure'),
  bar: scaled('pressure', 100),
  psi: scaled('pressure', 6.894757293168),
  km: plain('distance'),
  mi: scaled('distance', 1.609344),
  '%': plain('share'),
  level: plain('fraction'),
  '°C': plain('temperature'),
  '°F': { quantity: 'temperature', factor: 5 / 9, offset: -160 / 9 },
  L: plain('volume'),
  ml: scaled('volume', 0.001),
  'US qt': scaled('volume', 3.785411784 / 4),
  'US gal': scaled('volume', 3.785411784),
  'imp gal': scaled('volume', 4.54609),
  'N·m': plain('torque'),
  'lb·ft': scaled('torque', 1.3558179483),
  V: plain('voltage'),
  A: plain('current'),
  '°': plain('angle'),
  s: plain('seconds'),
  min: scaled('seconds', 60),
  h: plain('hours'),
  months: plain('months'),
  clicks: plain('clicks'),
  '/min': plain('rate'),
  yyyyww: plain('week'),
  step: plain('step'),
} as const satisfies Record<string, UnitDefinition>;

/** A unit that can be typed or shown. */
export type Unit = keyof typeof UNITS;

/** Shown value → stored (SI) value. Example: `toStored(35, 'psi')` → 241.3165…  */
export function toStored(shown: number, unit: Unit): number {
  return shown * UNITS[unit].factor + UNITS[unit].offset;
}

/** Stored (SI) value → the value in `unit`. Inverse of {@link toStored}. */
export function fromStored(stored: number, unit: Unit): number {
  return (stored - UNITS[unit].offset) / UNITS[unit].factor;
}
