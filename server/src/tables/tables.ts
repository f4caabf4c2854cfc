import type { EntryLine, TableName, VisitLine } from '@weskopos/contract';
import {
  MEASURES,
  POINT_CODES,
  cataloguePoint,
  jobsOf,
  pointKey,
  standingOf,
  type Spot,
  type Vehicle,
} from '@weskopos/core';
import type { Cell } from './csv';

/** One vehicle's life as tables are made from it. */
export interface TabledLife {
  readonly vehicle: Vehicle;
  readonly visits: readonly VisitLine[];
  readonly entries: readonly EntryLine[];
}

/** A table: the names of its columns, and a vehicle's rows in it. */
interface TableOut {
  readonly columns: readonly string[];
  readonly rows: (life: TabledLife) => readonly (readonly Cell[])[];
}

/** What names a vehicle in every table. */
const OF_VEHICLE = ['vehicle', 'fleetCode'] as const;
const ofVehicle = ({ id, fleetCode }: Vehicle): Cell[] => [id, fleetCode];
const OF_VISIT = [...OF_VEHICLE, 'visit', 'startedAt', 'signedAt', 'meter', 'meterUnit'] as const;
const ofVisit = (vehicle: Vehicle, { inspection }: VisitLine): Cell[] => [
  ...ofVehicle(vehicle),
  inspection.id,
  inspection.startedAt,
  inspection.signedAt,
  inspection.meter,
  vehicle.meterUnit,
];
const listed = (list: readonly string[]): string => list.join(' ');
/** Every finding of a visit that stands, with its visit. */
const standing = ({ vehicle, visits }: TabledLife) =>
  visits.flatMap((visit) =>
    [...standingOf(visit.findings).values()].map((finding) => ({ finding, start: ofVisit(vehicle, visit), visit })),
  );

/** One column for each figure there can be without a wheel or axle; those of wheels and axles are told in the long table. */
const WIDE: readonly (readonly [key: string, spot: Spot])[] = POINT_CODES.map(cataloguePoint)
  .filter(({ repeats }) => repeats === null)
  .flatMap(({ code, measures }) =>
    measures.flatMap(({ measure, spots }) => spots.map((spot) => [`${code}:${measure}`, spot] as const)),
  );
const wideName = (key: string, spot: Spot) => (spot === 'whole' ? key : `${key}:${spot}`);

/** Every table that is taken out; figures in the unit they are kept in, which stands beside them or in the column's name. */
export const TABLES_OUT: Readonly<Record<TableName, TableOut>> = {
  vehicles: {
    columns: [
      ...OF_VEHICLE,
      'plate',
      'vin',
      'make',
      'model',
      'year',
      'class',
      'use',
      'axles',
      'meterUnit',
      'power',
      'gearbox',
      'drive',
    ],
    rows: ({ vehicle }) => {
      const { plate, vin, make, model, year, use, axles, meterUnit, makeUp } = vehicle;
      const { power, gearbox, drive } = makeUp;
      return [
        [
          ...ofVehicle(vehicle),
          plate,
          vin,
          make,
          model,
          year,
          vehicle.class,
          use,
          axles.length,
          meterUnit,
          power,
          gearbox,
          drive,
        ],
      ];
    },
  },
  visits: {
    columns: [
      ...OF_VISIT,
      'template',
      'rulebook',
      'inspector',
      'signedBy',
      'grade',
      'pass',
      'advisory',
      'fail',
      'notSeen',
      'state',
      'ambientC',
      'load',
      'complaint',
      'voidedAt',
      'voidedWhy',
    ],
    rows: ({ vehicle, visits }) =>
      visits.map((visit) => {
        const { inspection, inspector, signedBy, grade, counts } = visit;
        const { template, rulebook, state, ambientC, load, complaint, voidedAt, voidedWhy } = inspection;
        const { pass = null, advisory = null, fail = null } = counts ?? {};
        const told = [
          template,
          rulebook,
          inspector,
          signedBy,
          grade,
          pass,
          advisory,
          fail,
          counts?.['not-seen'] ?? null,
        ];
        return [...ofVisit(vehicle, visit), ...told, state, ambientC, load, complaint, voidedAt, voidedWhy];
      }),
  },
  findings: {
    columns: [
      ...OF_VISIT,
      'finding',
      'point',
      'place',
      'grade',
      'access',
      'accessReason',
      'words',
      'leaks',
      'counts',
      'codes',
      'note',
      'photos',
      'at',
      'by',
    ],
    rows: (life) =>
      standing(life).map(({ finding, start, visit }) => {
        const { id, point, place, access, accessReason, words, leaks, counts, codes, note, photos, at, by } = finding;
        const amended = visit.amendments.flatMap(({ points }) => points);
        const graded = [...amended, ...(visit.sheet?.points ?? [])].find(
          (one) => one?.point === point && one.place === place,
        );
        return [
          ...start,
          id,
          point,
          place,
          graded?.result.grade ?? null,
          access,
          accessReason,
          listed(words),
          listed(leaks.map(({ stage, fluid, place: where }) => [stage, fluid, where ?? ''].join('/'))),
          listed(counts.map(({ item, good, of }) => `${item}/${good}/${of}`)),
          listed(codes.map(({ code, state }) => `${code}/${state}`)),
          note,
          photos.length,
          at,
          by,
        ];
      }),
  },
  readings: {
    columns: [
      ...OF_VISIT,
      'point',
      'place',
      'measure',
      'spot',
      'phase',
      'bound',
      'n',
      'value',
      'unit',
      'gaugeStep',
      'readAt',
      'readBy',
    ],
    rows: (life) =>
      standing(life).flatMap(({ finding: { point, place, readings, at, by }, start }) =>
        readings.flatMap(({ measure, spot, phase, values, bound, step }) =>
          values.map((value, n) => [
            ...start,
            ...[point, place, measure, spot, phase, bound],
            ...[n + 1, value, MEASURES[measure].unit, step, at, by],
          ]),
        ),
      ),
  },
  'readings-wide': {
    columns: [...OF_VISIT, ...WIDE.map(([key, spot]) => wideName(key, spot))],
    rows: ({ vehicle, visits }) =>
      visits.map((visit) => {
        const stands = standingOf(visit.findings);
        return [
          ...ofVisit(vehicle, visit),
          ...WIDE.map(([key, spot]) => {
            const [code = '', wanted] = key.split(':');
            // Of several the last: what it was left at.
            const reading = stands
              .get(pointKey(code, ''))
              ?.readings.findLast((one) => one.measure === wanted && one.spot === spot);
            return reading?.values.at(-1) ?? null;
          }),
        ];
      }),
  },
  jobs: {
    columns: [...OF_VEHICLE, 'job', 'name', 'at', 'meter', 'meterUnit', 'place', 'litres', 'toldBy', 'id'],
    rows: ({ vehicle, visits, entries }) =>
      jobsOf(
        visits.filter(({ inspection }) => inspection.voidedAt === null),
        entries.map(({ entry }) => entry),
      ).map(({ job, at, meter, place, litres, toldBy }) => [
        ...ofVehicle(vehicle),
        ...[job.code, job.name, at, meter, vehicle.meterUnit, place, litres, toldBy.kind, toldBy.id],
      ]),
  },
  log: {
    columns: [
      ...OF_VEHICLE,
      'entry',
      'kind',
      'at',
      'meter',
      'meterUnit',
      'litres',
      'full',
      'price',
      'what',
      'place',
      'note',
      'writtenAt',
      'by',
    ],
    rows: ({ vehicle, entries }) =>
      [...entries]
        .sort(byDone)
        .map(({ entry, writtenAt }) => [
          ...ofVehicle(vehicle),
          ...[entry.id, entry.kind, entry.at, entry.meter, vehicle.meterUnit],
          'litres' in entry ? entry.litres : null,
          'full' in entry ? entry.full : null,
          'price' in entry ? entry.price : null,
          whatOf(entry),
          'place' in entry ? entry.place : null,
          'note' in entry ? entry.note : null,
          ...[writtenAt, entry.by],
        ]),
  },
  forecasts: {
    columns: [
      ...OF_VEHICLE,
      'visit',
      'at',
      'series',
      'kind',
      'value',
      'limit',
      'distanceLow',
      'distanceMid',
      'distanceHigh',
      'daysLow',
      'daysMid',
      'daysHigh',
    ],
    rows: ({ vehicle, visits }) =>
      visits.flatMap(({ inspection, forecasts }) =>
        forecasts.map(({ at, series, kind, value, limit, shown: { distance, days } }) => [
          ...ofVehicle(vehicle),
          ...[inspection.id, at, series, kind, value, limit, distance.low, distance.mid, distance.high],
          ...[days?.low ?? null, days?.mid ?? null, days?.high ?? null],
        ]),
      ),
  },
};

/** As it happened, however late it was written down. */
const byDone = (a: EntryLine, b: EntryLine) => Date.parse(a.entry.at) - Date.parse(b.entry.at);

function whatOf(entry: EntryLine['entry']): string | null {
  switch (entry.kind) {
    case 'fit':
      return entry.what;
    case 'job':
    case 'not-known':
      return entry.job.name || entry.job.code;
    case 'top-up':
      return entry.fluid;
    case 'rotate':
      return listed(entry.moves.map(({ from, to }) => `${from}>${to}`));
    case 'misread':
      return pointKey(entry.point, entry.place);
    case 'undo':
      return entry.refers;
    default:
      return null;
  }
}
