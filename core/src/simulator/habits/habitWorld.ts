import type { MeterAnswer } from '../../inspection/inspection';
import type { MeterUnit, Place } from '../../vehicle/vehicle';
import { gaugeReads } from '../gauge';
import { normalDraw, randomUuid, seededRandom } from '../random';
import type { Habits, HouseGauge } from './habits';

/** Where a part is read: three ways across a tread, one of a pad. */
export type HabitSpot = 'outer' | 'centre' | 'inner' | 'whole';

/** What was told of one spot at a visit. */
export interface HabitReading {
  readonly spot: HabitSpot;
  readonly value: number;
  /** Told by a bar: the truth is over or under the value. */
  readonly bound: 'exact' | 'above' | 'below';
  readonly truth: number;
  /** What is left here to drive until the limit if nothing changes any more, km; not above 0 under it. */
  readonly left: number;
}

/** Where a part sits: tyres of the other set are kept. */
export type HabitSeat = Place | 'kept';

/** One visit's look at a part. */
export interface HabitLook {
  readonly day: number;
  /** The vehicle's distance, km; of one that works by the hour 40 for each. */
  readonly km: number;
  readonly place: HabitSeat;
  /** Where it sat when the visit ended: the same, unless the house rotated, or put the other set on. */
  readonly after: HabitSeat;
  /** Step of the gauge, and what it always reads too much. */
  readonly step: number;
  readonly off: number;
  /** What readings repeat to, where that is not the usual. */
  readonly repeats?: number;
  readonly readings: readonly HabitReading[];
}

/** A part that wears in a world of habits, with what became of it and what would have. */
export interface HabitPart {
  readonly id: string;
  readonly kind: 'tread' | 'pad';
  readonly limit: number;
  /** Null for a part that came with the vehicle. */
  readonly nominal: number | null;
  readonly fittedDay: number;
  readonly fittedKm: number;
  /** When it was taken off; null while it is on at the end. */
  readonly removedDay: number | null;
  /** Where its worst spot met the limit, or would have had it stayed on; null when it had not by the end. */
  readonly crossedKm: number | null;
  readonly crossedDay: number | null;
  readonly looks: readonly HabitLook[];
}

/** Something that changed how parts wear from a day on. */
export interface HabitEvent {
  readonly kind: 'route' | 'handed-over' | 'drag' | 'alignment';
  readonly day: number;
  readonly factor: number;
  /** Ids of the parts it acts on. */
  readonly parts: readonly string[];
}

/** When a vehicle came, how far it had come in truth, and what its meter said, in its unit. */
export interface HabitVisit {
  readonly day: number;
  readonly km: number;
  readonly meter: number;
  readonly meterAnswer: MeterAnswer | null;
}

/** A vehicle of a world of habits. */
export interface HabitVehicle {
  readonly id: string;
  readonly class: string;
  readonly use: string;
  readonly meterUnit: MeterUnit;
  readonly visits: readonly HabitVisit[];
  readonly parts: readonly HabitPart[];
  readonly events: readonly HabitEvent[];
}

/** What a world of habits is drawn from. */
export interface HabitPlan {
  readonly seed: number;
  readonly vehicles: number;
  readonly years: number;
  readonly habits: Habits;
}

const YEAR = 365.25;
const STEP_DAYS = 5;
const USES = [
  { class: 'car', use: 'town', wear: 1.3, kmPerDay: 40 },
  { class: 'car', use: 'long roads', wear: 0.8, kmPerDay: 90 },
  { class: 'van', use: 'rounds', wear: 1.05, kmPerDay: 75 },
  { class: 'minibus', use: 'hills', wear: 1.45, kmPerDay: 55 },
] as const;
/** Works by the hour: an hour wears as much as so many km of it would. */
const BY_HOURS = { class: 'loader', use: 'yard', wear: 0.7, kmPerDay: 70 } as const;
const KM_PER_HOUR = 40;
/** Days of the year between which tyres of the cold half are on. */
const COLD = { from: 300, to: 90 } as const;
const USED_METER_KM = 60_000;
const LEFT_STEPS = 40;
const KINDS = [
  { kind: 'tread', fresh: 8, freshSpread: 0.25, limit: 1.6, per1000: { '1': 0.21, '2': 0.14 } },
  { kind: 'pad', fresh: 12, freshSpread: 0.3, limit: 3, per1000: { '1': 0.27, '2': 0.18 } },
] as const;
const PLACES: readonly Place[] = ['1L', '1R', '2L', '2R'];
const ACROSS = ['outer', 'centre', 'inner'] as const;
/** Bars stand at these depths, mm; one that is flush with the tread says it is no deeper. */
const BARS = [4, 3, 1.6] as const;

const spread = (sigma: number, random: () => number) => Math.exp(sigma * normalDraw(random));
const earlier = (one: Draft['crossed'], other: NonNullable<Draft['crossed']>) =>
  one && one.km <= other.km ? one : other;
const otherAxle = (place: Place): Place => PLACES[(PLACES.indexOf(place) + 2) % PLACES.length] ?? place;
const axleOf = (place: Place) => (place.startsWith('1') ? '1' : '2');

interface Draft {
  readonly id: string;
  readonly of: (typeof KINDS)[number];
  place: Place;
  readonly nominal: number | null;
  readonly fittedDay: number;
  readonly fittedKm: number;
  removedDay: number | null;
  crossed: { readonly km: number; readonly day: number } | null;
  /** Which half of the year it is on for; null for all of it. */
  readonly cold: boolean | null;
  /** Own hardness, and what a fault multiplies each spot's wear by. */
  readonly hard: number;
  readonly faults: number[];
  readonly levels: number[];
  readonly looks: HabitLook[];
}

interface Roads {
  day: number;
  km: number;
  kmPerDay: number;
  route: number;
  owner: number;
}

/** Vehicles with all their parts, under one house's habits. The same plan gives the same world; shares nothing with what forecasts. */
export function habitWorld({ seed, vehicles, years, habits }: HabitPlan): HabitVehicle[] {
  const random = seededRandom(seed);
  return Array.from({ length: vehicles }, () => new VehicleLife(years * YEAR, habits, random).live());
}

/** One vehicle from its first day to its last. */
class VehicleLife {
  private readonly job: (typeof USES)[number] | typeof BY_HOURS;
  private readonly roads: Roads;
  private readonly season: number;
  private readonly hard: Readonly<Record<'tread' | 'pad', number>>;
  private readonly mounted: Draft[] = [];
  private readonly all: Draft[] = [];
  private readonly visits: HabitVisit[] = [];
  private readonly events: HabitEvent[] = [];
  private rotatedKm = 0;
  /** Tyres of the other set; none where there is only one. */
  private kept: Draft[] = [];
  private isCold: boolean | null = null;
  /** What the meter stood at in truth when it was new to the vehicle. */
  private meterFrom = 0;
  private meterAnswer: MeterAnswer | null = null;

  constructor(
    private readonly days: number,
    private readonly habits: Habits,
    private readonly random: () => number,
  ) {
    const usual = USES[Math.floor(random() * USES.length)] ?? USES[0];
    // A switch that is off draws nothing: the worlds of the others stay as they are.
    const job = habits.byHours > 0 && random() < habits.byHours ? BY_HOURS : usual;
    this.job = job;
    const kmPerDay = job.kmPerDay * spread(0.35, random);
    this.roads = { day: 0, km: 0, kmPerDay, route: 1, owner: spread(habits.vehicles, random) };
    this.season = 0.1 + 0.15 * random();
    this.hard = { tread: spread(habits.parts, random), pad: spread(habits.parts, random) };
  }

  live(): HabitVehicle {
    const { random, habits, roads } = this;
    const from = random() < habits.secondHand ? random() * (this.days / 3) : 0;
    const worn = (of: (typeof KINDS)[number]) => random() * 0.6 * (of.fresh - of.limit);
    if (habits.seasonal > 0 && random() < habits.seasonal) {
      this.isCold = true;
      for (const place of PLACES) this.mount(KINDS[0], place, worn(KINDS[0]));
      this.kept = this.mounted.splice(0);
      this.isCold = false;
    }
    for (const of of KINDS) for (const place of PLACES) this.mount(of, place, worn(of));
    const between = 85 + random() * 90;
    let next = from + random() * between;
    for (; roads.day < this.days;) {
      this.change();
      this.drive();
      if (roads.day < next) continue;
      next += between * (0.7 + 0.6 * random());
      if (random() >= habits.missed) this.visit();
    }
    const { id, parts } = { id: randomUuid(random), parts: this.all.filter(({ looks }) => looks.length > 0).map(told) };
    const { class: ofClass, use } = this.job;
    const meterUnit = this.job === BY_HOURS ? 'h' : 'km';
    return { id, class: ofClass, use, meterUnit, visits: this.visits, parts, events: this.events };
  }

  private mount(of: (typeof KINDS)[number], place: Place, worn: number): void {
    const { random, habits, roads } = this;
    const fresh = of.fresh + of.freshSpread * normalDraw(random) - worn;
    const spots = of.kind === 'tread' ? ACROSS.length : 1;
    const part: Draft = {
      id: randomUuid(random),
      of,
      place,
      nominal: worn > 0 ? null : of.fresh,
      fittedDay: roads.day,
      fittedKm: roads.km,
      removedDay: null,
      crossed: null,
      cold: of.kind === 'tread' ? this.isCold : null,
      hard: this.hard[of.kind] * spread(habits.parts, random),
      faults: Array.from({ length: spots }, () => spread(spots > 1 ? 0.05 : 0, random)),
      levels: Array.from({ length: spots }, () => fresh),
      looks: [],
    };
    this.mounted.push(part);
    this.all.push(part);
  }

  /** What changes by itself before the next stretch. */
  private change(): void {
    const { random, habits, roads } = this;
    const comes = (chance: number) => random() < (chance * STEP_DAYS) / YEAR;
    const note = (kind: HabitEvent['kind'], factor: number, parts: readonly Draft[]) =>
      this.events.push({ kind, day: roads.day, factor, parts: parts.map(({ id }) => id) });
    if (comes(habits.routes)) {
      const factor = random() < 0.6 ? 1.25 + random() * 0.9 : 0.75;
      const before = roads.route;
      roads.route = Math.min(2.4, Math.max(0.5, before * factor));
      note('route', roads.route / before, this.mounted);
    }
    if (comes(habits.handedOver)) {
      const before = roads.owner;
      roads.owner = spread(habits.vehicles * 1.4, random);
      roads.kmPerDay = this.job.kmPerDay * spread(0.4, random);
      note('handed-over', roads.owner / before, this.mounted);
    }
    if (habits.metersReplaced > 0 && comes(habits.metersReplaced)) {
      this.meterFrom = roads.km - random() * USED_METER_KM;
      this.meterAnswer = 'meter-replaced';
    }
    const struck = (kind: 'tread' | 'pad') =>
      this.mounted.filter(({ of }) => of.kind === kind)[Math.floor(random() * PLACES.length)];
    if (comes(habits.drags)) {
      const part = struck('pad');
      const factor = 1.6 + random() * 1.6;
      if (part) {
        part.faults[0] = (part.faults[0] ?? 1) * factor;
        note('drag', factor, [part]);
      }
    }
    if (comes(habits.alignment)) {
      const part = struck('tread');
      const factor = 1.6 + random() * 1.4;
      const shoulder = random() < 0.5 ? 0 : 2;
      if (part) {
        part.faults[shoulder] = (part.faults[shoulder] ?? 1) * factor;
        note('alignment', factor, [part]);
      }
    }
  }

  private drive(): void {
    const { random, roads } = this;
    const season = 1 + this.season * Math.cos((2 * Math.PI * (roads.day - 190)) / YEAR);
    const km = roads.kmPerDay * season * STEP_DAYS * spread(0.25, random);
    for (const part of this.all) {
      // What was taken off wears on as it would have: only so is it known what a forecast of it was worth.
      if (part.crossed && part.removedDay !== null) continue;
      if (part.cold !== null && part.cold !== this.isCold) continue;
      const { limit } = part.of;
      for (const [spot, level] of part.levels.entries()) {
        const now = level - this.wearAt(part, spot, level) * km;
        part.levels[spot] = Math.max(0, now);
        if (now > limit || level <= limit) continue;
        const share = (level - limit) / Math.max(1e-9, level - now);
        const crossed = { km: roads.km + km * share, day: roads.day + STEP_DAYS * share };
        part.crossed = earlier(part.crossed, crossed);
      }
    }
    roads.km += km;
    roads.day += STEP_DAYS;
  }

  /** mm per km at a depth, as everything is now. */
  private wearAt({ of: { kind, fresh, limit, per1000 }, place, hard, faults }: Draft, spot: number, level: number) {
    const { habits, roads } = this;
    const usual = kind === 'tread' ? habits.treadWear : habits.padWear;
    const rate = (per1000[axleOf(place)] * usual * this.job.wear * roads.owner * roads.route * hard) / 1000;
    const depth = (Math.max(0.5, level) / ((fresh + limit) / 2)) ** habits.depthPower;
    return rate * (faults[spot] ?? 1) * depth;
  }

  private leftAt(part: Draft, spot: number): number {
    const { limit } = part.of;
    const step = ((part.levels[spot] ?? 0) - limit) / LEFT_STEPS;
    return Array.from(
      { length: LEFT_STEPS },
      (_, n) => step / this.wearAt(part, spot, limit + step * (n + 0.5)),
    ).reduce((sum, one) => sum + one, 0);
  }

  private visit(): void {
    const { random, habits, roads } = this;
    const [day, km] = [Math.round(roads.day), Math.round(roads.km)];
    const onMeter = (roads.km - this.meterFrom) / (this.job === BY_HOURS ? KM_PER_HOUR : 1);
    this.visits.push({ day, km, meter: Math.round(onMeter), meterAnswer: this.meterAnswer });
    this.meterAnswer = null;
    const gauges = { tread: pick(habits.tread, random), pad: pick(habits.pad, random) };
    const rotates = habits.rotateEvery > 0 && roads.km - this.rotatedKm >= habits.rotateEvery * 1000;
    const byBars = random() < habits.bars;
    const swapped = random() < habits.swapped;
    const otherSet = this.isOtherSetDue();
    const look = (part: Draft, seats: Pick<HabitLook, 'place' | 'after'>) =>
      part.looks.push({
        day,
        km,
        ...seats,
        ...(byBars && part.of.kind === 'tread' ? { step: 0, off: 0 } : plainGauge(gauges[part.of.kind])),
        readings: this.read(part, gauges[part.of.kind], byBars, swapped),
      });
    for (const part of this.mounted) {
      const isTyre = part.of.kind === 'tread';
      const after = isTyre && rotates ? otherAxle(part.place) : part.place;
      look(part, { place: part.place, after: isTyre && otherSet ? 'kept' : after });
    }
    this.renew();
    if (otherSet) {
      for (const part of this.kept) look(part, { place: 'kept', after: part.place });
      this.changeSets();
      return;
    }
    if (!rotates) return;
    this.rotatedKm = roads.km;
    for (const part of this.mounted) if (part.of.kind === 'tread') part.place = otherAxle(part.place);
  }

  private isOtherSetDue(): boolean {
    const ofYear = this.roads.day % YEAR;
    return this.isCold !== null && this.isCold !== (ofYear >= COLD.from || ofYear < COLD.to);
  }

  private changeSets(): void {
    const on = this.mounted.filter(({ of }) => of.kind === 'tread');
    const others = this.mounted.filter(({ of }) => of.kind !== 'tread');
    this.mounted.splice(0, this.mounted.length, ...this.kept, ...others);
    this.kept = on;
    this.isCold = !this.isCold;
  }

  private read(part: Draft, gauge: HouseGauge, byBars: boolean, swapped: boolean): HabitReading[] {
    const { random, habits } = this;
    if (part.of.kind === 'pad') {
      const truth = part.levels[0] ?? 0;
      return [
        {
          spot: 'whole',
          truth,
          left: this.leftAt(part, 0),
          bound: 'exact',
          value: gaugeReads(truth + gauge.off, { ...gauge, misread: habits.misread }, random),
        },
      ];
    }
    if (byBars) {
      const truth = Math.min(...part.levels);
      const flush = BARS.findLast((bar) => truth + 0.15 * normalDraw(random) <= bar);
      const left = Math.min(...ACROSS.map((_, index) => this.leftAt(part, index)));
      return [{ spot: 'centre', truth, left, bound: flush ? 'below' : 'above', value: flush ?? BARS[0] }];
    }
    return ACROSS.map((_, index) => {
      const truth = part.levels[swapped ? 2 - index : index] ?? 0;
      const value = gaugeReads(truth + gauge.off, { ...gauge, misread: habits.misread }, random);
      const left = this.leftAt(part, index);
      return { spot: ACROSS[index] ?? 'centre', truth: part.levels[index] ?? 0, left, bound: 'exact', value };
    });
  }

  /** What is at its limit is renewed, what is near it by the house's habit. */
  private renew(): void {
    const { random, habits } = this;
    const share = (part: Draft) => (Math.min(...part.levels) - part.of.limit) / (part.of.fresh - part.of.limit);
    const worn = this.mounted.filter(
      (part) => part.crossed !== null || (share(part) < habits.renewAt && random() < habits.renewChance),
    );
    const goes = this.mounted.filter((part) =>
      worn.some(
        (one) =>
          one === part ||
          (one.of === part.of &&
            (habits.renewWith === 'all' || (habits.renewWith === 'axle' && axleOf(one.place) === axleOf(part.place)))),
      ),
    );
    for (const part of goes) {
      part.removedDay = Math.round(this.roads.day);
      this.mounted.splice(this.mounted.indexOf(part), 1);
      this.mount(part.of, part.place, 0);
    }
  }
}

const plainGauge = ({ step, off }: HouseGauge) => ({ step, off });

const pick = (gauges: readonly HouseGauge[], random: () => number): HouseGauge =>
  gauges[Math.floor(random() * gauges.length)] ?? { step: 0.1, sigma: 0.15, off: 0 };

const told = ({ id, of, nominal, fittedDay, fittedKm, removedDay, crossed, looks }: Draft): HabitPart => ({
  id,
  kind: of.kind,
  limit: of.limit,
  nominal,
  fittedDay,
  fittedKm,
  removedDay,
  crossedKm: crossed?.km ?? null,
  crossedDay: crossed?.day ?? null,
  looks,
});
