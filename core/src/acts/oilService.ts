import type { HouseRules } from '../house/houseRules';
import { actsOf, type Act } from './act';
import type { EndKind } from './endKinds';
import { LEAST_FILLED, looseEnds, openEnds } from './looseEnds';
import { vehicleState } from './vehicleState';

/** The oil service, in the order of the work. */
export const OIL_STEPS = [
  'warm',
  'cap-off',
  'drain',
  'filter-off',
  'filter-on',
  'plug-in',
  'fill',
  'cap-on',
  'run',
  'leak-check',
  'settle',
  'stick',
  'reset',
] as const;
/** A step of an oil service. */
export type OilStep = (typeof OIL_STEPS)[number];

/** An oil service as far as it has come. */
export interface OilService {
  /** Passed over: what may be left out, and what came after it is done. */
  readonly steps: readonly { readonly step: OilStep; readonly done: boolean; readonly passedOver: boolean }[];
  /** The first that is not done; null when all are. */
  readonly next: OilStep | null;
}

/** How far an oil service of this visit is; null where none was begun. */
export function oilService(
  acts: readonly Act[],
  arrival: Parameters<typeof vehicleState>[0],
  nowMs: number,
  house: Pick<HouseRules, 'draining'>,
  leaksChecked: boolean,
): OilService | null {
  const ends = looseEnds(acts);
  const last = (kind: EndKind) => ends.findLast(({ opened }) => opened.end === kind);
  if (!last('indicator') && !last('drain-plug')) return null;
  const closed = (kind: EndKind) => last(kind)?.closed != null;
  const fills = actsOf(acts, 'fill').filter(({ opens }) => opens === last('oil-fill')?.opened.id);
  const filledAt = fills[0] ? Date.parse(fills[0].at) : Infinity;
  const states = actsOf(acts, 'state').filter(({ at }) => Date.parse(at) >= filledAt);
  const started = states.find(({ change }) => change === 'engine-start');
  const stopped =
    started && states.find(({ change, at }) => change === 'engine-off' && Date.parse(at) >= Date.parse(started.at));
  const plug = last('drain-plug');
  const drained = plug !== undefined;
  const { warmedThrough } = vehicleState(arrival, acts, plug ? Date.parse(plug.opened.at) : nowMs);
  const done: Record<OilStep, boolean> = {
    warm: warmedThrough,
    'cap-off': last('filler-cap') !== undefined,
    drain: drained,
    'filter-off': last('oil-filter') !== undefined,
    'filter-on': closed('oil-filter'),
    'plug-in': closed('drain-plug'),
    fill: fills.length > 0,
    'cap-on': closed('filler-cap'),
    run: started !== undefined,
    'leak-check': started !== undefined && leaksChecked,
    settle: stopped !== undefined,
    stick: closed('oil-fill'),
    reset: closed('indicator'),
  };
  const steps = OIL_STEPS.map((step) => ({
    step,
    done: done[step],
    passedOver: step === 'warm' && !done[step] && (drained || house.draining === 'cold'),
  }));
  return { steps, next: steps.find((one) => !one.done && !one.passedOver)?.step ?? null };
}

/** Open ends over which no engine is started, whoever asks. A filling that is not far enough yet counts. */
const NOT_RUN_OVER: readonly EndKind[] = [
  'drain-plug',
  'oil-filter',
  'fuel-filter',
  'coolant-drain',
  'gearbox-plug',
  'gearbox-fill-plug',
  'transfer-plug',
  'transfer-fill-plug',
  'axle-plug',
  'axle-fill-plug',
  'brake',
  'battery-clamp',
  'funnel',
  'key',
];

/**
 * What forbids to start the engine now, by the ends that are open. A filling that is closed was read on the stick.
 *
 * @param capacity what the engine takes, L; null where the spec sheet does not tell
 */
export function startBlockers(acts: readonly Act[], capacity: number | null): EndKind[] {
  const isDry = (filledL: number) => (capacity === null ? filledL === 0 : filledL < capacity * LEAST_FILLED);
  return openEnds(acts)
    .filter(({ opened, filledL }) => NOT_RUN_OVER.includes(opened.end) || (opened.end === 'oil-fill' && isDry(filledL)))
    .map(({ opened }) => opened.end);
}
