import fs from 'node:fs/promises';
import path from 'node:path';
import { sync } from '../db/copyDurably';
import { Refused } from '../http/problems';
import type { Change } from '../ledger/change';
import type { Ledger } from '../ledger/ledger';
import { takeOwn } from '../ledger/takeOwn';

/** What was taken, by the hash of its changes; the journal names it. */
export const TAKEN = /^[0-9a-f]{64}\.changes$/;

/** What taking needs. */
export interface TakeNeeds {
  readonly ledger: Ledger;
  readonly clock: () => Date;
  /** Where files wait and what was taken lies. */
  readonly folder: string;
  /** Hears of vehicles that something new is to be told of. */
  readonly changed: (vehicleId: string) => void;
}

/** The vehicle whose life a change adds to; null where it adds to none. */
export const lifeTouched = ({ kind, body }: Change['operation']): string | null =>
  (kind === 'inspection.start' || kind === 'entry.put') && 'vehicleId' in body ? body.vehicleId : null;

/** What is new, laid ready in a draft. */
export interface LaidReady {
  readonly draft: string;
  /** SHA-256 of the draft. */
  readonly hash: string;
  /** Vehicles in it that are new here. */
  readonly vehicles: readonly string[];
  /** Every vehicle it says something of. */
  readonly touched: readonly string[];
}

/** One change, whatever is in it: journalled and applied like any other. @throws Refused where others worked meanwhile */
export async function takeLaidReady(
  { folder, ledger, clock, changed }: TakeNeeds,
  { draft, hash, vehicles, touched }: LaidReady,
  by: string,
): Promise<void> {
  const file = `${hash}.changes`;
  await sync(draft);
  await fs.rename(draft, path.join(folder, file));
  await sync(folder);
  const { refusal } = await takeOwn({ ledger, clock }, { kind: 'bundle.take', body: { file, vehicles } }, by);
  if (refusal) throw new Refused(409, 'import-changed', refusal);
  for (const id of touched) changed(id);
}
