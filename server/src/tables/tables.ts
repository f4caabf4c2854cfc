import type { EntryLine, TableName, VisitLine } from '@weskopos/contract';
import {
  MEASURES,
  POINT_CODES,
  cataloguePoint,
  fromStored,
  houseUnit,
  jobsOf,
  pointKey,
  standingOf,
  type HouseUnits,
  type MeasureCode,
  type Spot,
  type Unit,
  type Vehicle,
} from '@weskopos/core';
import { taskKey } from '@weskopos/core/works/worksOf';
import type { Cell } from './csv';

/** One vehicle's life as tables are made from it. */
export interface TabledLife {
  readonly vehicle: Vehicle;
  readonly visits: readonly VisitLine[];
  readonly entries: readonly EntryLine[];
}

/** Figures as a table shows them, each with its unit. */
export interface ShownUnits {
  readonly meter: (value: number | null, vehicle: Pick<Vehicle, 'meterUnit'>) => readonly [number | null, string];
  readonly reading: (value: number, measure: MeasureCode) => readonly [number, string];
  /** A difference of two figures. */
  readonly step: (value: number, measure: MeasureCode) => number;
}

/** In the units everything is stored in, or in those of a house. */
export function shownUnits(house: HouseUnits | null): ShownUnits {
  const unitOf = (measure: MeasureCode) => (house ? houseUnit(measure, house) : MEASURES[measure].unit);
  return {
    meter: (value, { meterUnit }) => {
      const unit = meterUnit === 'km' && house ? house.distance : meterUnit;
      return [value === null ? null : shown(value, unit), unit];
    },
    reading: (value, measure) => [shown(value, unitOf(measure)), unitOf(measure)],
    step: (value, measure) => shown(value, unitOf(measure)) - shown(0, unitOf(measure)),
  };
}

/** What a sum of factors leaves behind the tenth figure is no reading. */
const shown = (stored: number, unit: Unit): number => {
  const value = fromStored(stored, unit);
  return value === stored ? value : Number(value.toPrecision(10));
};

/** A table: the names of its columns, and a vehicle's rows in it. */
interface TableOut {
  readonly columns: (units: ShownUnits) => readonly string[];
  readonly rows: (life: TabledLife, units: ShownUnits) => readonly (readonly Cell[])[];
}

/** What names a vehicle in every table. */
const OF_VEHICLE = ['vehicle', 'fleetCode'] as const;
const ofVehicle = ({ id, fleetCode }: Vehicle): Cell[] => [id, fleetCode];
const OF_VISIT = [...OF_VEHICLE, 'visit', 'startedAt', 'signedAt', 'meter', 'meterUnit'] as const;
const ofVisit = (vehicle: Vehicle, { inspection }: VisitLine, units: ShownUnits): Cell[] => [
  ...ofVehicle(vehicle),
  inspection.id,
  inspection.startedAt,
  inspection.signedAt,
  ...units.meter(inspection.meter, vehicle),
];
const listed = (list: readonly string[]): string => list.join(' ');
/** Every finding of a visit that stands, with its visit. */
const standing = ({ vehicle, visits }: TabledLife, units: ShownUnits) =>
  visits.flatMap((visit) =>
    [...standingOf(visit.findings).values()].map((finding) => ({
      finding,
      start: ofVisit(vehicle, visit, units),
      visit,
    })),
  );

/** One column for each figure there can be without a wheel or axle; those of wheels and axles are told in the long table. */
const WIDE: readonly (readonly [key: string, spot: Spot])[] = POINT_CODES.map(cataloguePoint)
  .filter(({ repeats }) => repeats === null)
  .flatMap(({ code, measures }) =>
    measures.flatMap(({ measure, spots }) => spots.map((spot) => [`${code}:${measure}`, spot] as const)),
  );
/** With its unit where that is not the stored one. */
function wideName(key: string, spot: Spot, units: ShownUnits): string {
  const [, measure = ''] = key.split(':');
  const [, unit] = units.reading(0, measure as MeasureCode);
  const name = spot === 'whole' ? key : `${key}:${spot}`;
  return unit === MEASURES[measure as MeasureCode].unit ? name : `${name} (${unit})`;
}

/** Every table that is taken out; figures in the unit they are kept in, which stands beside them or in the column's name. */
export const TABLES_OUT: Readonly<Record<TableName, TableOut>> = {
  vehicles: {
    columns: () => [
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
    columns: () => [
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
    rows: ({ vehicle, visits }, units) =>
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
        return [...ofVisit(vehicle, visit, units), ...told, state, ambientC, load, complaint, voidedAt, voidedWhy];
      }),
  },
  findings: {
    columns: () => [
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
    rows: (life, units) =>
      standing(life, units).map(({ finding, start, visit }) => {
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
    columns: () => [
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
    rows: (life, units) =>
      standing(life, units).flatMap(({ finding: { point, place, readings, at, by }, start }) =>
        readings.flatMap(({ measure, spot, phase, values, bound, step }) =>
          values.map((value, n) => [
            ...start,
            ...[point, place, measure, spot, phase, bound],
            ...[n + 1, ...units.reading(value, measure), step && units.step(step, measure), at, by],
          ]),
        ),
      ),
  },
  'readings-wide': {
    columns: (units) => [...OF_VISIT, ...WIDE.map(([key, spot]) => wideName(key, spot, units))],
    rows: ({ vehicle, visits }, units) =>
      visits.map((visit) => {
        const stands = standingOf(visit.findings);
        return [
          ...ofVisit(vehicle, visit, units),
          ...WIDE.map(([key, spot]) => {
            const [code = '', wanted] = key.split(':');
            // Of several the last: what it was left at.
            const reading = stands
              .get(pointKey(code, ''))
              ?.readings.findLast((one) => one.measure === wanted && one.spot === spot);
            const value = reading?.values.at(-1);
            return reading && value !== undefined ? units.reading(value, reading.measure)[0] : null;
          }),
        ];
      }),
  },
  jobs: {
    columns: () => [...OF_VEHICLE, 'job', 'name', 'at', 'meter', 'meterUnit', 'place', 'litres', 'toldBy', 'id'],
    rows: ({ vehicle, visits, entries }, units) =>
      jobsOf(
        visits.filter(({ inspection }) => inspection.voidedAt === null),
        entries.map(({ entry }) => entry),
      ).map(({ job, at, meter, place, litres, toldBy }) => [
        ...ofVehicle(vehicle),
        ...[job.code, job.name, at, ...units.meter(meter, vehicle), place, litres, toldBy.kind, toldBy.id],
      ]),
  },
  log: {
    columns: () => [
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
    rows: ({ vehicle, entries }, units) =>
      [...entries]
        .sort(byDone)
        .map(({ entry, writtenAt }) => [
          ...ofVehicle(vehicle),
          ...[entry.id, entry.kind, entry.at, ...units.meter(entry.meter, vehicle)],
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
    columns: () => [
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
    case 'work':
      return taskKey(entry.task).trim();
    case 'work-cost':
      return entry.refers;
    case 'work-step':
      return `${entry.step} ${entry.refers}`;
    case 'misread':
      return pointKey(entry.point, entry.place);
    case 'undo':
      return entry.refers;
    default:
      return null;
  }
}
