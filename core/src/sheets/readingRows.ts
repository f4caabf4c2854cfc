import { cataloguePoint, pointKey } from '../catalogue/catalogue';
import { MEASURES, MEASURE_CODES, namedSteps, type MeasureCode } from '../catalogue/measures';
import type { Spot } from '../catalogue/points/point';
import type { HouseRules } from '../house/houseRules';
import { standingOf } from '../inspection/currentFindings';
import { BLANK_CONTENT, BOUNDS, type Bound, type Finding, type Reading } from '../inspection/finding';
import { blankInspection, isSigned, type Inspection, type MeterAnswer } from '../inspection/inspection';
import { METER_RANGE } from '../plausibility/checkMeter';
import { doubtId, doubtsAbout } from '../plausibility/doubts';
import { parseMeasure, parseWeekCode } from '../units/parseMeasure';
import type { Unit } from '../units/units';
import { groupBy } from '../sums/groupBy';
import { hasPlace } from '../vehicle/place';
import type { Vehicle } from '../vehicle/vehicle';
import { meterDoubts, type MeterDoubt, type MeterMoment } from './meterDoubts';
import { placeSaid, type PlaceGiven } from './placeWords';
import { pointSaid, spotSaid, spotsOf } from './pointWords';
import { cellText, type SheetCell } from './readCell';
import { fateOf, isKept, type DoubtAnswers, type RowFate, type SheetRow } from './rowFate';
import { RowReader, plainWords, type SheetDoubt, type SheetReading } from './rowReader';
import type { ReadingAt, SheetField } from './sheetKinds';

/** What is known of a vehicle beside the rows that name it. */
export interface KnownVehicle {
  readonly vehicle: Vehicle;
  readonly visits: readonly { readonly inspection: Inspection; readonly findings: readonly Finding[] }[];
}

/** How rows are taken in. */
export interface TakingIn {
  readonly reading: SheetReading;
  readonly answers: DoubtAnswers;
  readonly house: HouseRules;
  /** Version of the rules that visits brought in are graded by. */
  readonly rulebook: number;
  readonly now: string;
  /** What the table is called. */
  readonly source: string;
  /** The same id for the same text, wherever and whenever. */
  readonly idOf: (text: string) => string;
}

/** A visit made from rows, with the name of who read; empty where the table tells none. */
export interface BroughtVisit {
  readonly inspection: Inspection;
  readonly findings: readonly Finding[];
  readonly by: string;
}

/** One figure of a row. */
interface Drafted extends ReadingAt {
  readonly row: number;
  /** The visit it is of. */
  readonly visit: string;
  readonly at: string;
  readonly meter: number;
  readonly value: number;
  readonly bound: Bound;
  readonly step: number | null;
  readonly by: string;
  readonly note: string;
  readonly field: SheetField;
  readonly written: string;
}

const NO_PLACE = 'a place of the vehicle such as 1L, 2Ro, front left';

/** What becomes of rows of readings of one vehicle, and the visits they make. Rows of one day and hour are one visit. */
export function takeReadings(
  rows: readonly SheetRow[],
  known: KnownVehicle,
  taking: TakingIn,
): { readonly fates: readonly RowFate[]; readonly visits: readonly BroughtVisit[] } {
  const drafts: Drafted[] = [];
  const readers = new Map<number, RowReader>();
  for (const { row, cells } of rows) {
    const reader = new RowReader(cells, taking.reading);
    readers.set(row, reader);
    drafts.push(...draftsOf(row, cells, reader, known.vehicle, taking));
  }
  const meters = new Map<string, number>();
  for (const one of drafts) {
    const meter = meters.get(one.visit) ?? one.meter;
    meters.set(one.visit, meter);
    if (meter !== one.meter)
      readers.get(one.row)?.wrong('meter', 'other-meter', `${meter}, as other rows of that visit say`);
  }
  const isSound = ({ row }: Drafted) => readers.get(row)?.faults.length === 0;
  const doubts = new Map<number, SheetDoubt[]>();
  const doubt = (row: number, one: SheetDoubt) => {
    const of = doubts.get(row) ?? [];
    // One of a kind is enough to be asked.
    if (!of.some(({ code, field }) => code === one.code && field === one.field)) doubts.set(row, [...of, one]);
  };
  for (const one of tooMany(drafts.filter(isSound)))
    readers
      .get(one.row)
      ?.wrong(one.field, 'out-of-range', `at most ${MOST_REPEATS} readings of one place in a visit`, one.written);
  const { fresh, same } = unlikeHere(drafts.filter(isSound), known, doubt);
  doubtMeters(fresh, known, doubt);
  doubtFigures(fresh, taking, doubt);
  const kept = fresh.filter(({ row }) => isKept(doubts.get(row) ?? [], taking.answers));
  const news = new Set(fresh.map(({ row }) => row));
  const fates = rows.map(({ row }): RowFate => {
    const faults = readers.get(row)?.faults ?? [];
    const own = doubts.get(row) ?? [];
    if (faults.length === 0 && own.length === 0 && !news.has(row) && same.has(row))
      return { row, fate: 'same', faults, doubts: own };
    return fateOf(row, faults, own, taking.answers);
  });
  return { fates, visits: visitsOf(kept, known.vehicle, taking, doubts) };
}

function draftsOf(
  row: number,
  cells: readonly SheetCell[],
  reader: RowReader,
  vehicle: Vehicle,
  taking: TakingIn,
): Drafted[] {
  const { columns } = taking.reading;
  const at = reader.day('at', taking.now);
  const meter = reader.figure('meter', vehicle.meterUnit, METER_RANGE[vehicle.meterUnit]);
  const [by, note, visit] = [reader.text('by', 60), reader.text('note', 500), reader.text('visit', 120)];
  const bound = reader.choice('bound', BOUNDS) ?? 'exact';
  const given: PlaceGiven = {
    traffic: taking.house.traffic,
    driverSide: vehicle.makeUp.driverSide,
    axles: vehicle.axles,
  };
  const drafts: Omit<Drafted, 'at' | 'meter' | 'visit'>[] = [];
  const wide = columns.flatMap((column, index) => (column.at ? [{ ...column, at: column.at, index }] : []));
  for (const { at: where, unit, index } of wide) {
    const cell = cells[index] ?? null;
    if (cellText(cell) === '') continue;
    if (!hasPlace(vehicle.axles, cataloguePoint(where.point).repeats, where.place)) {
      reader.wrong('place', 'no-place', NO_PLACE, where.place);
      continue;
    }
    const value = valueOf(reader, 'value', cell, where.measure, unit);
    if (value !== null)
      drafts.push({ row, ...where, value, bound, step: null, by, note, field: 'value', written: cellText(cell) });
  }
  const long = columns.some(({ field }) => field === 'point' || field === 'value');
  if (long || wide.length === 0) {
    const where = whereOf(reader, given);
    const step = where && reader.figure('gaugeStep', MEASURES[where.measure].unit, { least: 0, most: 100 });
    const value =
      where && valueOf(reader, 'value', reader.cell('value'), where.measure, unitOfRow(reader, taking, where.measure));
    if (where && value !== null)
      drafts.push({
        row,
        ...where,
        value,
        bound,
        step: step || null,
        by,
        note,
        field: 'value',
        written: reader.written('value'),
      });
  } else if (drafts.length === 0 && reader.faults.length === 0) reader.wrong('value', 'missing', 'at least one figure');
  if (at === null || meter === null) return [];
  return drafts.map((one) => ({ ...one, at, meter, visit: visit === '' ? at : `${visit} ${at}` }));
}

/** Where a row of the long form read. */
function whereOf(reader: RowReader, given: PlaceGiven): ReadingAt | null {
  const told = reader.written('point');
  if (told === '') {
    reader.wrong('point', 'missing', 'a point such as tyre.tread');
    return null;
  }
  const said = pointSaid(told);
  if (!said) {
    reader.wrong('point', 'unknown', 'a code of the catalogue such as tyre.tread, or its name');
    return null;
  }
  const { point } = said;
  const { measures, repeats } = cataloguePoint(point);
  const taken = measures.map(({ measure }) => measure);
  const measure = reader.written('measure') === '' ? said.measure : reader.choice('measure', taken, MEASURE_WORDS);
  if (measure === null || spotsOf(point, measure).length === 0) {
    if (measure === null && taken.length === 0) reader.wrong('point', 'unknown', 'a point that takes a figure');
    else if (measure !== null) reader.wrong('measure', 'unknown', taken.join(', '));
    return null;
  }
  const place = placeSaid(reader.written('place'), repeats, given);
  if (place === null) reader.wrong('place', 'no-place', repeats === null ? 'none: there is one of it' : NO_PLACE);
  const spot = spotOf(reader, spotsOf(point, measure));
  return place === null || spot === null ? null : { point, place, measure, spot };
}

const MEASURE_WORDS: Readonly<Record<string, MeasureCode>> = Object.fromEntries(
  MEASURE_CODES.map((code) => [plainWords(code), code]),
);

function spotOf(reader: RowReader, spots: readonly Spot[]): Spot | null {
  const written = reader.written('spot');
  const [only] = spots;
  if (spots.length === 1 && only !== undefined && (written === '' || spotSaid(written) === only)) return only;
  if (written === '' && spots.includes('whole')) return 'whole';
  const said = written === '' ? null : spotSaid(written);
  if (said !== null && spots.includes(said)) return said;
  reader.wrong('spot', written === '' ? 'missing' : 'unknown', spots.join(', '));
  return null;
}

function unitOfRow(reader: RowReader, { reading }: TakingIn, measure: MeasureCode): Unit | null {
  const written = reader.written('unit');
  const usual = MEASURES[measure].unit;
  if (written === '' || written === usual) return reading.columns.find(({ field }) => field === 'value')?.unit ?? null;
  const read = parseMeasure(`1 ${written}`, usual);
  if (read.status === 'value') return read.unit;
  reader.wrong('unit', 'other-unit', `a unit such as ${usual}`);
  return null;
}

/** A figure of a measure: a named step by its name, a week by its four digits. */
function valueOf(
  reader: RowReader,
  field: SheetField,
  cell: SheetCell,
  measure: MeasureCode,
  unit: Unit | null,
): number | null {
  const { unit: usual, least, most } = MEASURES[measure];
  const text = cellText(cell);
  const steps = namedSteps(measure);
  if (text === '') {
    reader.wrong(field, 'missing', `${least} to ${most} ${usual}`, cell);
    return null;
  }
  if (steps && steps.includes(plainWords(text))) return steps.indexOf(plainWords(text));
  if (measure === 'tyre-age' && text.length < 6) {
    const week = parseWeekCode(text.padStart(4, '0'));
    if (week.status === 'week') return week.yyyyww;
    reader.wrong(field, 'unreadable', 'week and year in four digits, such as 0523', cell);
    return null;
  }
  const value = reader.figureIn(field, cell, unit, usual, { least, most });
  if (value === null || typeof MEASURES[measure].taken === 'string' || Number.isInteger(value)) return value;
  reader.wrong(field, 'unreadable', steps?.join(', ') ?? '', cell);
  return null;
}

const slotOf = ({ at, point, place, measure, spot }: Pick<Drafted, 'at' | 'point' | 'place' | 'measure' | 'spot'>) =>
  [at.slice(0, 10), pointKey(point, place), measure, spot].join(' ');
/** Readings of one place in one visit, as the record of a reading has them at most. */
const MOST_REPEATS = 5;

/** Other figures of one place and visit than a reading can hold. */
function tooMany(drafts: readonly Drafted[]): Drafted[] {
  return [...groupBy(drafts, (one) => `${one.visit} ${slotOf(one)}`).values()].flatMap((ofSlot) => {
    const figures = new Set<number>();
    return ofSlot.filter(({ value }) => {
      if (figures.size < MOST_REPEATS) figures.add(value);
      return !figures.has(value);
    });
  });
}

const isSame = (a: number, b: number) => Math.abs(a - b) <= 1e-6 * Math.max(1, Math.abs(a));

/** Figures that are not here yet, and rows whose figures are: here by the day, the place and the value. */
function unlikeHere(
  drafts: readonly Drafted[],
  { visits }: KnownVehicle,
  doubt: (row: number, one: SheetDoubt) => void,
): { readonly fresh: Drafted[]; readonly same: ReadonlySet<number> } {
  const here = new Map<string, number[]>();
  for (const { inspection, findings } of visits) {
    if (inspection.voidedAt !== null) continue;
    for (const { point, place, readings } of standingOf(findings).values())
      for (const { measure, spot, values } of readings) {
        const slot = slotOf({ at: inspection.startedAt, point: point, place, measure, spot });
        here.set(slot, [...(here.get(slot) ?? []), ...values]);
      }
  }
  const inTable = new Map<string, Drafted[]>();
  const same = new Set<number>();
  const fresh = drafts.filter((one) => {
    const slot = slotOf(one);
    const known = here.get(slot) ?? [];
    if (known.some((value) => isSame(value, one.value))) {
      same.add(one.row);
      return false;
    }
    const told = { field: one.field, written: one.written };
    if (known.length > 0)
      doubt(one.row, { ...told, code: 'here-otherwise', allowed: known.map((value) => String(value)).join(', ') });
    const before = (inTable.get(slot) ?? []).filter(({ visit }) => visit === one.visit);
    if (before.some(({ value }) => isSame(value, one.value))) {
      same.add(one.row);
      return false;
    }
    if (before.length > 0)
      doubt(one.row, { ...told, code: 'read-twice', allowed: before.map(({ value }) => String(value)).join(', ') });
    inTable.set(slot, [...(inTable.get(slot) ?? []), one]);
    return true;
  });
  return { fresh, same };
}

/** Meters that go back, or too far, among those of the rows and those that are here. */
function doubtMeters(
  fresh: readonly Drafted[],
  { vehicle, visits }: KnownVehicle,
  doubt: (row: number, one: SheetDoubt) => void,
): void {
  const moments: MeterMoment[] = [
    ...metersHere(visits),
    ...[...groupBy(fresh, ({ visit }) => visit).values()].flatMap((drafts) =>
      drafts[0]
        ? [{ at: drafts[0].at, meter: drafts[0].meter, answered: false, rows: drafts.map(({ row }) => row) }]
        : [],
    ),
  ];
  for (const one of meterDoubts(moments, vehicle.meterUnit)) for (const row of one.rows) doubt(row, toldOfMeter(one));
}

/** What signed visits that count read. */
export const metersHere = (visits: KnownVehicle['visits']): MeterMoment[] =>
  visits
    .filter(({ inspection }) => isSigned(inspection))
    .map(({ inspection: { startedAt, meter, meterAnswer } }) => ({
      at: startedAt,
      meter,
      answered: meterAnswer !== null,
      rows: [],
    }));

/** A doubt about a meter, as a row is told. */
export const toldOfMeter = ({ code, meter, beside, isAfter }: MeterDoubt): SheetDoubt => ({
  field: 'meter',
  code,
  written: String(meter),
  allowed: `${isAfter ? 'after' : 'before'} ${beside}`,
});

/** Figures that are odd by themselves, or beside the others of their visit. */
function doubtFigures(
  fresh: readonly Drafted[],
  { house }: TakingIn,
  doubt: (row: number, one: SheetDoubt) => void,
): void {
  for (const ofVisit of groupBy(fresh, ({ visit }) => visit).values()) {
    const byPoint = groupBy(ofVisit, ({ point, place }) => pointKey(point, place));
    const findings = new Map(
      [...byPoint].map(([key, rows]) => [key, findingOf(rows, { id: '', inspectionId: '' }, [])]),
    );
    for (const [key, finding] of findings) {
      const beside = finding.point === 'pad.inner' ? 'pad.outer' : finding.point === 'pad.outer' ? 'pad.inner' : null;
      const partner = beside ? findings.get(pointKey(beside, finding.place)) : undefined;
      for (const { code, measure, spot } of doubtsAbout(finding, undefined, partner, finding.at, house))
        for (const one of byPoint.get(key) ?? [])
          if (one.measure === measure && one.spot === spot && isAskedHere(code))
            doubt(one.row, { field: one.field, code, written: one.written, allowed: 'asked once' });
    }
  }
}

const ASKED = ['unit-slip', 'unlikely', 'far-from-partner', 'far-from-next', 'not-made-yet'] as const;
/** What leans on the look before is asked on the life sheet, where parts that were renewed are told. */
const isAskedHere = (code: string): code is (typeof ASKED)[number] => (ASKED as readonly string[]).includes(code);

function visitsOf(
  kept: readonly Drafted[],
  { id: vehicleId }: Vehicle,
  { idOf, answers, rulebook, source }: TakingIn,
  doubts: ReadonlyMap<number, readonly SheetDoubt[]>,
): BroughtVisit[] {
  return [...groupBy(kept, ({ visit }) => visit).values()].flatMap((rows): BroughtVisit[] => {
    const [first] = rows;
    if (!first) return [];
    const { at, meter } = first;
    const said = rows.map((one) => `${slotOf(one)} ${one.value}`).sort();
    const id = idOf(['visit', vehicleId, at, meter, ...said].join('\n'));
    const byPoint = groupBy(rows, ({ point, place }) => pointKey(point, place));
    const odd = rows.flatMap(({ row }) => doubts.get(row) ?? []).find(({ field }) => field === 'meter');
    const inspection = blankInspection({
      id,
      vehicleId,
      startedAt: at,
      meter,
      meterAnswer: odd ? meterAnswer(odd.code, answers) : null,
      rulebook,
      focus: [...byPoint.keys()],
      broughtFrom: source,
      signedAt: at,
      ahead: [],
    });
    const findings = [...byPoint].map(([key, ofPoint]) =>
      findingOf(
        ofPoint,
        { id: idOf(`finding\n${id}\n${key}`), inspectionId: id },
        ofPoint.flatMap(({ row, spot }) => keptOf(doubts.get(row) ?? [], spot)),
      ),
    );
    return [{ inspection, findings, by: first.by }];
  });
}

function meterAnswer(code: SheetDoubt['code'], answers: DoubtAnswers): MeterAnswer | null {
  const answer = answers[code];
  if (answer === 'meter-replaced' || answer === 'last-misread') return answer;
  return code === 'too-far' ? 'long-trip' : null;
}

const keptOf = (doubts: readonly SheetDoubt[], spot: Spot): string[] =>
  doubts.flatMap(({ code }) => (isAskedHere(code) ? [doubtId({ code, spot })] : []));

function findingOf(
  rows: readonly Drafted[],
  ids: Pick<Finding, 'id' | 'inspectionId'>,
  kept: readonly string[],
): Finding {
  const [first] = rows as readonly [Drafted, ...Drafted[]];
  const readings = [...groupBy(rows, ({ measure, spot }) => `${measure} ${spot}`).values()].flatMap(
    (same): Reading[] => {
      const [one] = same;
      if (!one) return [];
      const { measure, spot, bound, step } = one;
      return [{ measure, spot, phase: 'found', values: same.map(({ value }) => value), bound, step }];
    },
  );
  const { point, place, at } = first;
  return {
    ...BLANK_CONTENT,
    ...ids,
    parent: null,
    point,
    place,
    at,
    access: 'seen',
    readings,
    note: [...new Set(rows.map(({ note }) => note).filter((note) => note !== ''))].join(' · ').slice(0, 500),
    kept: [...new Set(kept)],
  };
}
