import type { Need } from '../catalogue/points/point';
import type { ArrivalState } from '../inspection/inspection';
import type { Place } from '../vehicle/vehicle';
import { USUAL_WAIT_S, inOrder, type Act, type StateChange } from './act';
import { openEnds } from './looseEnds';

/** How long each state takes, s: as long as its timer runs. An engine is cold, and its cap safe, after the cooling. */
export const SETTLE_S = USUAL_WAIT_S.settle;
export const COOL_S = USUAL_WAIT_S['cool-down'];
export const WARM_UP_S = USUAL_WAIT_S['warm-up'];
/** A cap may come off once the coolant was read under this, °C, however long ago it ran. */
export const CAP_SAFE_C = 40;
/** An engine that was hot is no longer at its working temperature after this long, s. */
const HOT_FOR_S = 1800;
/** A run shorter than this leaves an engine cold that was cold, s. */
const SHORT_RUN_S = 120;

const ENGINE_ACTS: readonly StateChange[] = ['engine-start', 'engine-off'];

/** What is known of the vehicle at one moment. Null: nobody has said. */
export interface VehicleState {
  readonly startedToday: boolean;
  readonly running: boolean;
  /** Whether anybody said in this visit what the engine does. */
  readonly engineTold: boolean;
  readonly keyOn: boolean;
  /** How long the engine has been running, or at rest, s. */
  readonly sinceS: number;
  /** It has run long enough, or came in hot, so that it is hot now. */
  readonly hot: boolean;
  /** It ran, and has not yet cooled: nothing that wants it cold is true, and what is under pressure is hot. */
  readonly warm: boolean;
  /** Its coolant was read under {@link CAP_SAFE_C} since it ran last: cold for its cap and its levels, not for its battery. */
  readonly coolantCool: boolean;
  /** Warm right through, so that its oil flows out. */
  readonly warmedThrough: boolean;
  readonly lifted: boolean | null;
  /** It stands seated and was shaken since it was lifted last: hands may go under. */
  readonly standsChecked: boolean;
  readonly helper: boolean | null;
  readonly trayOff: boolean | null;
  readonly wheelsOff: readonly Place[];
}

/** Rest of an engine before the arrival, s, by what was said of it, where nobody told the hours. */
const RESTED_S: Readonly<Record<ArrivalState, number>> = { cold: 24 * 3600, warm: HOT_FOR_S, hot: 0 };

/** How a vehicle came in. */
export interface Arrived {
  readonly state: ArrivalState;
  readonly startedAt: string;
  /** Hours it has stood, where it was told. */
  readonly stoodH?: number | null;
}

/** The vehicle's state at a moment: how it arrived, and what was done to it since. */
export function vehicleState(arrival: Arrived, acts: readonly Act[], atMs: number): VehicleState {
  const past = inOrder(acts).filter((act) => Date.parse(act.at) <= atMs);
  let running = false;
  const { stoodH = null } = arrival;
  const restedS = stoodH === null ? RESTED_S[arrival.state] : stoodH * 3600;
  let changedMs = Date.parse(arrival.startedAt) - restedS * 1000;
  let hotAtChange = arrival.state === 'hot';
  // Called cold after an hour's rest it is not: the hours are believed.
  let warmAtChange = arrival.state !== 'cold' || restedS < COOL_S;
  let throughAtChange = arrival.state !== 'cold';
  let keyOn = false;
  let coolantCool = false;
  let lifted: boolean | null = null;
  let helper: boolean | null = null;
  let standsChecked = false;
  let startedToday = arrival.state !== 'cold';
  for (const act of past) {
    if (act.kind !== 'state') continue;
    const ms = Date.parse(act.at);
    const gone = (ms - changedMs) / 1000;
    switch (act.change) {
      case 'engine-start':
        if (running) break;
        startedToday = true;
        hotAtChange = hotAtChange && gone < HOT_FOR_S;
        warmAtChange = warmAtChange && gone < COOL_S;
        throughAtChange = throughAtChange && gone < COOL_S;
        [running, keyOn, changedMs, coolantCool] = [true, true, ms, false];
        break;
      case 'engine-off':
        if (running) {
          hotAtChange = hotAtChange || gone >= WARM_UP_S;
          warmAtChange = warmAtChange || gone >= SHORT_RUN_S;
          throughAtChange = throughAtChange || gone >= WARM_UP_S;
          changedMs = ms;
        }
        [running, keyOn] = [false, false];
        break;
      case 'key-on':
        keyOn = true;
        break;
      case 'lift-up':
      case 'lift-down':
        lifted = act.change === 'lift-up';
        standsChecked = false;
        break;
      case 'stands-checked':
        standsChecked = true;
        break;
      case 'coolant-cool':
        coolantCool = !running;
        break;
      case 'helper-here':
      case 'helper-gone':
        helper = act.change === 'helper-here';
        break;
    }
  }
  const sinceS = Math.max(0, (atMs - changedMs) / 1000);
  const trays = past.filter((act) => act.kind === 'open' && act.end === 'tray');
  const open = openEnds(past).map(({ opened }) => opened);
  return {
    startedToday,
    running,
    engineTold: past.some((act) => act.kind === 'state' && ENGINE_ACTS.includes(act.change)),
    keyOn,
    sinceS,
    hot: running ? hotAtChange || sinceS >= WARM_UP_S : hotAtChange && sinceS < HOT_FOR_S,
    warm: running ? warmAtChange || sinceS >= SHORT_RUN_S : warmAtChange && sinceS < COOL_S,
    coolantCool,
    warmedThrough: running ? throughAtChange || sinceS >= WARM_UP_S : throughAtChange && sinceS < COOL_S,
    lifted,
    standsChecked,
    helper,
    trayOff: trays.length === 0 ? null : open.some(({ end }) => end === 'tray'),
    wheelsOff: open.filter(({ end }) => end === 'wheel').map(({ place }) => place),
  };
}

const isRested = ({ warm, hot }: Pick<VehicleState, 'warm' | 'hot'>) => !warm && !hot;

/** Whether a need is met; null where nobody has said enough to tell. */
function meets(need: Need, state: VehicleState): boolean | null {
  const { running, sinceS } = state;
  const settled = !running && sinceS >= SETTLE_S;
  switch (need) {
    case 'never-started-today':
      // What ran before it came in can still be read true once it has settled.
      return !state.startedToday || settled;
    case 'off-settled':
      return !running && (!state.startedToday || settled);
    case 'off-cold':
      return !running && (state.coolantCool || isRested(state));
    case 'off-rested':
      return !running && isRested(state);
    case 'off-warm':
      return !running && state.warmedThrough;
    case 'key-on':
      return state.keyOn ? true : null;
    // Known off is off; where nobody said anything of the engine its own reading tells best.
    case 'running':
      return running ? true : state.engineTold ? false : null;
    // A temperature nobody knows of is not there.
    case 'running-hot':
      return running && state.hot;
    case 'tray-off':
      return state.trayOff;
    case 'wheel-hanging':
    case 'wheel-off':
      return state.lifted === false ? false : null;
    case 'helper':
      return state.helper === true ? true : null;
    case 'ground':
      return state.lifted === null ? null : !state.lifted;
  }
}

/** Needs that are known not to be met: a reading taken now is not true. What nobody has said is not held against it. */
export function unmetNeeds(needs: readonly Need[], state: VehicleState): Need[] {
  return needs.filter((need) => meets(need, state) === false);
}
