import { MEASURES, type MeasureCode } from '../catalogue/measures';
import type { Unit } from '../units/units';
import type { HouseUnits, UnitQuestion } from './houseRules';

const QUESTION: Readonly<Partial<Record<MeasureCode, UnitQuestion>>> = {
  tread: 'tread',
  pressure: 'pressure',
  freeze: 'temperature',
  boiling: 'temperature',
  temperature: 'temperature',
  torque: 'torque',
  volume: 'volume',
  'age-distance': 'distance',
  'service-left': 'distance',
};

/** The unit a house reads a measure in; the stored one where it has no choice. */
export function houseUnit(measure: MeasureCode, units: HouseUnits): Unit {
  const question = QUESTION[measure];
  return question ? units[question] : MEASURES[measure].unit;
}
