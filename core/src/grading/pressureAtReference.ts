const KELVIN_AT_0_C = 273.15;
/** Standard atmosphere, kPa. */
export const ATMOSPHERE_KPA = 101.325;
/**
 * Pressure of the air at a height over the sea, kPa: the standard atmosphere up to 11 km, `101.325·(1 − 2.25577e−5·h)^5.25588`
 * (ISO 2533).
 *
 * @param altitudeM height, m, −500 to 6000
 */
export function atmosphereKpa(altitudeM: number): number {
  return ATMOSPHERE_KPA * (1 - 2.25577e-5 * altitudeM) ** 5.25588;
}

/** Placards are meant at this temperature, °C. */
export const PLACARD_TEMPERATURE_C = 20;

/**
 * Tyre gauge pressure brought to the placard's temperature at constant volume:
 * `(p + p_atm)·T_ref/T − p_atm`, kelvin inside. Example: 220 kPa read at 0 °C → 243.5 kPa at 20 °C.
 *
 * @param gaugeKpa reading, kPa gauge, 0 to 1200
 * @param tyreC tyre temperature, °C, −60 to 120; ambient for a tyre that has stood cold
 * @param altitudeM height of the workshop over the sea, m
 */
export function pressureAtReference(gaugeKpa: number, tyreC: number, altitudeM: number): number {
  const factor = (PLACARD_TEMPERATURE_C + KELVIN_AT_0_C) / (tyreC + KELVIN_AT_0_C);
  const air = atmosphereKpa(altitudeM);
  return (gaugeKpa + air) * factor - air;
}

/** The other way round: what a gauge shows at `tyreC` when the pressure at the placard's temperature is `referenceKpa`. */
export function pressureFromReference(referenceKpa: number, tyreC: number, altitudeM: number): number {
  const factor = (tyreC + KELVIN_AT_0_C) / (PLACARD_TEMPERATURE_C + KELVIN_AT_0_C);
  const air = atmosphereKpa(altitudeM);
  return (referenceKpa + air) * factor - air;
}

/** Taken for a tyre's temperature where nobody read the air, °C. */
const USUAL_AMBIENT_C = 12;

/** A cold tyre's pressure over the seasons, at the placard's temperature, kPa; `ambientC` null where it was not read. */
export const coldPressureAtReference = (gaugeKpa: number, ambientC: number | null, altitudeM: number): number =>
  pressureAtReference(gaugeKpa, ambientC ?? USUAL_AMBIENT_C, altitudeM);
