import type { Place } from '../vehicle/vehicle';
import { gaugeReads, type GaugeTruth } from './gauge';
import { normalDraw, randomUuid, seededRandom } from './random';

/** What is simulated of a part: how it is made, how it wears and how it is read. */
export interface PartKind {
  readonly kind: 'tread' | 'pad';
  /** Places on the vehicle; the first digit is the axle. */
  readonly places: readonly Place[];
  readonly freshMm: number;
  readonly freshSpreadMm: number;
  readonly limitMm: number;
  /** Typical loss, mm per 1000 km, by axle. */
  readonly per1000: readonly [number, number];
  readonly gauge: GaugeTruth;
}

export const PART_KINDS: readonly PartKind[] = [
  {
    kind: 'tread',
    places: ['1L', '1R', '2L', '2R'],
    freshMm: 8,
    freshSpreadMm: 0.25,
    limitMm: 1.6,
    per1000: [0.22, 0.15],
    gauge: { step: 0.1, sigma: 0.15, bias: 0.1, misread: 0.015 },
  },
  {
    kind: 'pad',
    places: ['1L', '1R', '2L', '2R'],
    freshMm: 12,
    freshSpreadMm: 0.3,
    limitMm: 3,
    per1000: [0.28, 0.19],
    gauge: { step: 0.5, sigma: 0.25, bias: 0.15, misread: 0.015 },
  },
];

/** What a gauge said in the simulated world, beside the truth. */
export interface WorldReading {
  readonly day: number;
  readonly km: number;
  readonly value: number;
  readonly truth: number;
}

/** A part that wears in the simulated world. */
export interface WorldPart {
  readonly id: string;
  readonly kind: PartKind['kind'];
  readonly place: Place;
  readonly limit: number;
  /** Nominal value when new; the true one differs. Null for a part that came with the vehicle, worn by nobody knows how much. */
  readonly nominal: number | null;
  readonly fittedDay: number;
  readonly fittedKm: number;
  /** When the truth met the limit; null when it had not by the end. */
  readonly crossedKm: number | null;
  readonly crossedDay: number | null;
  readonly readings: readonly WorldReading[];
}

/** What changes wear in the simulated world. */
export type WorldEventKind = 'route' | 'driver' | 'drag' | 'puncture';
/** Something that changed how parts wear, and by what factor. */
export interface WorldEvent {
  readonly kind: WorldEventKind;
  readonly day: number;
  /** Place it acts on; empty for the whole vehicle. */
  readonly place: Place;
  readonly factor: number;
}

/** A tyre's pressure at one visit, at 20 °C, kPa, before it was pumped up again. */
export interface WorldPressure {
  readonly place: Place;
  readonly day: number;
  readonly found: number;
  readonly left: number;
  /** It was so far down that its puncture was mended. */
  readonly mended: boolean;
}

/** A vehicle of the simulated world with its visits and parts. */
export interface WorldVehicle {
  readonly id: string;
  readonly class: string;
  readonly use: string;
  readonly visits: readonly { readonly day: number; readonly km: number }[];
  readonly parts: readonly WorldPart[];
  readonly pressures: readonly WorldPressure[];
  readonly events: readonly WorldEvent[];
}

/** What a simulated fleet is drawn from. */
export interface FleetWorldPlan {
  readonly seed: number;
  readonly vehicles: number;
  readonly years: number;
  /** Whether routes, drivers and faults come in between. */
  readonly changing: boolean;
}

const DAYS = 365.25;
const STEP_DAYS = 7;
const USES = [
  { use: 'town', class: 'car', wear: 1.2, kmPerDay: 45 },
  { use: 'ring road', class: 'car', wear: 0.85, kmPerDay: 80 },
  { use: 'quarry road', class: 'minibus', wear: 1.5, kmPerDay: 60 },
  { use: 'errands', class: 'van', wear: 1, kmPerDay: 70 },
] as const;
const PLACARD_KPA = 240;
/** What any tyre loses, kPa a day. */
const SOUND_LOSS = 0.08;

interface Truth {
  /** Per step: distance, km, and what the vehicle's use does to wear. */
  readonly km: Float64Array;
  readonly routes: Float64Array;
  readonly events: readonly WorldEvent[];
}

/**
 * Vehicles whose truth is known: use with seasons, wear that differs by vehicle and part, gauges with steps, bias and
 * misreads, and changes that come when nobody looks. The same plan gives the same world. Shares nothing with what forecasts.
 */
export function fleetWorld(plan: FleetWorldPlan): WorldVehicle[] {
  const random = seededRandom(plan.seed);
  return Array.from({ length: plan.vehicles }, () => vehicleOf(plan, random));
}

const spread = (sigma: number, random: () => number) => Math.exp(sigma * normalDraw(random));

function vehicleOf(plan: FleetWorldPlan, random: () => number): WorldVehicle {
  const job = USES[Math.floor(random() * USES.length)] ?? USES[0];
  const days = Math.round(plan.years * DAYS);
  const steps = Math.ceil(days / STEP_DAYS) + 1;
  const truth = usageOf(job.kmPerDay * spread(0.35, random), steps, plan.changing, days, random);
  const kmAt = (day: number) => {
    const at = Math.min(day / STEP_DAYS, steps - 1);
    const [low, high] = [truth.km[Math.floor(at)] ?? 0, truth.km[Math.min(Math.floor(at) + 1, steps - 1)] ?? 0];
    return low + (high - low) * (at - Math.floor(at));
  };
  const visits: { day: number; km: number }[] = [];
  const between = 90 + random() * 80;
  for (let day = random() * between; day < days; day += between * (0.75 + 0.5 * random()))
    visits.push({ day: Math.round(day), km: Math.round(kmAt(Math.round(day))) });
  const wear = job.wear * spread(0.22, random);
  const parts = PART_KINDS.flatMap((kind) => {
    const hard = wear * spread(0.18, random);
    return kind.places.flatMap((place) => livesAt(kind, place, hard, truth, visits, kmAt, random));
  });
  return {
    id: randomUuid(random),
    class: job.class,
    use: job.use,
    visits,
    parts,
    pressures: PART_KINDS[0]?.places.flatMap((place) => pressuresAt(place, truth.events, visits, random)) ?? [],
    events: truth.events,
  };
}

function usageOf(kmPerDay: number, steps: number, changing: boolean, days: number, random: () => number): Truth {
  const km = new Float64Array(steps);
  const routes = new Float64Array(steps).fill(1);
  const events: WorldEvent[] = [];
  const summer = 0.12 + 0.15 * random();
  const yearly = (chance: number) => changing && random() < chance;
  for (let year = 0; year * DAYS < days; year += 1) {
    const when = () => Math.round((year + random()) * DAYS);
    if (yearly(0.12))
      events.push({ kind: 'route', day: when(), place: '', factor: random() < 0.65 ? 1.5 + random() * 0.8 : 0.7 });
    if (yearly(0.12))
      events.push({ kind: 'driver', day: when(), place: '', factor: random() < 0.6 ? 1.2 + random() * 0.4 : 0.8 });
    const wheel = PART_KINDS[0]?.places[Math.floor(random() * 4)] ?? '1L';
    if (yearly(0.08)) events.push({ kind: 'drag', day: when(), place: wheel, factor: 1.7 + random() * 1.6 });
    if (yearly(0.08)) events.push({ kind: 'puncture', day: when(), place: wheel, factor: 4 + random() * 6 });
  }
  for (let step = 1; step < steps; step += 1) {
    const day = step * STEP_DAYS;
    const season = 1 + summer * Math.cos((2 * Math.PI * (day - 200)) / DAYS);
    km[step] = (km[step - 1] ?? 0) + kmPerDay * season * STEP_DAYS * spread(0.25, random);
    routes[step] = events
      .filter((event) => event.place === '' && event.day <= day)
      .reduce((product, { factor }) => Math.min(2.6, Math.max(0.5, product * factor)), 1);
  }
  return { km, routes, events: events.sort((a, b) => a.day - b.day) };
}

/** Every part that ever sat at one place: worn down, read at each visit, replaced at the first visit that finds it at its limit. */
function livesAt(
  kind: PartKind,
  place: Place,
  hard: number,
  truth: Truth,
  visits: WorldVehicle['visits'],
  kmAt: (day: number) => number,
  random: () => number,
): WorldPart[] {
  const axle = place.startsWith('1') ? 0 : 1;
  const parts: WorldPart[] = [];
  // A vehicle does not come to the workshop new.
  let [fittedDay, worn] = [0, random() * 0.6 * (kind.freshMm - kind.limitMm)];
  let wear = kind.per1000[axle] * hard * spread(0.1, random);
  let level = kind.freshMm + kind.freshSpreadMm * normalDraw(random) - worn;
  let readings: WorldReading[] = [];
  let crossed: { km: number; day: number } | null = null;
  let visitAt = 0;
  // A fault is mended when the part it eats is replaced.
  let mended = 0;
  const bias = () => kind.gauge.bias * normalDraw(random);
  const end = () =>
    parts.push({
      id: randomUuid(random),
      kind: kind.kind,
      place,
      limit: kind.limitMm,
      nominal: worn > 0 ? null : kind.freshMm,
      fittedDay,
      fittedKm: kmAt(fittedDay),
      crossedKm: crossed?.km ?? null,
      crossedDay: crossed?.day ?? null,
      readings,
    });
  for (let step = 1; step < truth.km.length; step += 1) {
    const [from, to] = [truth.km[step - 1] ?? 0, truth.km[step] ?? 0];
    const startDay = (step - 1) * STEP_DAYS;
    const faults = truth.events.filter(
      (event) =>
        event.kind === 'drag' &&
        kind.kind === 'pad' &&
        event.place === place &&
        event.day <= startDay &&
        event.day > mended,
    );
    const rate =
      (wear * (truth.routes[step] ?? 1) * faults.reduce((product, { factor }) => product * factor, 1)) / 1000;
    const before = level;
    level -= rate * (to - from);
    if (!crossed && level <= kind.limitMm) {
      const share = (before - kind.limitMm) / Math.max(1e-9, before - level);
      crossed = { km: from + (to - from) * share, day: startDay + STEP_DAYS * share };
    }
    for (; (visits[visitAt]?.day ?? Infinity) <= step * STEP_DAYS; visitAt += 1) {
      const visit = visits[visitAt];
      if (!visit) break;
      const now = Math.max(0, before - rate * (visit.km - from));
      readings.push({
        day: visit.day,
        km: visit.km,
        truth: now,
        value: gaugeReads(now + bias(), kind.gauge, random),
      });
      if (!crossed) continue;
      end();
      [fittedDay, worn, readings, crossed] = [visit.day, 0, [], null];
      mended = visit.day;
      wear = kind.per1000[axle] * hard * spread(0.1, random);
      level = kind.freshMm + kind.freshSpreadMm * normalDraw(random);
    }
  }
  end();
  return parts;
}

function pressuresAt(
  place: Place,
  events: readonly WorldEvent[],
  visits: WorldVehicle['visits'],
  random: () => number,
): WorldPressure[] {
  let [day, kpa] = [0, PLACARD_KPA];
  let mended = 0;
  return visits.map((visit) => {
    const leak = events.findLast(
      (event) => event.kind === 'puncture' && event.place === place && event.day > mended && event.day < visit.day,
    );
    const sound = (visit.day - day) * SOUND_LOSS * spread(0.3, random);
    const leaking = leak ? (visit.day - Math.max(day, leak.day)) * SOUND_LOSS * (leak.factor - 1) : 0;
    const found = Math.max(60, Math.round(kpa - sound - leaking + 4 * normalDraw(random)));
    // Found far down it is mended; else it is pumped up and nobody asks.
    const isMended = leak !== undefined && found < PLACARD_KPA * 0.62;
    if (isMended) mended = visit.day;
    [day, kpa] = [visit.day, PLACARD_KPA];
    return { place, day: visit.day, found, left: PLACARD_KPA, mended: isMended };
  });
}
