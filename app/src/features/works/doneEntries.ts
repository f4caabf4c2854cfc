import {
  NO_DETAILS,
  hubPlaces,
  tyresAtHub,
  type LifeEntryContent,
  type PartKind,
  type Place,
  type Vehicle,
  type WorkTask,
} from '@weskopos/core';

/** Parts a work renews at every hub of its axle. */
const PART_OF: Readonly<Partial<Record<WorkTask['code'], PartKind>>> = {
  pads: 'pads',
  shoes: 'shoes',
  discs: 'disc',
  tyres: 'tyre',
};

/**
 * What goes into a vehicle's life once a work is done: a job whose interval begins anew, or new parts at both sides of the
 * axle. What was put right at a point is closed by a look only: nothing is written down for it.
 *
 * @param numbers of what went in; may be empty
 */
export function doneEntries(task: WorkTask, vehicle: Pick<Vehicle, 'axles'>, numbers: string): LifeEntryContent[] {
  const { code, name, place } = task;
  if (code === 'put-right') return [];
  const part = PART_OF[code];
  if (part && place !== '') {
    const hubs = hubPlaces(vehicle.axles).filter((hub) => hub.startsWith(place));
    const seats: Place[] = part === 'tyre' ? hubs.flatMap((hub) => tyresAtHub(vehicle.axles, hub)) : [...hubs];
    return seats.map((seat) => ({ kind: 'fit', what: part, place: seat, fresh: null, note: numbers }));
  }
  if (code === 'pads' || code === 'shoes' || code === 'discs') return [];
  return [{ kind: 'job', job: { code, name }, ...NO_DETAILS, numbers }];
}
