import type { SheetLook, SheetPlan, SheetTaking } from '@weskopos/contract';
import { USUAL_MAKE_UP, newestRulebook, PLAIN_AXLE, type Vehicle } from '@weskopos/core';
import { guessColumns, guessKind } from '@weskopos/core/sheets/guessColumns';
import { guessStyle } from '@weskopos/core/sheets/guessStyle';
import { cellText } from '@weskopos/core/sheets/readCell';
import type { SheetKind } from '@weskopos/core/sheets/sheetKinds';
import { randomUUID } from 'node:crypto';
import { createReadStream, createWriteStream } from 'node:fs';
import fs from 'node:fs/promises';
import path from 'node:path';
import type { Readable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import pLimit from 'p-limit';
import { takeLaidReady, type TakeNeeds } from '../bundle/laidReady';
import type { Engine } from '../db/engine';
import { startThread } from '../db/startThread';
import { ThreadTalk } from '../db/threadTalk';
import { noMoreThan } from '../http/noMoreThan';
import { NotFound, Refused } from '../http/problems';
import { readLife } from '../inspections/readLife';
import { readRulebooks } from '../rules/readRulebooks';
import { chainEnd } from '../signing/signature';
import { rulebookOf } from '../signing/signedTexts';
import { readVehicle } from '../vehicles/readVehicle';
import { separatorSign, type OpenedSheet } from './openSheet';
import type { NamedVehicle, SheetGiven, SheetPlanned } from './sheetPlanner';
import type { SheetReply, SheetRequest } from './sheetWorker';

/** What taking tables needs. */
export interface SheetNeeds extends TakeNeeds {
  readonly engine: Engine;
  /** Folder of the workshop's key. */
  readonly keys: string;
}

/** Bytes of a table at most. */
export const MOST_SHEET_BYTES = 250e6;
/** Rows of a look that are shown. */
const SAMPLE = 8;
/** Tables that wait at once; the oldest is forgotten for a new one. */
const MOST_WAITING = 20;

interface Waiting {
  readonly name: string;
  progress: { done: number; rows: number };
}

/** By whom a table is brought in. */
export interface Bringer {
  readonly id: string;
  readonly name: string;
}

/** Tables that were sent: looked at, planned as often as one likes, taken when a lead says so, forgotten at the next start. */
export class Sheets {
  private readonly sent = new Map<string, Waiting>();
  /** Two tables that say the same must not be planned beside each other. */
  private readonly oneByOne = pLimit(1);

  constructor(private readonly needs: SheetNeeds) {}

  /** Keeps a file that is being sent and tells what it looks like. */
  async send(content: Readable, name: string): Promise<SheetLook> {
    const id = randomUUID();
    try {
      await pipeline(
        content,
        noMoreThan(MOST_SHEET_BYTES, tooLarge),
        createWriteStream(this.fileOf(id), { mode: 0o600 }),
      );
      this.sent.set(id, { name, progress: { done: 0, rows: 0 } });
      const look = await this.look(id, {});
      const [oldest] = this.sent.keys();
      if (this.sent.size > MOST_WAITING && oldest !== undefined) await this.drop(oldest);
      return look;
    } catch (error) {
      this.sent.delete(id);
      await fs.rm(this.fileOf(id), { force: true });
      throw error;
    }
  }

  /** What a file looks like, read as somebody says or as it seems. */
  async look(
    id: string,
    said: { readonly file?: SheetTaking['file'] | undefined; readonly kind?: SheetKind | undefined },
  ): Promise<SheetLook> {
    const { name } = this.waiting(id);
    const { engine } = this.needs;
    const { format, tabs, file, rows } = await this.open(id, said.file);
    const { traffic } = newestRulebook(await readRulebooks(engine)).house;
    // Headings name places of a car; each row is held to its own vehicle.
    const given = { traffic, driverSide: USUAL_MAKE_UP.driverSide, axles: [PLAIN_AXLE, PLAIN_AXLE] };
    const headings = (rows.find(({ row }) => row === file.headingRow)?.cells ?? []).map(cellText);
    const below = rows.filter(({ row }) => row > file.headingRow).map(({ cells }) => cells);
    const { daysUnsure, ...style } = guessStyle(below, format === 'csv' ? separatorSign(file.separator) : null);
    const { kind, columns } = said.kind
      ? { kind: said.kind, columns: guessColumns(said.kind, headings, below, style, given) }
      : guessKind(headings, below, style, given);
    return {
      id,
      name,
      format,
      tabs: [...tabs],
      headings,
      sample: below.slice(0, SAMPLE).map((cells) => cells.map(cellText)),
      guess: { file, kind, style, columns: [...columns], fixed: {}, answers: {} },
      daysUnsure,
    };
  }

  /** Tells what becomes of every row; nothing is written. */
  plan(id: string, taking: SheetTaking, by: Bringer): Promise<SheetPlan> {
    return this.oneByOne(async () => {
      const { plan } = await this.planned(id, taking, by, null);
      return { id, ...plan };
    });
  }

  /** Takes what is new. @param leaveRefused refused rows are left out; without that nothing is taken where there are any */
  take(id: string, taking: SheetTaking, by: Bringer, leaveRefused: boolean): Promise<SheetPlan> {
    return this.oneByOne(async () => {
      try {
        // Looked at anew: others worked meanwhile.
        const { plan, hash, fresh } = await this.planned(id, taking, by, this.draftOf(id));
        if (plan.rows.refused > 0 && !leaveRefused)
          throw new Refused(409, 'sheet-rows-refused', String(plan.rows.refused));
        const makes = Object.values(plan.makes).reduce((sum, one) => sum + one, 0);
        if (makes > 0) {
          const touched = plan.vehicles.map((one) => one.id);
          await takeLaidReady(this.needs, { draft: this.draftOf(id), hash, vehicles: fresh, touched }, by.id);
        }
        return { id, ...plan };
      } finally {
        await fs.rm(this.draftOf(id), { force: true });
      }
    });
  }

  progress(id: string): Waiting['progress'] {
    return this.waiting(id).progress;
  }

  /** What became of every row when it was last planned, as CSV. */
  report(id: string): { readonly name: string; readonly content: Readable } {
    const { name } = this.waiting(id);
    return { name, content: createReadStream(this.reportOf(id)) };
  }

  async drop(id: string): Promise<void> {
    this.waiting(id);
    this.sent.delete(id);
    for (const file of [this.fileOf(id), this.draftOf(id), this.reportOf(id)]) await fs.rm(file, { force: true });
  }

  private waiting(id: string): Waiting {
    const found = this.sent.get(id);
    if (!found) throw new NotFound('table');
    return found;
  }

  private fileOf = (id: string) => path.join(this.needs.folder, `${id}.sheet`);
  private draftOf = (id: string) => path.join(this.needs.folder, `${id}.draft`);
  private reportOf = (id: string) => path.join(this.needs.folder, `${id}.report`);

  private async open(id: string, said: SheetTaking['file'] | undefined): Promise<OpenedSheet> {
    const thread = new ThreadTalk<SheetRequest, SheetReply>(startThread(__dirname, 'sheetWorker'));
    try {
      const reply = heard(await thread.ask({ kind: 'look', file: this.fileOf(id), said }));
      if (reply.kind !== 'looked') throw new Error('the thread told something else');
      return reply.opened;
    } finally {
      await thread.end();
    }
  }

  /** Feeds the thread with the life of each vehicle that is named. @param draft where changes are laid ready; null for a look */
  private async planned(id: string, taking: SheetTaking, by: Bringer, draft: string | null): Promise<SheetPlanned> {
    const waiting = this.waiting(id);
    const { engine } = this.needs;
    const thread = new ThreadTalk<SheetRequest, SheetReply>(startThread(__dirname, 'sheetWorker'));
    try {
      const opened = heard(
        await thread.ask({ kind: 'open', given: { ...(await this.givenFor(id, waiting.name, taking, by)), draft } }),
      );
      if (opened.kind !== 'opened') throw new Error('the thread told something else');
      waiting.progress = { done: 0, rows: opened.rows };
      for (const vehicleId of opened.ids) {
        const life = await readLife(engine, vehicleId);
        if (!life) continue;
        const taken = heard(
          await thread.ask({ kind: 'take', known: { life, chain: await chainEnd(engine, vehicleId) } }),
        );
        if (taken.kind === 'taken') waiting.progress = { done: taken.done, rows: opened.rows };
      }
      const done = heard(await thread.ask({ kind: 'finish' }));
      if (done.kind !== 'done') throw new Error('the thread told something else');
      return done.planned;
    } finally {
      waiting.progress = { done: 0, rows: 0 };
      await thread.end();
    }
  }

  private async givenFor(
    id: string,
    name: string,
    taking: SheetTaking,
    by: Bringer,
  ): Promise<Omit<SheetGiven, 'draft'>> {
    const { engine, clock, keys } = this.needs;
    const rulebook = newestRulebook(await readRulebooks(engine));
    const named = await engine.query<{ id: string; fleet_code: string; plate: string; vin: string }>(
      'select id, fleet_code, plate, vin from vehicle',
    );
    const vehicles: Vehicle[] = [];
    if (taking.kind === 'vehicles')
      for (const one of named) {
        const vehicle = await readVehicle(engine, one.id);
        if (vehicle) vehicles.push(vehicle);
      }
    return {
      file: this.fileOf(id),
      name,
      taking,
      named: named.map(({ fleet_code: fleetCode, ...one }): NamedVehicle => ({ fleetCode, ...one })),
      vehicles,
      people: await engine.query<{ id: string; name: string }>('select id, name from person'),
      rulebook,
      rulebookHash: (await rulebookOf(engine, rulebook.version)).sha256,
      by,
      now: clock().toISOString(),
      keys,
      report: this.reportOf(id),
    };
  }
}

/** What the thread answered; throws why it could not. */
function heard(reply: SheetReply): SheetReply {
  if (reply.kind === 'refused') throw new Refused(400, reply.code, reply.about);
  return reply;
}

const tooLarge = () => new Refused(413, 'sheet-too-large', `at most ${MOST_SHEET_BYTES / 1e6} MB`);
