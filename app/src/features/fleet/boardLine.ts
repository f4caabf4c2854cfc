import type { Life } from '@weskopos/contract';
import { isSigned, type FleetKnowledge, type Rules } from '@weskopos/core';
import { outlookOf, vehicleBoard, type VehicleBoard } from '@weskopos/core/outlook';

/** A vehicle's line on the board, by what this device knows of it. */
export function boardLine({ vehicle, visits, entries }: Life, rules: Rules, fleet: FleetKnowledge): VehicleBoard {
  const signed = visits.filter(({ inspection }) => isSigned(inspection));
  const moments = signed.map(({ inspection }) => inspection);
  return vehicleBoard(vehicle, moments, outlookOf(vehicle, signed, entries, rules, fleet), fleet);
}
