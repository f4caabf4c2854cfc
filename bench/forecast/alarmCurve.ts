/** Something raised at one visit of one vehicle, with what it is measured by. */
export interface Alarm<Vehicle> {
  readonly vehicle: Vehicle;
  /** What it is raised of: parts, or a wheel. */
  readonly of: readonly string[];
  readonly visit: number;
  readonly score: number;
}

/** Found changes against false alarms at one threshold. */
export interface CurvePoint {
  readonly threshold: number;
  readonly found: number;
  readonly falsePerYear: number;
}

/** How well changes are found, beside a plain method. */
export interface ChangeStudy {
  readonly events: number;
  readonly vehicleYears: number;
  readonly ours: readonly CurvePoint[];
  readonly naive: readonly CurvePoint[];
}

/** Changes count from this factor on, and are found in time within so many visits. */
export const LEAST_FACTOR = 1.5;
export const WITHIN_VISITS = 2;
/** A thing raised of the same parts is not raised again for so many visits. */
const QUIET_VISITS = 4;

/** What is raised of the same parts stays quiet for a while. */
function thinned<Vehicle extends { readonly id: string }>(alarms: readonly Alarm<Vehicle>[]): Alarm<Vehicle>[] {
  const last = new Map<string, number>();
  return alarms.filter(({ vehicle, of, visit }) => {
    const key = `${vehicle.id} ${of.join(' ')}`;
    if (visit - (last.get(key) ?? -Infinity) < QUIET_VISITS) return false;
    last.set(key, visit);
    return true;
  });
}

/** What truth says of alarms: which find an event in time, and which have any event behind them. */
export interface AlarmTruth<Vehicle, Event> {
  readonly events: readonly { readonly vehicle: Vehicle; readonly event: Event }[];
  readonly vehicleYears: number;
  readonly finds: (alarm: Alarm<Vehicle>, event: Event) => boolean;
  readonly explained: (alarm: Alarm<Vehicle>) => boolean;
}

/** Found and false at each threshold. */
export function alarmCurve<Vehicle extends { readonly id: string }, Event>(
  alarms: readonly Alarm<Vehicle>[],
  thresholds: readonly number[],
  { events, vehicleYears, finds, explained }: AlarmTruth<Vehicle, Event>,
): CurvePoint[] {
  return thresholds.map((threshold) => {
    const raised = thinned(alarms.filter(({ score }) => score >= threshold));
    const found = events.filter(({ vehicle, event }) =>
      raised.some((alarm) => alarm.vehicle === vehicle && finds(alarm, event)),
    ).length;
    return {
      threshold,
      found: found / events.length,
      falsePerYear: raised.filter((alarm) => !explained(alarm)).length / vehicleYears,
    };
  });
}
