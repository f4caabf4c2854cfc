import type { Calendar, CalendarOf, Person } from '@weskopos/contract';
import { countedVisits, newestRulebook, type Vehicle } from '@weskopos/core';
import { stickerOf } from '@weskopos/core/jobs/stickerOf';
import { worksOf } from '@weskopos/core/works/worksOf';
import { randomBytes, randomUUID } from 'node:crypto';
import type { Engine } from '../db/engine';
import { NotFound } from '../http/problems';
import { readLife } from '../inspections/readLife';
import { takeOwn, type OwnNeeds } from '../ledger/takeOwn';
import { tokenHash } from '../people/secret';
import { readRulebooks } from '../rules/readRulebooks';
import { readLifeEntries, readWorkEntries } from '../vehicles/readLifeEntries';
import { readVehicle } from '../vehicles/readVehicle';
import type { CalendarDay } from './writeCalendar';

interface CalendarNeeds extends OwnNeeds {
  readonly engine: Engine;
}

/** A calendar that was opened. */
export interface OpenedCalendar {
  readonly of: CalendarOf;
  readonly vehicleId: string | null;
  /** Who it was given by, by name: a person's calendar is his own. */
  readonly by: string;
}

/** Calendars other programs read: 128 random bits each, kept by their hash, ended at any time. */
export class Calendars {
  constructor(private readonly needs: CalendarNeeds) {}

  async list(): Promise<Calendar[]> {
    const rows = await this.needs.engine.query<{
      id: string;
      shows: CalendarOf;
      fleet_code: string | null;
      vehicle_id: string | null;
      by: string;
      given_at: string;
    }>(
      `select c.id, c.shows, v.fleet_code, c.vehicle_id, p.name as by, c.given_at
       from calendar c join person p on p.id = c.given_by left join vehicle v on v.id = c.vehicle_id
       where c.ended_at is null order by c.given_at desc, c.id`,
    );
    return rows.map(({ id, shows: of, fleet_code: code, vehicle_id: vehicleId, by, given_at: givenAt }) => ({
      id,
      of,
      about: of === 'vehicle' ? (code ?? '') : of === 'person' ? by : '',
      vehicleId,
      givenBy: by,
      givenAt: new Date(givenAt).toISOString(),
    }));
  }

  /** Lets other programs read a calendar; what opens it is told this once. @throws NotFound where there is no such vehicle */
  async give(of: CalendarOf, vehicleId: string | null, by: Person): Promise<Calendar & { readonly token: string }> {
    const [id, token] = [randomUUID(), randomBytes(16).toString('base64url')];
    const body = { id, of, vehicleId, tokenHash: tokenHash(token) };
    const { at: givenAt, refusal } = await takeOwn(this.needs, { kind: 'calendar.give', body }, by.id);
    if (refusal) throw new NotFound('vehicle');
    const vehicle = vehicleId === null ? undefined : await readVehicle(this.needs.engine, vehicleId);
    const about = of === 'vehicle' ? (vehicle?.fleetCode ?? '') : of === 'person' ? by.name : '';
    return { id, of, about, vehicleId, givenBy: by.name, givenAt, token };
  }

  /** @throws NotFound where there is none, or it was ended before */
  async end(id: string, by: string): Promise<void> {
    const [there] = await this.needs.engine.query('select 1 from calendar where id = $1::uuid and ended_at is null', [
      id,
    ]);
    if (!there) throw new NotFound('calendar');
    await takeOwn(this.needs, { kind: 'calendar.end', body: { id } }, by);
  }

  /** What a token opens; undefined for none of ours, and for one that was ended. */
  async open(token: string): Promise<OpenedCalendar | undefined> {
    const [row] = await this.needs.engine.query<{ shows: CalendarOf; vehicle_id: string | null; by: string }>(
      `select c.shows, c.vehicle_id, p.name as by from calendar c join person p on p.id = c.given_by
       where c.token_hash = $1 and c.ended_at is null`,
      [tokenHash(token)],
    );
    return row && { of: row.shows, vehicleId: row.vehicle_id, by: row.by };
  }

  /** What stands in a calendar, day by day. */
  async daysOf({ of, vehicleId, by }: OpenedCalendar): Promise<CalendarDay[]> {
    const { engine } = this.needs;
    const entries = vehicleId === null ? await readWorkEntries(engine) : await readLifeEntries(engine, vehicleId);
    const vehicles = new Map<string, Vehicle>();
    for (const id of new Set(entries.map((one) => one.vehicleId))) {
      const vehicle = await readVehicle(engine, id);
      if (vehicle) vehicles.set(id, vehicle);
    }
    const writtenBy = new Map(entries.map((entry) => [entry.id, entry.by]));
    const byDay = new Map<string, CalendarDay & { readonly kind: 'works' }>();
    for (const work of worksOf(entries)) {
      const vehicle = vehicles.get(work.vehicleId);
      if (!vehicle || work.plannedOn === null) continue;
      if (of === 'person' && writtenBy.get(work.steps.at(-1)?.id ?? '') !== by) continue;
      const key = `${vehicle.id} ${work.plannedOn}`;
      const before = byDay.get(key);
      byDay.set(key, { kind: 'works', vehicle, on: work.plannedOn, works: [...(before?.works ?? []), work] });
    }
    return [...byDay.values(), ...(vehicleId === null ? [] : await this.duesOf(vehicleId))];
  }

  private async duesOf(vehicleId: string): Promise<CalendarDay[]> {
    const { engine } = this.needs;
    const life = await readLife(engine, vehicleId);
    if (!life) return [];
    const { vehicle, visits, entries } = life;
    const { house } = newestRulebook(await readRulebooks(engine));
    return stickerOf(vehicle, countedVisits(visits), entries, house).dues.flatMap((due): CalendarDay[] =>
      due.by === null ? [] : [{ kind: 'due', vehicle, on: due.by, due }],
    );
  }
}
