const KELVIN_AT_0_C = 273.15;
/** Standard atmosphere, kPa. */
export const ATMOSPHERE_KPA = 101.325;
/** Placards are meant at this temperature, °C. */
export const PLACARD_TEMPERATURE_C = 20;

/**
 * Tyre gauge pressure brought to the placard's temperature at constant volume:
 * `(p + p_atm)·T_ref/T − p_atm`, kelvin inside. Example: 220 kPa read at 0 °C → 243.5 kPa at 20 °C.
 *
 * @param gaugeKpa reading, kPa gauge, 0 to 1200
 * @param tyreC tyre temperature, °C, −60 to 120; ambient for a tyre that has stood cold
 */
export function pressureAtReference(gaugeKpa: number, tyreC: number): number {
  const factor = (PLACARD_TEMPERATURE_C + KELVIN_AT_0_C) / (tyreC + KELVIN_AT_0_C);
  return (gaugeKpa + ATMOSPHERE_KPA) * factor - ATMOSPHERE_KPA;
}

/** The other way round: what a gauge shows at `tyreC` when the pressure at the placard's temperature is `referenceKpa`. */
export function pressureFromReference(referenceKpa: number, tyreC: number): number {
  const factor = (tyreC + KELVIN_AT_0_C) / (PLACARD_TEMPERATURE_C + KELVIN_AT_0_C);
  return (referenceKpa + ATMOSPHERE_KPA) * factor - ATMOSPHERE_KPA;
}

/** Taken for a tyre's temperature where nobody read the air, °C. */
const USUAL_AMBIENT_C = 12;

/** A cold tyre's pressure over the seasons, at the placard's temperature, kPa; `ambientC` null where it was not read. */
export const coldPressureAtReference = (gaugeKpa: number, ambientC: number | null): number =>
  pressureAtReference(gaugeKpa, ambientC ?? USUAL_AMBIENT_C);
