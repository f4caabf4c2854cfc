import type { Axle, MakeUp, MeterUnit, SpecSheet, Vehicle, VehicleClass } from '@weskopos/core';

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
  readonly vin: string;
  readonly meter_unit: MeterUnit;
  readonly make_up: MakeUp;
  readonly spec: SpecSheet;
}

export function vehicleFrom(row: VehicleRow): Vehicle {
  const {
    id,
    fleet_code: fleetCode,
    plate,
    vin,
    make,
    model,
    year,
    use,
    axles,
    meter_unit: meterUnit,
    make_up: makeUp,
    spec,
  } = row;
  return { id, fleetCode, plate, vin, make, model, year, class: row.class, axles, use, meterUnit, makeUp, spec };
}
