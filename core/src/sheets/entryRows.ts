import {
  LOGGED_FLUIDS,
  PART_KINDS,
  standingEntries,
  type LifeEntry,
  type LifeEntryContent,
  type LoggedFluid,
  type PartKind,
} from '../parts/lifeEntry';
import { METER_RANGE } from '../plausibility/checkMeter';
import { JOB_CODES, jobKey, type Job } from '../vehicle/jobs';
import { jobNamed } from '../vehicle/jobNamed';
import type { Place, Vehicle } from '../vehicle/vehicle';
import type { HouseRules } from '../house/houseRules';
import type { Repeats } from '../vehicle/place';
import { placeSaid } from './placeWords';
import { meterDoubts, type MeterMoment } from './meterDoubts';
import { metersHere, toldOfMeter, type KnownVehicle } from './readingRows';
import { fateOf, isKept, type DoubtAnswers, type RowFate, type SheetRow } from './rowFate';
import { RowReader, plainWords, type SheetDoubt, type SheetReading } from './rowReader';

/** An entry of a vehicle's life made from a row, with the name of who did it; empty where the table tells none. */
export interface BroughtEntry {
  readonly entry: LifeEntry;
  readonly by: string;
}

/** How rows of a log, of jobs or of parts are taken in. */
export interface TakingEntries {
  readonly reading: SheetReading;
  readonly answers: DoubtAnswers;
  readonly house: Pick<HouseRules, 'traffic'>;
  readonly now: string;
  readonly idOf: (text: string) => string;
}

/** What a row says happened; null where it cannot be told. */
type Happened = LifeEntryContent | null;

const LITRES = { least: 0.01, most: 1000 };
const KINDS = ['meter', 'fuel', 'top-up'] as const;
const KIND_WORDS: Readonly<Record<string, (typeof KINDS)[number]>> = {
  odometer: 'meter',
  reading: 'meter',
  refuel: 'fuel',
  fill: 'fuel',
  diesel: 'fuel',
  petrol: 'fuel',
  'topped up': 'top-up',
  topup: 'top-up',
};
const FLUID_WORDS: Readonly<Record<string, LoggedFluid>> = {
  oil: 'engine-oil',
  antifreeze: 'coolant',
  screenwash: 'washer',
  'washer fluid': 'washer',
};
const PART_WORDS: Readonly<Record<string, PartKind>> = {
  tire: 'tyre',
  tyres: 'tyre',
  tires: 'tyre',
  pad: 'pads',
  'brake pads': 'pads',
  shoe: 'shoes',
  'brake shoes': 'shoes',
  discs: 'disc',
  rotor: 'disc',
  'brake disc': 'disc',
  belts: 'belt',
};
/** Over what parts repeat. */
const REPEATS: Readonly<Record<PartKind, Repeats>> = {
  tyre: 'tyre',
  pads: 'hub',
  shoes: 'hub',
  disc: 'hub',
  battery: null,
  belt: null,
  filter: null,
};

/** What becomes of rows of a log, of jobs or of parts of one vehicle, and the entries they make. */
export function takeEntries(
  rows: readonly SheetRow[],
  { vehicle, visits, entries }: KnownVehicle & { readonly entries: readonly LifeEntry[] },
  taking: TakingEntries,
): { readonly fates: readonly RowFate[]; readonly entries: readonly BroughtEntry[] } {
  const here = new Set(entries.map(saidOf));
  const read = rows.map(({ row, cells }) => {
    const reader = new RowReader(cells, taking.reading);
    const at = reader.day('at', taking.now);
    const meter = reader.figure('meter', vehicle.meterUnit, METER_RANGE[vehicle.meterUnit]);
    const happened = HAPPENED[taking.reading.kind]?.(reader, vehicle, taking) ?? null;
    const by = reader.text('by', 60);
    if (reader.faults.length > 0 || at === null || happened === null) return { row, reader, made: null };
    const told = { vehicleId: vehicle.id, at, meter, ...happened };
    const said = saidOf({ id: '', ...told });
    // Told twice is told once: a second fill of the same litres at the same meter is none.
    const isSame = here.has(said);
    here.add(said);
    return { row, reader, made: { entry: { id: taking.idOf(`entry\n${vehicle.id}\n${said}`), ...told }, by, isSame } };
  });
  const meters = new Map(
    meterDoubts(
      [
        ...metersHere(visits),
        ...metersIn(standingEntries(entries), []),
        ...read.flatMap(({ row, made }) => (made && !made.isSame ? metersIn([made.entry], [row]) : [])),
      ],
      vehicle.meterUnit,
    ).flatMap((doubt) => doubt.rows.map((row) => [row, toldOfMeter(doubt)] as const)),
  );
  const brought: BroughtEntry[] = [];
  const fates = read.map(({ row, reader, made }): RowFate => {
    if (!made) return fateOf(row, reader.faults, [], taking.answers);
    if (made.isSame) return { row, fate: 'same', faults: [], doubts: [] };
    const meter = meters.get(row);
    const doubts = [...doubtsOf(reader, vehicle, made.entry.at), ...(meter ? [meter] : [])];
    if (isKept(doubts, taking.answers)) brought.push({ entry: made.entry, by: made.by });
    return fateOf(row, [], doubts, taking.answers);
  });
  return { fates, entries: brought };
}

const metersIn = (entries: readonly LifeEntry[], rows: readonly number[]): MeterMoment[] =>
  entries.flatMap(({ at, meter }) => (meter === null ? [] : [{ at, meter, answered: false, rows }]));

/** What an entry says, whoever wrote it down and however late. */
function saidOf(entry: LifeEntry): string {
  const { kind, at, meter } = entry;
  const common = [kind, at.slice(0, 10), meter];
  switch (entry.kind) {
    case 'fuel':
      return [...common, entry.litres, entry.full].join(' ');
    case 'top-up':
      return [...common, entry.fluid, entry.litres].join(' ');
    case 'job':
      return [...common, jobKey(entry.job), entry.place].join(' ');
    case 'fit':
      return [...common, entry.what, entry.place].join(' ');
    case 'meter':
      return common.join(' ');
    default:
      return `${entry.id}`;
  }
}

function doubtsOf(reader: RowReader, { year }: Vehicle, at: string): SheetDoubt[] {
  return Number(at.slice(0, 4)) < year
    ? [{ field: 'at', code: 'before-built', written: reader.written('at'), allowed: `${year} or later` }]
    : [];
}

const HAPPENED: Readonly<
  Partial<Record<SheetReading['kind'], (reader: RowReader, vehicle: Vehicle, taking: TakingEntries) => Happened>>
> = {
  log: (reader) => {
    const litres = reader.figure('litres', 'L', LITRES);
    const fluid = reader.written('fluid') === '' ? null : reader.choice('fluid', LOGGED_FLUIDS, FLUID_WORDS);
    const price = reader.figure('price', 'step', { least: 0, most: 100_000 });
    // A table that tells no kind tells it by what else it has.
    const kind =
      reader.written('kind') === ''
        ? fluid !== null
          ? 'top-up'
          : litres !== null
            ? 'fuel'
            : 'meter'
        : reader.choice('kind', KINDS, KIND_WORDS);
    if (kind === 'meter') {
      if (reader.written('meter') === '') reader.wrong('meter', 'missing', 'a meter reading');
      return { kind };
    }
    if (kind !== null && litres === null && reader.faults.length === 0)
      reader.wrong('litres', 'missing', `${LITRES.least} to ${LITRES.most} L`);
    if (kind === 'fuel' && litres !== null) return { kind, litres, full: reader.yesNo('full', false), price };
    if (kind === 'top-up' && fluid === null && reader.written('fluid') === '')
      reader.wrong('fluid', 'missing', LOGGED_FLUIDS.join(', '));
    return kind === 'top-up' && litres !== null && fluid !== null ? { kind, litres, fluid } : null;
  },
  jobs: (reader, vehicle, taking) => {
    const job = jobOf(reader.text('job', 80));
    const litres = reader.figure('litres', 'L', LITRES);
    const place = placeOfRow(reader, 'axle-or-hub', vehicle, taking);
    return { kind: 'job', job, place, litres, numbers: reader.text('numbers', 120), paper: reader.text('paper', 80) };
  },
  parts: (reader, vehicle, taking) => {
    const what = reader.choice('what', PART_KINDS, PART_WORDS);
    if (what === null) return null;
    const place = placeOfRow(reader, REPEATS[what], vehicle, taking);
    return {
      kind: 'fit',
      what,
      place,
      fresh: reader.figure('fresh', 'mm', { least: 0.1, most: 60 }),
      note: reader.text('note', 200),
    };
  },
};

function jobOf(text: string): Job {
  const code = JOB_CODES.find((one) => plainWords(one) === plainWords(text));
  return code && code !== 'own' ? { code, name: '' } : jobNamed(text);
}

function placeOfRow(
  reader: RowReader,
  repeats: Repeats | 'axle-or-hub',
  { axles, makeUp }: Vehicle,
  { house }: TakingEntries,
): Place {
  const written = reader.written('place');
  const given = { traffic: house.traffic, driverSide: makeUp.driverSide, axles };
  if (repeats === 'axle-or-hub') {
    if (written === '') return '';
    const place =
      placeSaid(written, 'hub', given) ?? placeSaid(written, 'axle', given) ?? placeSaid(written, 'tyre', given);
    if (place !== null) return place;
  } else {
    const place = placeSaid(written, repeats, given);
    if (place !== null) return place;
  }
  reader.wrong(
    'place',
    'no-place',
    repeats === null ? 'none: there is one of it' : 'a place of the vehicle such as 1L or front left',
  );
  return '';
}
