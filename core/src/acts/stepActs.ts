import { hubOf } from '../vehicle/place';
import { cataloguePoint } from '../catalogue/catalogue';
import type { MeasureCode } from '../catalogue/measures';
import type { Need } from '../catalogue/points/point';
import type { Finding } from '../inspection/finding';
import type { PointRef } from '../inspection/pointRef';
import type { Place, Hub } from '../vehicle/vehicle';
import type { StateChange } from './act';
import type { EndKind } from './endKinds';
import type { LooseEnd } from './looseEnds';
import type { VehicleState } from './vehicleState';

/** Something to be done to the vehicle so that a step can be read, or that reading it does. */
export type StepAct =
  | { readonly kind: 'state'; readonly change: StateChange }
  | { readonly kind: 'open'; readonly end: EndKind; readonly place: Place };

/** A cap that comes off for a reading. */
const CAP_OF: Partial<Record<MeasureCode, EndKind>> = {
  glycol: 'coolant-cap',
  freeze: 'coolant-cap',
  water: 'brake-cap',
  'water-band': 'brake-cap',
  boiling: 'brake-cap',
};

/** Codes are cleared only once they are written down, and read again at closing. */
const CODES_READ_AT: PointRef['point'] = 'cabin.codes';

/**
 * What a step of the walk asks to be done first: states its points need that are not known to be there, and what is opened
 * to read them. What is open already is not asked for again.
 */
export function stepActs(
  points: readonly PointRef[],
  state: VehicleState,
  open: readonly Pick<LooseEnd, 'opened'>[],
  standing: ReadonlyMap<string, Pick<Finding, 'codes'>>,
): StepAct[] {
  const acts = points.flatMap(({ point, place }) => {
    const { needs, measures, station, cautions } = cataloguePoint(point);
    // Before the first hand goes under, and again whenever it was lifted anew.
    const goesUnder = station === 'under' || cautions.includes('stands');
    const hub = hubOf(place);
    const caps = measures.flatMap(({ measure }) => CAP_OF[measure] ?? []);
    return [
      ...(goesUnder && !state.standsChecked ? [{ kind: 'state', change: 'stands-checked' } as const] : []),
      ...needs.flatMap((need) => doneFor(need, state, hub)),
      ...caps.map((end): StepAct => ({ kind: 'open', end, place: '' })),
      ...(point === CODES_READ_AT && (standing.get(point)?.codes.length ?? 0) > 0
        ? [{ kind: 'open', end: 'codes-cleared', place: '' } as const]
        : []),
    ];
  });
  const named = new Map(acts.map((act) => [JSON.stringify(act), act]));
  return [...named.values()].filter(
    (act) => act.kind === 'state' || !open.some(({ opened }) => opened.end === act.end && opened.place === act.place),
  );
}

function doneFor(need: Need, state: VehicleState, hub: Hub | null): StepAct[] {
  switch (need) {
    case 'off-cold':
      // Waiting is one way; a thermometer on hose or tank the other.
      return state.running || !state.warm || state.coolantCool ? [] : [{ kind: 'state', change: 'coolant-cool' }];
    case 'tray-off':
      return state.trayOff === true ? [] : [{ kind: 'open', end: 'tray', place: '' }];
    case 'wheel-off':
      return hub === null || state.wheelsOff.includes(hub) ? [] : [{ kind: 'open', end: 'wheel', place: hub }];
    case 'wheel-hanging':
      return state.lifted === true ? [] : [{ kind: 'state', change: 'lift-up' }];
    case 'ground':
      return state.lifted === true ? [{ kind: 'state', change: 'lift-down' }] : [];
    case 'key-on':
      return state.keyOn ? [] : [{ kind: 'state', change: 'key-on' }];
    case 'helper':
      return state.helper === true ? [] : [{ kind: 'state', change: 'helper-here' }];
    case 'running':
    case 'running-hot':
      return state.running ? [] : [{ kind: 'state', change: 'engine-start' }];
    default:
      return [];
  }
}
