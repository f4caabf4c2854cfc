import {
  BASELINE,
  CATALOGUE_VERSION,
  MEASURES,
  cataloguePoint,
  gaugeReads,
  nextFinding,
  pointKey,
  pressureFromReference,
  randomUuid,
  walkSteps,
  wornTo,
  type Finding,
  type FindingChange,
  type PointRef,
  type Reading,
  type Spot,
} from '@weskopos/core';
import type { Operation } from '@weskopos/contract';
import type { Story, StoryVisit } from './world';

/** How the edges of a tread stand to its centre, mm. */
const TREAD_EDGE: Record<Spot, number> = { whole: 0, outer: -0.2, centre: 0, inner: -0.4 };
const MINUTE_MS = 60_000;

export interface DrawnVisit {
  readonly operations: readonly Operation[];
  /** Photo ids by the point they belong to, to be drawn and kept. */
  readonly photos: readonly { readonly id: string; readonly key: string }[];
}

/** One visit of a story as the operations a phone would have sent, one entry a minute. */
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
  else day.setTime(day.getTime() - 40 * MINUTE_MS);
  let minute = 0;
  const at = () => new Date(day.getTime() + minute++ * MINUTE_MS).toISOString();
  const operation = <K extends Operation['kind']>(kind: K, body: Extract<Operation, { kind: K }>['body']) =>
    ({ id: randomUuid(random), at: at(), device: 'demo', kind, body }) as Operation;

  const photos: { id: string; key: string }[] = [];
  const entries = walkSteps(story.vehicle.axles)
    .filter((step) => visit.halfDone?.includes(step.stop) ?? true)
    .flatMap((step) => step.points)
    .map((ref): Operation => {
      const key = pointKey(ref.point, ref.place);
      const drawn = visit.photos?.[key] ? [{ id: randomUuid(random), key }] : [];
      photos.push(...drawn);
      const change: FindingChange = {
        access: 'seen',
        words: visit.words?.[key] ?? [],
        photos: drawn.map(({ id }) => id),
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
          ? { ...finding, access: 'not-reached', accessReason: 'tray-on', leak: null }
          : finding,
      );
    });
  const start = operation('inspection.start', {
    id: inspectionId,
    vehicleId,
    startedAt: day.toISOString(),
    meterKm: visit.km,
    meterAnswer: null,
    complaint: visit.complaint ?? '',
    state: 'cold',
    ambientC: visit.ambientC,
    limitSheet: `${BASELINE.code} ${BASELINE.version}`,
    catalogueVersion: CATALOGUE_VERSION,
    signedAt: null,
  });
  const sign = visit.halfDone ? [] : [operation('inspection.sign', { inspectionId, signedAt: at() })];
  return { operations: [start, ...entries, ...sign], photos };
}

/** What the gauge, the stick or the eye tells of one point. */
function look(
  story: Story,
  visit: StoryVisit,
  index: number,
  { point, place }: PointRef,
  random: () => number,
): FindingChange {
  const { measure, kind } = cataloguePoint(point);
  const km = visit.km - (story.visits[0]?.km ?? 0);
  if (kind === 'leak')
    return {
      leak:
        point === 'leak.engine' && visit.leak
          ? visit.leak
          : { stage: 'dry', fluid: 'unknown', place: null, reaches: 'nothing', wiped: false },
    };
  if (!measure) return {};
  const gauge = MEASURES[measure];
  const read = (truth: number, spot: Spot = 'whole'): Reading => ({
    measure,
    spot,
    phase: 'found',
    values: [gaugeReads(truth, gauge.step, gauge.repeatability, random)],
  });
  switch (measure) {
    case 'tread':
      return {
        readings: cataloguePoint(point).spots.map((spot) =>
          read(wornTo(story.tread(place), km) + TREAD_EDGE[spot], spot),
        ),
      };
    case 'lining':
      return { readings: [read(wornTo(story.pad(place, point === 'pad.inner' ? 'inner' : 'outer'), km))] };
    case 'pressure':
      return { readings: [read(pressureFromReference(story.pressureKpa(place, index), visit.ambientC))] };
    case 'water':
      return { readings: [{ measure, spot: 'whole', phase: 'found', values: [visit.waterShare ?? 1] }] };
    case 'level': {
      const level =
        (point === 'cold.oil' ? visit.levels?.oil : visit.levels?.coolant) ?? 0.7 + Math.round(random() * 4) * 0.05;
      return { readings: [{ measure, spot: 'whole', phase: 'found', values: [Number(level.toFixed(2))] }] };
    }
  }
}
