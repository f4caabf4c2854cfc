/** What is summed up over a vehicle's life and the fleet: a door of its own, so that the walk loads without it. */
export { outlookOf } from './outlook/outlookOf';
export { vehicleOutlook, worstSpots, type OutlookGiven } from './outlook/vehicleOutlook';
export { vehicleBoard, type BoardPart, type VehicleBoard } from './outlook/vehicleBoard';
export { leakSpots } from './outlook/leakSpots';
export { litresUntilThin } from './states/stateTrends';
export { inferredChanges, type InferredChange } from './outlook/inferredChanges';
export { chanceBy, expectedParts, type Expected, type WantedPart } from './fleet/expectedParts';
