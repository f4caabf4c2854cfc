import { letterSchema, type KeeperLink, type Letter, type Person } from '@weskopos/contract';
import type { WorkStepKind } from '@weskopos/core';
import { addDays } from 'date-fns/addDays';
import { randomBytes, randomUUID } from 'node:crypto';
import type { z } from 'zod';
import type { Engine } from '../db/engine';
import { NotFound, Refused } from '../http/problems';
import type { Change } from '../ledger/change';
import { takeOwn, type OwnNeeds } from '../ledger/takeOwn';
import { tokenHash } from '../people/secret';

interface LinkNeeds extends OwnNeeds {
  readonly engine: Engine;
  /** Hears of vehicles that something new is to be told of. */
  readonly changed: (vehicleId: string) => void;
}

/** A link that was opened. */
export interface OpenedLink {
  readonly id: string;
  readonly vehicleId: string;
  readonly letter: Letter;
  readonly until: string;
  /** Expired or withdrawn: it tells nothing any more. */
  readonly over: boolean;
  /** In whose name answers are written down. */
  readonly givenBy: string;
}

/** What a keeper says to one work. */
export interface Answer {
  readonly workId: string;
  readonly step: Extract<WorkStepKind, 'agreed' | 'declined' | 'asked'>;
  readonly words: string;
}

/** Links that keepers are given: 128 random bits each, kept by their hash, good for some days, withdrawn at any time. */
export class Links {
  constructor(private readonly needs: LinkNeeds) {}

  async list(vehicleId: string): Promise<KeeperLink[]> {
    const rows = await this.needs.engine.query<{
      id: string;
      by: string;
      given_at: string;
      until: string;
      ended_at: string | null;
      letter: Letter;
    }>(
      `select l.id, p.name as by, l.given_at, l.until, l.ended_at, l.letter
       from keeper_link l join person p on p.id = l.given_by where l.vehicle_id = $1::uuid order by l.given_at desc, l.id`,
      [vehicleId],
    );
    return rows.map(({ id, by, given_at: givenAt, until, ended_at: endedAt, letter }) => ({
      id,
      givenBy: by,
      givenAt: iso(givenAt),
      until: iso(until),
      endedAt: endedAt && iso(endedAt),
      works: letter.works.length,
    }));
  }

  /** Gives a link, told this once. @throws NotFound where there is no such vehicle */
  async give(
    vehicleId: string,
    letter: Letter,
    days: number,
    by: Person,
  ): Promise<KeeperLink & { readonly token: string }> {
    const [id, token] = [randomUUID(), randomBytes(16).toString('base64url')];
    const until = addDays(this.needs.clock(), days).toISOString();
    const body = { id, vehicleId, tokenHash: tokenHash(token), letter, until };
    const { at: givenAt, refusal } = await takeOwn(this.needs, { kind: 'link.give', body }, by.id);
    if (refusal) throw new NotFound('vehicle');
    return {
      id,
      token,
      givenBy: by.name,
      givenAt,
      until,
      endedAt: null,
      works: letter.works.length,
    };
  }

  async end(id: string, by: string): Promise<void> {
    const [there] = await this.needs.engine.query(
      'select 1 from keeper_link where id = $1::uuid and ended_at is null',
      [id],
    );
    if (!there) throw new NotFound('link');
    await takeOwn(this.needs, { kind: 'link.end', body: { id } }, by);
  }

  /** What a link opens; undefined for none of ours. */
  async open(token: string): Promise<OpenedLink | undefined> {
    const [row] = await this.needs.engine.query<{
      id: string;
      vehicle_id: string;
      letter: z.input<typeof letterSchema>;
      until: string;
      ended_at: string | null;
      given_by: string;
    }>('select id, vehicle_id, letter, until, ended_at, given_by from keeper_link where token_hash = $1', [
      tokenHash(token),
    ]);
    return (
      row && {
        id: row.id,
        vehicleId: row.vehicle_id,
        // Told before there was a second language, it is English.
        letter: letterSchema.parse(row.letter),
        until: iso(row.until),
        over: row.ended_at !== null || iso(row.until) < this.needs.clock().toISOString(),
        givenBy: row.given_by,
      }
    );
  }

  /** Writes down what a keeper answers: all of it or nothing. @param keeper the name he typed */
  async answer({ vehicleId, givenBy }: OpenedLink, answers: readonly Answer[], keeper: string): Promise<void> {
    const at = this.needs.clock().toISOString();
    const outcomes = await this.needs.ledger.accept(
      answers.map(({ workId, step, words }): Change => {
        const said = { kind: 'work-step', refers: workId, step, words, on: null, keeper } as const;
        const body = { id: randomUUID(), vehicleId, at, meter: null, ...said };
        return {
          operation: { id: randomUUID(), at, device: 'keeper', kind: 'entry.put', body },
          by: givenBy,
          receivedAt: at,
        };
      }),
    );
    const refused = outcomes.find(({ refusal }) => refusal);
    if (refused?.refusal) throw new Refused(409, refused.refusal, 'answer');
    this.needs.changed(vehicleId);
  }
}

const iso = (at: string | Date) => new Date(at).toISOString();
