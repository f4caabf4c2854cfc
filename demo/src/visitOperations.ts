import {
  BUILT_IN_RULEBOOK,
  blankInspection,
  DRY,
  LAMPS,
  NO_DETAILS,
  MEASURES,
  USUAL_LAMPS,
  cataloguePoint,
  mainSlot,
  nextFinding,
  pointKey,
  pressureFromReference,
  rulesOf,
  torqueOf,
  walkSteps,
  type Finding,
  type FindingChange,
  type JobCode,
  type MeasureCode,
  type PointCode,
  type PointRef,
  type LifeEntry,
  type LifeEntryContent,
  type Reading,
  type Rules,
  type Spot,
  isOnRoad,
  type Place,
  type Word,
} from '@weskopos/core';
import {
  faultSigns,
  gaugeReads,
  healthAt,
  keptLevels,
  randomUuid,
  seededRandom,
  wornTo,
  type KeptLevel,
  type WearTruth,
} from '@weskopos/core/simulated';
import type { Operation } from '@weskopos/contract';
import type { Story, StoryVisit } from './world';

/** How the edges of a tread stand to its centre, mm. */
const TREAD_EDGE: Partial<Record<Spot, number>> = { outer: -0.2, inner: -0.4 };
const OIL_POINTS: readonly string[] = ['cold.oil', 'oil.level', 'close.level'];
const COOLANT_POINTS: readonly string[] = ['cold.coolant', 'coolant.level'];
const MINUTE_MS = 60_000;

/** A demo visit as its changes, and the photos they name. */
export interface DrawnVisit {
  readonly operations: readonly Operation[];
  /** Photo ids by the point they belong to, to be drawn and kept. */
  readonly photos: readonly { readonly id: string; readonly key: string }[];
  /** Operations that the other inspector did: a second look at the same thing. */
  readonly secondHand: ReadonlySet<string>;
}

/** Points that the other inspector reads again, to hold two hands against each other. */
const READ_BY_BOTH = ['oil.level', 'coolant.level'];
export const otherHand = (by: StoryVisit['by']): StoryVisit['by'] => (by === 'Callum' ? 'Isla' : 'Callum');

/** One visit of a story as the operations a phone would have sent, three entries a minute. */
export function visitOperations(
  story: Story,
  vehicleId: string,
  index: number,
  now: Date,
  random: () => number,
): DrawnVisit {
  const visit = story.visits[index] as StoryVisit;
  const inspectionId = randomUuid(random);
  const day = new Date(now.getTime() - visit.daysAgo * 24 * 60 * MINUTE_MS);
  if (visit.daysAgo > 0) day.setUTCHours(8, 10 + index * 7, 0, 0);
  else day.setTime(day.getTime() - (visit.minutesAgo ?? 50) * MINUTE_MS);
  let minute = 0;
  const at = () => new Date(day.getTime() + minute++ * (MINUTE_MS / 3)).toISOString();
  const operation = <K extends Operation['kind']>(kind: K, body: Extract<Operation, { kind: K }>['body']) =>
    ({ id: randomUuid(random), at: at(), device: 'demo', kind, body }) as Operation;

  // A brief look picks its points from everything there is.
  const { template, house } = rulesOf(BUILT_IN_RULEBOOK, visit.brief ? 'full' : story.template);
  const photos: { id: string; key: string }[] = [];
  const focus = visit.brief ? briefKeys(story, template, house) : null;
  const entries = walkSteps({ vehicle: story.vehicle, template, house, focus })
    .filter((step) => visit.halfDone?.includes(step.stop) ?? true)
    .flatMap((step) => step.points)
    .map((ref): Operation => {
      const key = pointKey(ref.point, ref.place);
      const drawn = visit.photos?.[key] ? [{ id: randomUuid(random), key }] : [];
      photos.push(...drawn);
      const change: FindingChange = {
        access: 'seen',
        words: [...(visit.words?.[key] ?? []), ...faultWords(story, visit, ref)],
        photos: drawn.map(({ id }) => ({ id, caption: '', marks: [] })),
        ...look(story, visit, index, ref, random),
      };
      const finding: Finding = nextFinding(
        undefined,
        { inspectionId, ...ref },
        { id: randomUuid(random), at: at() },
        change,
      );
      return operation(
        'finding.put',
        visit.notReached?.includes(key)
          ? { ...finding, access: 'not-reached', accessReason: 'tray-on', leaks: [] }
          : finding,
      );
    });
  const again = entries.flatMap((entry) => {
    if (entry.kind !== 'finding.put' || visit.halfDone || !READ_BY_BOTH.includes(entry.body.point)) return [];
    const { point, place } = entry.body;
    const { readings } = look(story, { ...visit, by: otherHand(visit.by) }, index, { point, place }, random);
    const stamp = { id: randomUuid(random), at: at() };
    return [
      operation(
        'finding.put',
        nextFinding(entry.body, { inspectionId, point, place }, stamp, { readings: readings ?? [] }),
      ),
    ];
  });
  const start = operation(
    'inspection.start',
    blankInspection({
      id: inspectionId,
      vehicleId,
      startedAt: day.toISOString(),
      meter: visit.km,
      complaint: visit.complaint ?? '',
      ambientC: visit.ambientC,
      template: template.code,
      focus,
    }),
  );
  const acts = (visit.acts ?? []).map(([afterMin, content]) => {
    const done = new Date(day.getTime() + afterMin * MINUTE_MS).toISOString();
    return { ...operation('act.put', { id: randomUuid(random), inspectionId, at: done, ...content }), at: done };
  });
  const sign = visit.halfDone ? [] : [operation('inspection.sign', { inspectionId, signedAt: at() })];
  const secondHand = new Set(again.map(({ id }) => id));
  return { operations: [start, ...entries, ...again, ...acts, ...sign], photos, secondHand };
}

/** Points of a brief look, by key. */
const BRIEF = [
  'tyre.tread',
  'tyre.pressure',
  'pad.inner',
  'shoe',
  'oil.level',
  'brake.fluid.water',
  'coolant.strength',
  'battery.rest',
  'battery.crank',
  'plant.hours',
];

function briefKeys(story: Story, template: Rules['template'], house: Rules['house']): string[] {
  return walkSteps({ vehicle: story.vehicle, template, house, focus: null })
    .flatMap((step) => step.points)
    .filter(({ point }) => BRIEF.includes(point))
    .map(({ point, place }) => pointKey(point, place));
}

/** What was written down of a vehicle between its visits. */
export function logOperations(story: Story, vehicleId: string, now: Date, random: () => number): Operation[] {
  const at = (daysAgo: number) => new Date(now.getTime() - daysAgo * 24 * 60 * MINUTE_MS).toISOString();
  const entry = (daysAgo: number, meter: number | null, content: LifeEntryContent, ids = random): Operation => ({
    id: randomUuid(ids),
    at: at(daysAgo),
    device: 'demo',
    kind: 'entry.put',
    body: { id: randomUuid(ids), vehicleId, at: at(daysAgo), meter, ...content } as LifeEntry,
  });
  const daysAt = (km: number) => {
    const after = story.visits.find((visit) => visit.km >= km) ?? story.visits.at(-1);
    const before = story.visits.findLast((visit) => visit.km < km) ?? story.visits[0];
    if (!after || !before || after === before) return after?.daysAgo ?? 0;
    return before.daysAgo + ((after.daysAgo - before.daysAgo) * (km - before.km)) / (after.km - before.km);
  };
  // A stream of its own: what is told of the past moves nothing of what is measured.
  const papers = seededRandom(Number(story.vehicle.fleetCode.replace(/\D/g, '')));
  return [
    ...(story.log ?? []).map(([daysAgo, meter, content]) => entry(daysAgo, meter, content)),
    ...pastOf(story).map(([daysAgo, meter, content]) => entry(daysAgo, meter, content, papers)),
    ...(story.rotations ?? []).map(({ km, moves }) => entry(daysAt(km), km, { kind: 'rotate', moves })),
    ...(story.renewed ?? [])
      .filter(({ told }) => told)
      .flatMap(({ part, places, km, fresh }) =>
        places.map((place) => entry(daysAt(km), km, { kind: 'fit', what: part, place, fresh, note: '' })),
      ),
  ];
}

const DAYS_A_YEAR = 365;

/** What had been done to a vehicle by its first visit, as its papers tell; nothing of those whose papers are lost. */
function pastOf({ vehicle, visits, papersLost }: Story): (readonly [number, number | null, LifeEntryContent])[] {
  const [first] = visits;
  if (!first || papersLost) return [];
  const { spec, makeUp } = vehicle;
  const book = { ...NO_DETAILS, paper: 'service book' };
  const oil = spec.fluids.find(({ fluid }) => fluid === 'engine-oil');
  const job = (code: JobCode) => ({ kind: 'job', job: { code, name: '' } }) as const;
  const belt = makeUp.timingBelt && makeUp.power !== 'electric';
  return [
    ...(makeUp.power === 'electric'
      ? []
      : [
          [
            first.daysAgo,
            first.km,
            { ...job('engine-oil'), ...book, litres: oil?.capacityL ?? null, numbers: oil?.grade ?? '' },
          ] as const,
          [first.daysAgo + DAYS_A_YEAR, null, { ...job('coolant'), ...book }] as const,
        ]),
    ...(belt ? [[first.daysAgo + 2 * DAYS_A_YEAR, null, { ...job('timing-belt'), ...book }] as const] : []),
  ];
}

/** Told by the story as the gauge showed them. */
const AS_READ: readonly MeasureCode[] = ['level', 'water'];
/** What a healthy vehicle reads where the story tells nothing else, stored unit. */
const HEALTHY: Partial<Record<MeasureCode, number>> = {
  shoe: 3.9,
  disc: 24,
  'disc-lip': 0.4,
  glycol: 52,
  'rest-voltage': 12.62,
  'charge-voltage': 14.2,
  play: 0,
  clicks: 5,
  torque: 120,
  seconds: 2,
  'part-age': 20,
  'age-distance': 31_000,
  'service-left': 9_000,
  hours: 120,
};

const READ_TWICE = 0.1;
const SOUND_BATTERY = { months: 30, life: 75, knee: 3 };

/** What the gauge, the stick or the eye tells of one point. */
function look(story: Story, visit: StoryVisit, index: number, ref: PointRef, random: () => number): FindingChange {
  const point = cataloguePoint(ref.point);
  if (point.leakWanted)
    return { leaks: [ref.point === (visit.leakAt ?? 'leak.engine') && visit.leak ? visit.leak : DRY] };
  if (point.counted)
    return {
      counts:
        point.counted === 'all'
          ? [{ item: 'all', good: 5, of: 5, found: null, out: [] }]
          : LAMPS.map((item) => ({ item, good: USUAL_LAMPS[item], of: USUAL_LAMPS[item], found: null, out: [] })),
    };
  const readings = point.measures
    .filter(({ need, measure }) =>
      need === 'extra'
        ? point.vocabulary === null && mainSlot(point) === null
        : need === 'each' || measure === mainSlot(point)?.measure,
    )
    .flatMap(({ measure, spots }) =>
      spots.map((spot): Reading => {
        const gauge = MEASURES[measure];
        const sound = truthOf(story, visit, index, ref, measure, spot, random);
        const truth = Math.max(gauge.least, sound + faultShift(story, visit, ref, measure, spot));
        const exact = gauge.repeatability === 0 || AS_READ.includes(measure);
        const read = () =>
          exact ? truth : gaugeReads(truth, { step: gauge.step, sigma: gauge.repeatability, misread: 0 }, random);
        // Now and then a gauge is set on twice.
        const times = !exact && random() < READ_TWICE ? 2 : 1;
        const values = Array.from({ length: times }, () => Number(read().toFixed(3)));
        return { measure, spot, phase: 'found', values, bound: 'exact', step: null };
      }),
    );
  const standard = ref.point === 'battery.crank' ? story.vehicle.spec.battery.standard : null;
  return {
    readings: [...readings, ...filledUp(story, index, ref.point)],
    standard,
    howRead: point.howRead ? 'mark-seen' : null,
  };
}

const SPANS = { oilL: 1, coolantL: 1.1 };
const signsOf = ({ fault }: Story, { km }: StoryVisit) => (fault ? faultSigns(fault, km, SPANS) : null);

/** What the vehicle's fault shows at a point besides what the story tells of the visit. */
function faultWords(story: Story, visit: StoryVisit, { point, place }: PointRef): Word[] {
  const words = signsOf(story, visit)?.words ?? [];
  return words.filter((one) => one.point === point && one.place === place).map(({ word }) => word);
}

/** By how much the vehicle's fault shifts what is read, stored unit. */
function faultShift(
  story: Story,
  visit: StoryVisit,
  { point, place }: PointRef,
  measure: MeasureCode,
  spot: Spot,
): number {
  const readings = signsOf(story, visit)?.readings ?? [];
  return readings
    .filter((one) => one.point === point && one.place === place && one.measure === measure && one.spot === spot)
    .reduce((sum, { by }) => sum + by, 0);
}

/** What stands behind one reading. Level and water are told as they are read. */
function truthOf(
  story: Story,
  visit: StoryVisit,
  index: number,
  { point, place }: PointRef,
  measure: MeasureCode,
  spot: Spot,
  random: () => number,
): number {
  const km = visit.km - (story.visits[0]?.km ?? 0);
  const read = visit.told?.[`${point}:${measure}`];
  if (read !== undefined) return read;
  switch (measure) {
    case 'crank': {
      const { months, ...truth } = story.battery ?? SOUND_BATTERY;
      return (story.vehicle.spec.battery.ratedA ?? 640) * 0.98 * healthAt(truth, months - visit.daysAgo / 30.4);
    }
    case 'glycol':
      return story.glycol?.(index) ?? HEALTHY.glycol ?? 0;
    case 'tread':
      return point === 'walk.spare' ? 7.5 : treadAt(story, place, km) + (TREAD_EDGE[spot] ?? 0);
    case 'lining':
      return wornTo(
        renewedTruth(story, 'pads', place, km, story.pad(place, point === 'pad.inner' ? 'inner' : 'outer')),
        km,
      );
    case 'pressure':
      return point === 'walk.spare' ? 240 : pressureFromReference(story.pressureKpa(place, index), visit.ambientC, 0);
    case 'torque':
      return torqueOf(story.vehicle.spec, 'wheel-bolts')?.newtonMetres ?? HEALTHY.torque ?? 0;
    case 'water':
      return visit.waterShare ?? 1;
    case 'tyre-age':
      return 202214;
    case 'level': {
      const told = OIL_POINTS.includes(point)
        ? visit.levels?.oil
        : COOLANT_POINTS.includes(point)
          ? visit.levels?.coolant
          : undefined;
      const kept = keptAt(story, index, point);
      // They hold the stick differently: Callum reads it lower.
      const seen = (Math.round(random() * 3) - 1.5) * 0.02 - (visit.by === 'Callum' ? 0.1 : 0);
      return told ?? (kept ? (point === LEFT_AT ? (kept.left ?? kept.found) : kept.found) : 0.75) + seen;
    }
    default:
      return HEALTHY[measure] ?? 0;
  }
}

/** Read last in a visit: what was filled is in it. */
const LEFT_AT: PointCode = 'close.level';
/** Where whoever finds a level low fills it. */
const FILLED_AT: readonly PointCode[] = ['oil.level', 'coolant.level'];
/** What sound engines lose in 1,000 km, of the span, by the number in their fleet code; and what their keepers make of it. */
const LOSES = { oil: [0.012, 0.02, 0.016, 0.03], coolant: [0.004, 0.006, 0.003] } as const;
const KEEPER = { fresh: 0.9, topUpUnder: 0.5, topUpTo: 0.9 } as const;

/** A level of a sound vehicle at one visit; null where nothing drinks or the story tells it itself. */
function keptAt({ vehicle, visits }: Story, index: number, point: PointCode): KeptLevel | null {
  const fluid = OIL_POINTS.includes(point) ? 'oil' : COOLANT_POINTS.includes(point) ? 'coolant' : null;
  if (fluid === null || visits.some(({ levels }) => levels?.[fluid] !== undefined)) return null;
  const number = Number(vehicle.fleetCode.replace(/\D/g, ''));
  const per1000 = LOSES[fluid][number % LOSES[fluid].length] ?? 0;
  const kms = visits.map(({ km }) => km);
  return keptLevels({ ...KEEPER, per1000 }, kms)[index] ?? null;
}

/** What was filled where a level was found low, as it was left. */
function filledUp(story: Story, index: number, point: PointCode): Reading[] {
  const left = FILLED_AT.includes(point) ? (keptAt(story, index, point)?.left ?? null) : null;
  return left === null
    ? []
    : [{ measure: 'level', spot: 'whole', phase: 'left', values: [left], bound: 'exact', step: null }];
}

/** How a part wears that was put on new since, if one was. */
function renewedTruth(story: Story, part: 'tyre' | 'pads', place: Place, km: number, truth: WearTruth): WearTruth {
  const first = story.visits[0]?.km ?? 0;
  const last = story.renewed?.findLast(
    (one) => one.part === part && one.places.includes(place) && one.km - first <= km,
  );
  // What made it wear faster was mended with it.
  return last ? { fresh: last.fresh, fittedKm: last.km - first, per1000: truth.per1000 } : truth;
}

/** Tread of the tyre that sits at a place now: worn where it sat, at the rate of each place. */
function treadAt(story: Story, place: Place, km: number): number {
  const first = story.visits[0]?.km ?? 0;
  const turns = (story.rotations ?? []).filter((turn) => turn.km - first <= km);
  if (turns.length === 0) return wornTo(renewedTruth(story, 'tyre', place, km, story.tread(place)), km);
  let [seat, until, lost]: [Place, number, number] = [place, km, 0];
  for (const turn of [...turns].reverse()) {
    const truth = story.tread(seat);
    lost += wornTo(truth, turn.km - first) - wornTo(truth, until);
    const from = turn.moves.find(({ to }) => to === seat)?.from;
    // The spare wore nowhere.
    [seat, until] = [from === undefined || !isOnRoad(from) ? seat : from, turn.km - first];
  }
  return wornTo(story.tread(seat), until) - lost;
}
