import { flatLifeEntry, lifeEntryTable } from '@weskopos/contract';
import type { LifeEntry, StandingSummary } from '@weskopos/core';
import type { Tx } from '../db/engine';
import { MADE_BY, insertRecords } from '../db/table';
import { refused, takes, type Taken, type Writer } from '../ledger/change';
import { keepStanding, standingOfLife } from './keptStanding';
import { readLife } from './readLife';

/** Entries that can settle what was found, or take that back. */
const SETTLES: readonly LifeEntry['kind'][] = ['fit', 'rotate', 'job', 'not-known', 'undo'];

/** How the vehicle stands with an entry; null where the entry says nothing to it. */
type Standing = { readonly standing?: StandingSummary | null };

/** Appends an entry to a vehicle's life; an undo must name one of the same vehicle, what is said of a work that work. */
export const putLifeEntry: Writer<LifeEntry, Standing> = {
  async decide(tx, _change, entry) {
    const refers = 'refers' in entry ? entry.refers : null;
    const [facts] = await tx.query<{ vehicle: boolean; there: boolean; named: boolean }>(
      `select exists (select 1 from vehicle where id = $1::uuid) as vehicle, exists (select 1 from life_entry where id = $2::uuid) as there,
         exists (select 1 from life_entry where id = $3::uuid and vehicle_id = $1::uuid
           and ($4::text is null or kind = $4::text)) as named`,
      [entry.vehicleId, entry.id, refers, entry.kind === 'work-step' || entry.kind === 'work-cost' ? 'work' : null],
    );
    if (!facts?.vehicle) return refused('no-vehicle');
    if (facts.there) return refused('already-there');
    if (refers !== null && !facts.named) return refused('no-entry');
    return takes({ standing: await standingWith(tx, entry) });
  },
  effect: (tx, change, body, outcome) => append(tx, [{ change, body, outcome }]),
  repeated: append,
};

async function append(tx: Tx, taken: readonly Taken<LifeEntry, Standing>[]): Promise<void> {
  await insertRecords(
    tx,
    lifeEntryTable,
    taken.map(({ change: { by, operation }, body }) => ({
      record: flatLifeEntry(body),
      beside: [
        [MADE_BY, by],
        [{ column: 'made_at', type: 'timestamptz' }, operation.at],
      ],
    })),
  );
  // The last of a vehicle counts.
  const last = new Map(
    taken.flatMap(({ body, outcome }) => (outcome.standing ? [[body.vehicleId, outcome.standing]] : [])),
  );
  for (const [vehicleId, standing] of last) await keepStanding(tx, vehicleId, standing);
}

async function standingWith(tx: Tx, entry: LifeEntry): Promise<StandingSummary | null> {
  if (!SETTLES.includes(entry.kind)) return null;
  const life = await readLife(tx, entry.vehicleId);
  return life ? standingOfLife(tx, { ...life, entries: [...life.entries, { ...entry, by: '' }] }) : null;
}
