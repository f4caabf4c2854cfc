import type { BoardPart, VehicleBoard } from '@weskopos/core/outlook';
import { nowMs } from '../../sync/clock';
import { perObject } from '../../sync/perObject';
import type { Seats } from '@weskopos/words/show';
import { shortWhen } from '@weskopos/words/forecastSentence';

/** A part of the board with the vehicle it sits on. */
export interface FleetPart extends BoardPart {
  readonly vehicle: VehicleBoard;
  /** What its place is told by: the vehicle itself where the device knows it. */
  readonly seats: Seats;
}

const DAY_MS = 86_400_000;
/** When a part is most likely due; what cannot be told is last. */
export const dueMs = perObject(({ status, at, days }: BoardPart): number => {
  if (status === 'reached') return 0;
  return days?.mid == null ? Infinity : Date.parse(at) + days.mid * DAY_MS;
});

/** The middle of a board part's forecast in short. */
export const whenOf = (part: FleetPart): string => shortWhen(part, part.vehicle.meterUnit);

/** Now, for drawings over time. */
export const today = () => nowMs();
