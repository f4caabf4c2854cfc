import type { PointCode } from './catalogue';
import { quantityOf } from './quantities';
import { entryOf } from '../sums/keyed';
import type { Fastener, SpecFluid, SpecFluidName, SpecSheet, SpecTorque } from '../vehicle/specSheet';

/** The fluid that is looked at, read or topped up at a point. */
const FLUID_AT: Readonly<Partial<Record<PointCode, SpecFluidName>>> = {
  'oil.level': 'engine-oil',
  'oil.condition': 'engine-oil',
  'plant.oil': 'engine-oil',
  'coolant.level': 'coolant',
  'coolant.strength': 'coolant',
  'coolant.condition': 'coolant',
  'plant.coolant': 'coolant',
  'brake.fluid.level': 'brake-fluid',
  'brake.fluid.water': 'brake-fluid',
  'brake.fluid.condition': 'brake-fluid',
  'plant.brake.reservoir': 'brake-fluid',
  'clutch.fluid': 'brake-fluid',
  'steer.fluid.level': 'steering-hydraulic',
  'steer.fluid.condition': 'steering-hydraulic',
  'trans.level': 'transmission-fluid',
  'trans.condition': 'transmission-fluid',
  'washer.level': 'washer',
  'urea.level': 'urea',
  'gearbox.oil.level': 'gear-oil',
  'transfer.oil.level': 'transfer-oil',
  'axle.oil.level': 'axle-oil',
  'axle.oil.condition': 'axle-oil',
  'plant.finaldrive': 'axle-oil',
  'plant.hydraulic': 'hydraulic-oil',
};

/** What is tightened or read on a torque wrench at a point. */
const FASTENER_AT: Readonly<Partial<Record<PointCode, Fastener>>> = {
  'wheel.bolts': 'wheel-bolts',
  'close.bolts': 'wheel-bolts',
  'steer.box.bolts': 'steering-box',
  plugs: 'spark-plugs',
  'axle.oil.level': 'axle-plug',
  'gearbox.oil.level': 'gearbox-plug',
  'transfer.oil.level': 'transfer-plug',
  'battery.terminals': 'battery-clamp',
  'filter.fuel.date': 'fuel-filter',
};

/** The fastener whose torque is read at a point. */
export const fastenerAt = (point: PointCode): Fastener | undefined => entryOf<Fastener>(FASTENER_AT, point);

/** What the spec sheet says of the fluid at a point; null where it is silent. */
function fluidAt(point: PointCode, { fluids }: Pick<SpecSheet, 'fluids'>): SpecFluid | null {
  const name = entryOf<SpecFluidName>(FLUID_AT, quantityOf(point));
  return fluids.find(({ fluid }) => fluid === name) ?? null;
}

/** What the spec sheet says to a point: its fluid and its torque; null where it is silent. */
export function specAt(
  point: PointCode,
  spec: Pick<SpecSheet, 'fluids' | 'torques'>,
): { readonly fluid: SpecFluid | null; readonly torque: SpecTorque | null } {
  const fastener = fastenerAt(point);
  return { fluid: fluidAt(point, spec), torque: spec.torques.find((one) => one.fastener === fastener) ?? null };
}

/** Litres between the marks that a level is read between at a point; null where the spec sheet does not tell. */
export function spanAt(point: PointCode, spec: Pick<SpecSheet, 'fluids' | 'stickSpanL'>): number | null {
  if (quantityOf(point) === 'oil.level' || point === 'plant.oil') return spec.stickSpanL;
  return fluidAt(point, spec)?.spanL ?? null;
}
