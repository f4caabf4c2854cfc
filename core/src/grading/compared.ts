import { MEASURES } from '../catalogue/measures';
import { mainSlot, cataloguePoint, pointKey } from '../catalogue/catalogue';
import type { Spot } from '../catalogue/points/point';
import { readingAt, readingValue, type Bound, type Finding, type Phase, type Reading } from '../inspection/finding';
import type { Inspection } from '../inspection/inspection';
import type { PointRef } from '../inspection/pointRef';
import { scaleOf, toLimit } from '../limits/limitScale';
import type { LimitRow } from '../limits/limitSheet';
import type { HouseRules } from '../house/houseRules';
import type { Rules } from '../rules/rulebook';
import { twinOf } from '../vehicle/place';
import { axleAt, oppositePlace, otherAxlePlace, type Place, type Vehicle } from '../vehicle/vehicle';
import { pressureAtReference } from './pressureAtReference';
import type { LookAhead } from '../inspection/aheadNote';
import type { NotJudged } from './reason';
import { CHARGED_V } from '../vehicle/specSheet';
import { freezePoint, type Glycol } from '../limits/glycol';
import { tyreAgeYears } from './tyreAge';
import { CLOSE_CALL_FACTOR, standardUncertainty } from '../sums/uncertainty';
import { judgeValue } from './judgeValue';

/** Everything a grade leans on besides the finding itself. */
export interface GradingContext {
  readonly vehicle: Vehicle;
  readonly inspection: Pick<Inspection, 'state' | 'ambientC' | 'load' | 'startedAt' | 'focus' | 'ahead'>;
  readonly rules: Rules;
  /** What stands for each point now, by point key: the other pad, the other side. */
  readonly standing: ReadonlyMap<string, Finding>;
  /** Forecasts of an unsigned visit; a signed one has what went on record. Without either nothing looks ahead. */
  readonly lookAhead?: LookAhead | undefined;
}

/** What a limit row is held against: the reading itself, or what was made of it. */
export type Compared =
  | {
      readonly status: 'value';
      readonly spot: Spot;
      readonly value: number;
      /** Standard uncertainty, same unit as `value`. */
      readonly u: number;
      readonly reading: Reading;
      /** As the reading's, turned round where a later week means a younger tyre. */
      readonly bound: Bound;
      /** A difference that is small enough says nothing worth a line of its own. */
      readonly onlyWhenBad: boolean;
      /** So near the least difference that counts that its uncertainty decides. */
      readonly nearFloor?: boolean;
      readonly pressure?: { readonly atReferenceKpa: number; readonly placardKpa: number };
    }
  | { readonly status: 'not-judged'; readonly why: NotJudged };

const TURNED: Record<Bound, Bound> = { exact: 'exact', over: 'under', under: 'over' };

/** Standard uncertainty of one reading by its gauge's step and how well the house's readings repeat, stored unit. */
export function uncertaintyOf(
  { measure, values, step }: Pick<Reading, 'measure' | 'values' | 'step'>,
  house: Pick<HouseRules, 'repeatability'>,
): number {
  const usual = MEASURES[measure];
  const gauge = {
    step: step ?? usual.step,
    repeatability: house.repeatability[measure] ?? usual.repeatability,
  };
  return standardUncertainty(gauge, values.length);
}

/** What a row compares, for the readings of its measure on one point. */
export function compared(
  row: LimitRow,
  ref: PointRef,
  finding: Finding,
  readings: readonly Reading[],
  context: GradingContext,
  phase: Phase | undefined,
): Compared[] {
  const { vehicle, inspection, rules } = context;
  const scale = scaleOf(row.kind, { vehicle, house: rules.house, place: ref.place, point: ref.point });
  const why = row.kind === 'rated-share' ? crankNotJudged(finding, context) : null;
  if (why !== null) return [{ status: 'not-judged', why }];
  if (typeof scale === 'string') return [{ status: 'not-judged', why: scale }];
  if (scale !== null) {
    const by = (value: number, u: number) => ({ value: toLimit(scale, value), u: u / scale.per });
    return each(readings, rules.house, by);
  }
  switch (row.kind) {
    case 'spread':
      return spread(readings, rules.house);
    case 'across':
      return difference(ref, readings, context, phase, pointKey(ref.point, oppositePlace(ref.place)));
    case 'front-rear': {
      const other = otherAxlePlace(vehicle.axles, ref.place);
      return other === undefined ? [] : difference(ref, readings, context, phase, pointKey(ref.point, other));
    }
    case 'mixture-freeze':
      return readings.map((reading) => mixtureFreeze(reading, context));
    case 'twins': {
      const twin = twinOf(ref.place);
      return twin === null ? [] : difference(ref, readings, context, phase, pointKey(ref.point, twin));
    }
    case 'inner-outer': {
      const other = ref.point === 'pad.inner' ? 'pad.outer' : 'pad.inner';
      return difference(ref, readings, context, phase, pointKey(other, ref.place));
    }
    case 'placard-share':
      return readings.map((reading) => placardShare(row, ref.place, finding, reading, context, phase));
    case 'age':
      return each(readings, rules.house, (value, u) => ({ value: tyreAgeYears(value, inspection.startedAt), u })).map(
        (one) => ({ ...one, bound: TURNED[one.bound] }),
      );
    default:
      return [];
  }
}

/** Every reading by itself, as `make` tells it. */
function each(
  readings: readonly Reading[],
  house: HouseRules,
  make: (value: number, u: number) => { readonly value: number; readonly u: number },
): Extract<Compared, { status: 'value' }>[] {
  return readings.map((reading) => ({
    status: 'value',
    spot: reading.spot,
    reading,
    bound: reading.bound,
    onlyWhenBad: false,
    ...make(readingValue(reading), uncertaintyOf(reading, house)),
  }));
}

/**
 * What a share of glycol protects to, held against the lowest temperature to expect. Past the table's end it protects at
 * least so far, until so much of it freezes earlier again.
 */
function mixtureFreeze(reading: Reading, { vehicle, rules }: GradingContext): Compared {
  const share = readingValue(reading);
  const kind = coolantKind(vehicle.spec);
  const freeze = freezePoint(share, kind);
  const low = rules.house.designLowC;
  if (freeze.status === 'turns' && share > TURNS_FROM) return { status: 'not-judged', why: 'mixture-turns' };
  if (freeze.status === 'beyond') return { status: 'not-judged', why: 'mixture-turns' };
  const u = uncertaintyOf(reading, rules.house);
  const at = (one: number) => {
    const point = freezePoint(Math.max(0, one), kind);
    return point.status === 'value' ? point.value : null;
  };
  const [weaker, stronger] = [at(share - u), at(share + u)];
  const value = freeze.status === 'value' ? freeze.value : (at(freeze.end) ?? 0);
  return {
    status: 'value',
    spot: reading.spot,
    value: value - low,
    u: weaker === null || stronger === null ? 0 : (weaker - stronger) / 2,
    reading,
    bound: freeze.status === 'value' ? reading.bound : 'under',
    onlyWhenBad: false,
  };
}

/** From this share on glycol freezes earlier again, %. */
const TURNS_FROM = 65;

/** Which antifreeze the spec sheet names; ethylene glycol where it names none. */
export function coolantKind({ fluids }: Pick<Vehicle['spec'], 'fluids'>): Glycol {
  const grade = fluids.find(({ fluid }) => fluid === 'coolant')?.grade ?? '';
  return /propylene/i.test(grade) ? 'propylene' : 'ethylene';
}

function crankNotJudged(finding: Finding, { vehicle, standing }: GradingContext): NotJudged | null {
  const { ratedA, standard } = vehicle.spec.battery;
  if (ratedA === null || standard === null) return 'no-rated-value';
  if (finding.standard !== standard) return 'other-standard';
  const restFinding = standing.get('battery.rest');
  // A voltage that was read in the wrong state says nothing of its charge.
  const rest = restFinding?.outOf.length === 0 ? readingAt(restFinding, 'rest-voltage') : undefined;
  const rested = rest && (readingValue(rest) * 12) / vehicle.spec.systemVolts >= CHARGED_V;
  return rested ? null : 'not-charged';
}

function spread(readings: readonly Reading[], house: HouseRules): Compared[] {
  const [first] = readings;
  if (!first || readings.length < 2 || readings.some(({ bound }) => bound !== 'exact')) return [];
  const values = readings.map(readingValue);
  const u = Math.SQRT2 * Math.max(...readings.map((reading) => uncertaintyOf(reading, house)));
  const value = Math.max(...values) - Math.min(...values);
  return [{ status: 'value', spot: 'whole', value, u, reading: first, bound: 'exact', onlyWhenBad: true }];
}

/** Difference of what decides each side: the least of the spots of a tread, the one reading elsewhere. */
function difference(
  ref: PointRef,
  readings: readonly Reading[],
  context: GradingContext,
  phase: Phase | undefined,
  otherKey: string,
): Compared[] {
  const own = least(readings);
  const other = least(readingsOf(context.standing.get(otherKey), ref, phase));
  if (!own || !other || otherKey === pointKey(ref.point, ref.place)) return [];
  const u = Math.hypot(uncertaintyOf(own, context.rules.house), uncertaintyOf(other, context.rules.house));
  const value = Math.abs(readingValue(own) - readingValue(other));
  return [{ status: 'value', spot: own.spot, value, u, reading: own, bound: 'exact', onlyWhenBad: true }];
}

function least(readings: readonly Reading[]): Reading | undefined {
  if (readings.some(({ bound }) => bound !== 'exact')) return undefined;
  return [...readings].sort((a, b) => readingValue(a) - readingValue(b))[0];
}

function readingsOf(finding: Finding | undefined, ref: PointRef, phase: Phase | undefined): Reading[] {
  const slot = mainSlot(cataloguePoint(ref.point));
  return (slot?.spots ?? []).flatMap(
    (spot) => (slot && (readingAt(finding, slot.measure, spot, phase) ?? readingAt(finding, slot.measure, spot))) ?? [],
  );
}

/** The placard pressure that counts at a place today; null when the spec sheet is silent. */
export function placardAt(vehicle: Pick<Vehicle, 'axles'>, place: Place, load: Inspection['load']): number | null {
  const axle = axleAt(vehicle.axles, place);
  return (load === 'full' ? axle?.placardFullKpa : null) ?? axle?.placardKpa ?? null;
}

/** The temperature a tyre's air has: measured on it, or the ambient one when it stood cold. */
export function tyreTemperature(
  finding: Finding | undefined,
  { state, ambientC }: Pick<Inspection, 'state' | 'ambientC'>,
  phase?: Phase,
): { readonly celsius: number } | { readonly why: 'tyre-not-cold' | 'no-temperature' } {
  const measured = readingAt(finding, 'temperature', 'whole', phase) ?? readingAt(finding, 'temperature');
  if (measured) return { celsius: readingValue(measured) };
  if (state !== 'cold') return { why: 'tyre-not-cold' };
  return ambientC === null ? { why: 'no-temperature' } : { celsius: ambientC };
}

function placardShare(
  row: LimitRow,
  place: Place,
  finding: Finding,
  reading: Reading,
  { vehicle, inspection, rules }: GradingContext,
  phase: Phase | undefined,
): Compared {
  const placardKpa = placardAt(vehicle, place, inspection.load);
  const temperature = tyreTemperature(finding, inspection, phase);
  if (placardKpa === null) return { status: 'not-judged', why: 'no-placard' };
  if ('why' in temperature) return { status: 'not-judged', why: temperature.why };
  const atReferenceKpa = pressureAtReference(readingValue(reading), temperature.celsius, rules.house.altitudeM);
  const off = atReferenceKpa - placardKpa;
  const u = uncertaintyOf(reading, rules.house);
  const floor = row.ignoreUpToKpa ?? 0;
  const guard = CLOSE_CALL_FACTOR * u;
  const counts = judgeValue(off / placardKpa, row.thresholds, u / placardKpa, true)?.grade !== 'pass';
  // The guarded rule moves this edge of pass as it moves every other.
  const ignored = Math.abs(off) <= floor - (rules.house.nearLimit === 'guarded' ? guard : 0);
  return {
    status: 'value',
    spot: reading.spot,
    value: ignored ? 0 : off / placardKpa,
    u: u / placardKpa,
    nearFloor: counts && Math.abs(Math.abs(off) - floor) < guard,
    reading,
    bound: reading.bound,
    onlyWhenBad: false,
    pressure: { atReferenceKpa, placardKpa },
  };
}
