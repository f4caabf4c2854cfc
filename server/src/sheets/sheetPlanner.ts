import type { Life, SheetPlan, SheetTaking, VisitLine } from '@weskopos/contract';
import { namedRules, rulesOf, signedPoints, verdictFor, type Rulebook, type Rules, type Vehicle } from '@weskopos/core';
import { takeEntries, type BroughtEntry } from '@weskopos/core/sheets/entryRows';
import { cellText } from '@weskopos/core/sheets/readCell';
import { takeReadings, type BroughtVisit } from '@weskopos/core/sheets/readingRows';
import type { Fate, RowFate, SheetRow } from '@weskopos/core/sheets/rowFate';
import { RowReader, plainWords, type SheetDoubtCode } from '@weskopos/core/sheets/rowReader';
import { takeVehicles } from '@weskopos/core/sheets/vehicleRows';
import { groupBy } from '@weskopos/core/sums/groupBy';
import { createHash, randomUUID } from 'node:crypto';
import { once } from 'node:events';
import { createWriteStream, type WriteStream } from 'node:fs';
import { finished } from 'node:stream/promises';
import { ChangesOf, type TakenLine } from '../bundle/changesOf';
import { sealBehind, type ChainEnd } from '../signing/signature';
import { sayVisit } from '../signing/signedTexts';
import { openWorkshopKey, type WorkshopKey } from '../signing/workshopKey';
import { csvOf } from '../tables/csv';
import { SheetRefused, rowsOfSheet } from './openSheet';

/** A vehicle as rows may call it. */
export type NamedVehicle = Pick<Vehicle, 'id' | 'fleetCode' | 'plate' | 'vin'>;

/** What planning asks besides the lives of the vehicles that are named. */
export interface SheetGiven {
  readonly file: string;
  /** What the file is called. */
  readonly name: string;
  readonly taking: SheetTaking;
  readonly named: readonly NamedVehicle[];
  /** Every vehicle, for a table of vehicles; else none. */
  readonly vehicles: readonly Vehicle[];
  readonly people: readonly { readonly id: string; readonly name: string }[];
  /** The rules of today, and the hash of their canonical JSON. */
  readonly rulebook: Rulebook;
  readonly rulebookHash: string | null;
  /** Who brings it in. */
  readonly by: { readonly id: string; readonly name: string };
  readonly now: string;
  /** Folder of the workshop's key. */
  readonly keys: string;
  /** Where changes are laid ready; null where one only looks at what would become of each row. */
  readonly draft: string | null;
  /** Where the report of every row goes. */
  readonly report: string;
}

/** What is known of a vehicle that is named. */
export interface KnownLife {
  readonly life: Life;
  readonly chain: ChainEnd | null;
}

/** What planning came to. */
export interface SheetPlanned {
  readonly plan: Omit<SheetPlan, 'id'>;
  /** Hash of the changes that were laid ready. */
  readonly hash: string;
  /** Vehicles that are new here. */
  readonly fresh: readonly string[];
}

/** So many rows are told one by one; all of them are in the report. */
const MOST_TOLD = 100;
/** Letters of the reasons of one row. */
const MOST_WHY = 2000;
/** Rows of the report that are written together. */
const AT_ONCE = 1000;

/** Reads a table, tells what becomes of each row and lays ready what is new. Works without the database, in a thread. */
export class SheetPlanner {
  private readonly rows: SheetRow[] = [];
  private readonly ofVehicle = new Map<string, SheetRow[]>();
  private readonly fates = new Map<number, RowFate>();
  private readonly changes: ChangesOf;
  private readonly people: Map<string, string>;
  private readonly strangers: string[] = [];
  private readonly draft: WriteStream | null;
  private readonly hash = createHash('sha256');
  private readonly makes = { vehicles: 0, changed: 0, visits: 0, entries: 0 };
  private readonly touched: { id: string; fleetCode: string }[] = [];
  private readonly fresh: string[] = [];
  private readonly rules: Rules;
  private key: WorkshopKey | undefined;

  constructor(private readonly given: SheetGiven) {
    this.people = new Map(given.people.map(({ id, name }) => [name.toLowerCase(), id]));
    this.changes = new ChangesOf({
      personOf: (name) => this.people.get(name.toLowerCase()) ?? given.by.id,
      newId: randomUUID,
      by: given.by.id,
      receivedAt: given.now,
      device: 'table',
    });
    this.rules = rulesOf(given.rulebook, 'full');
    this.draft = given.draft === null ? null : createWriteStream(given.draft, { mode: 0o600 });
    // A draft that is given up before it is waited for is no unhandled failure.
    this.draft?.on('error', () => undefined);
  }

  /** Reads the whole file. @returns the vehicles its rows name */
  async open(): Promise<{ readonly rows: number; readonly ids: readonly string[] }> {
    const { file, taking } = this.given;
    if (taking.columns.every(({ field }) => field === null)) throw new SheetRefused('sheet-no-columns', 'columns');
    this.key = await openWorkshopKey(this.given.keys);
    for await (const row of rowsOfSheet(file, taking.file)) this.rows.push(row);
    if (this.rows.length === 0) throw new SheetRefused('sheet-empty', 'rows');
    if (taking.kind === 'vehicles') {
      await this.takeVehicleRows();
      return { rows: this.rows.length, ids: [] };
    }
    const byName = namesOf(this.given.named);
    for (const row of this.rows) {
      const reader = new RowReader(row.cells, taking);
      const written = reader.text('vehicle', 120);
      const ids = byName.get(plainWords(written)) ?? [];
      const [id] = ids;
      if (id !== undefined && ids.length === 1) {
        const here = this.ofVehicle.get(id) ?? [];
        this.ofVehicle.set(id, here);
        here.push(row);
        continue;
      }
      if (written !== '')
        reader.wrong(
          'vehicle',
          ids.length > 1 ? 'two-vehicles' : 'unknown-vehicle',
          'fleet code, plate or VIN of a vehicle that is here',
        );
      this.fates.set(row.row, { row: row.row, fate: 'refused', faults: reader.faults, doubts: [] });
    }
    return { rows: this.rows.length, ids: [...this.ofVehicle.keys()] };
  }

  /** Takes the rows of one vehicle. @returns rows done so far */
  async take({ life, chain }: KnownLife): Promise<number> {
    const { vehicle } = life;
    const rows = this.ofVehicle.get(vehicle.id) ?? [];
    const { taking, rulebook, now, name } = this.given;
    const by = { reading: taking, answers: taking.answers, house: rulebook.house, now, idOf };
    if (taking.kind === 'readings') {
      const { fates, visits } = takeReadings(rows, life, { ...by, rulebook: rulebook.version, source: name });
      this.note(fates);
      let end = chain;
      for (const visit of visits) end = await this.visit(vehicle, visit, end);
      if (visits.length > 0) this.touched.push({ id: vehicle.id, fleetCode: vehicle.fleetCode });
      this.makes.visits += visits.length;
    } else {
      const { fates, entries } = takeEntries(rows, life, by);
      this.note(fates);
      for (const one of entries) await this.entry(one);
      if (entries.length > 0) this.touched.push({ id: vehicle.id, fleetCode: vehicle.fleetCode });
      this.makes.entries += entries.length;
    }
    return this.fates.size;
  }

  async finish(): Promise<SheetPlanned> {
    if (this.draft) {
      this.draft.end();
      await finished(this.draft);
    }
    const fates = this.rows.flatMap(({ row }) => this.fates.get(row) ?? []);
    const count = (fate: Fate) => fates.filter((one) => one.fate === fate).length;
    await this.report();
    const doubts = [
      ...groupBy(
        fates.flatMap((one) => [...new Set(one.doubts.map(({ code }) => code))]),
        (code) => code,
      ),
    ];
    return {
      hash: this.hash.digest('hex'),
      fresh: this.fresh,
      plan: {
        rows: { fresh: count('fresh'), same: count('same'), doubtful: count('doubtful'), refused: count('refused') },
        told: fates
          .filter(({ fate }) => fate === 'refused' || fate === 'doubtful')
          .sort((a, b) => Number(b.fate === 'refused') - Number(a.fate === 'refused'))
          .slice(0, MOST_TOLD)
          .map(({ faults, doubts: odd, ...one }) => ({ ...one, faults: [...faults], doubts: [...odd] })),
        doubts: doubts.map(([code, ofCode]): { code: SheetDoubtCode; rows: number } => ({ code, rows: ofCode.length })),
        makes: this.makes,
        vehicles: this.touched,
        strangers: this.strangers,
      },
    };
  }

  /** Gives up: nothing waits for the draft any more. */
  stop(): void {
    this.draft?.destroy();
  }

  private note(fates: readonly RowFate[]): void {
    for (const one of fates) this.fates.set(one.row, one);
  }

  private async takeVehicleRows(): Promise<void> {
    const { taking, vehicles: known, now } = this.given;
    const { fates, vehicles } = takeVehicles(this.rows, known, { reading: taking, answers: taking.answers, now, idOf });
    this.note(fates);
    const here = new Set(known.map(({ id }) => id));
    for (const vehicle of vehicles) {
      if (here.has(vehicle.id)) this.makes.changed += 1;
      else {
        this.makes.vehicles += 1;
        this.fresh.push(vehicle.id);
      }
      this.touched.push({ id: vehicle.id, fleetCode: vehicle.fleetCode });
      await this.lay(this.changes.vehicle(vehicle));
    }
  }

  /** Lays a visit ready, graded by today's rules and signed behind what was signed of its vehicle. */
  private async visit(vehicle: Vehicle, brought: BroughtVisit, end: ChainEnd | null): Promise<ChainEnd | null> {
    const { inspection } = brought;
    const inspector = await this.nameOf(brought.by);
    if (!this.draft) return end;
    const { grade, counts, points } = verdictFor(vehicle, inspection, brought.findings, this.rulesFor(inspection));
    const line: VisitLine = {
      inspection,
      inspector,
      signedBy: this.given.by.name,
      voidedBy: null,
      findings: brought.findings.map((one) => ({ ...one, by: inspector })),
      acts: [],
      amendments: [],
      sheet: { vehicle, rules: namedRules(this.rules), points: signedPoints(points), runOut: [], stillOpen: [] },
      grade,
      counts: { ...counts },
      forecasts: [],
    };
    await this.lay(this.changes.visit(line));
    if (!this.key) return end;
    const told = { by: this.given.by.name, at: inspection.signedAt ?? inspection.startedAt, grade, counts };
    const leansOn = { photos: [], rulebook: { version: this.rules.version, sha256: this.given.rulebookHash } };
    const text = sayVisit({ ...line, seal: null }, told, leansOn);
    const sealed = sealBehind(end, this.key, { ...text, vehicleId: vehicle.id });
    await this.lay(this.changes.signature(sealed));
    return sealed;
  }

  /** The rules with only what was read in their template: all other points would be gone through for nothing. */
  private rulesFor({ focus }: BroughtVisit['inspection']): Rules {
    const points = [...new Set((focus ?? []).map((key) => key.split('@')[0]))];
    const { template } = this.rules;
    return {
      ...this.rules,
      template: { ...template, points: template.points.filter((code) => points.includes(code)) },
    };
  }

  private async entry({ entry, by }: BroughtEntry): Promise<void> {
    const name = await this.nameOf(by);
    await this.lay(this.changes.entry({ entry: { ...entry, by: name }, writtenAt: this.given.now }));
  }

  /** Who did it; somebody who is not here is made up, who cannot sign in. */
  private async nameOf(by: string): Promise<string> {
    if (by === '') return this.given.by.name;
    if (!this.people.has(by.toLowerCase())) {
      const id = idOf(`person\n${by.toLowerCase()}`);
      this.people.set(by.toLowerCase(), id);
      this.strangers.push(by);
      await this.lay(this.changes.stranger(id, by));
    }
    return by;
  }

  private async lay(lines: readonly TakenLine[]): Promise<void> {
    if (!this.draft) return;
    const text = `${JSON.stringify(lines)}\n`;
    this.hash.update(text);
    if (!this.draft.write(text)) await once(this.draft, 'drain');
  }

  /** The table again, with what became of each row and why. */
  private async report(): Promise<void> {
    const to = createWriteStream(this.given.report, { mode: 0o600 });
    to.write(csvOf([['row', 'fate', 'why', 'cells']]));
    for (let at = 0; at < this.rows.length; at += AT_ONCE) {
      const told = this.rows.slice(at, at + AT_ONCE).map(({ row, cells }) => {
        const fate = this.fates.get(row);
        return [row, fate?.fate ?? null, fate ? whyOf(fate) : '', ...cells.map(cellText)];
      });
      if (!to.write(csvOf(told))) await once(to, 'drain');
    }
    to.end();
    await finished(to);
  }
}

const whyOf = ({ faults, doubts }: RowFate): string =>
  [...faults, ...doubts]
    .map(({ field, code, written, allowed }) => `${field} ${code}: ${written} (${allowed})`)
    .join('; ')
    .slice(0, MOST_WHY);

/** Vehicles by everything rows may call them. */
function namesOf(named: readonly NamedVehicle[]): Map<string, string[]> {
  const byName = new Map<string, string[]>();
  for (const { id, fleetCode, plate, vin } of named)
    for (const name of new Set([id, fleetCode, plate, vin].map(plainWords))) {
      if (name === '') continue;
      byName.set(name, [...(byName.get(name) ?? []), id]);
    }
  return byName;
}

/** An id that the same text has everywhere: SHA-256 in the shape of a UUID of one's own making (RFC 9562, version 8). */
export function idOf(text: string): string {
  const hex = createHash('sha256').update(text).digest('hex');
  const variant = ((parseInt(hex[16] ?? '0', 16) & 0x3) | 0x8).toString(16);
  return [
    hex.slice(0, 8),
    hex.slice(8, 12),
    `8${hex.slice(13, 16)}`,
    `${variant}${hex.slice(17, 20)}`,
    hex.slice(20, 32),
  ].join('-');
}
