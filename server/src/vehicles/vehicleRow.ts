import type { Axle, Vehicle, VehicleClass } from '@weskopos/core';

export interface VehicleRow {
  readonly id: string;
  readonly fleet_code: string;
  readonly plate: string;
  readonly make: string;
  readonly model: string;
  readonly year: number;
  readonly class: VehicleClass;
  readonly use: string;
  readonly axles: readonly Axle[];
}

export function vehicleFrom(row: VehicleRow): Vehicle {
  const { id, fleet_code: fleetCode, plate, make, model, year, use, axles } = row;
  return { id, fleetCode, plate, make, model, year, class: row.class, axles, use };
}
