import { upgradeOperation, type OperationOutcome } from '@weskopos/contract';
import type { Engine } from '../db/engine';
import { DatabaseError } from '../db/pgliteEngine';
import type { Journal } from '../journal/journal';
import { applyChange } from './applyChange';
import type { Change } from './change';

/**
 * Takes changes in order: each into the database, all into the journal, and answers only when both are done.
 * Repeats are journalled again: the first time may have reached the database and died before the journal.
 */
export async function acceptChanges(
  engine: Engine,
  journal: Journal,
  changes: readonly Change[],
): Promise<OperationOutcome[]> {
  const onDisk = journal.append(changes);
  // Both are waited for below; this only keeps a failing disk from being an unhandled rejection meanwhile.
  onDisk.catch(() => undefined);
  const outcomes: OperationOutcome[] = [];
  for (const change of changes) outcomes.push(await applyChange(engine, change));
  await onDisk;
  return outcomes;
}

const PAGE = 1000;

export interface Replay {
  readonly replayed: number;
  /** Changes the database would not take. It did not take them the first time either, so they were never acknowledged. */
  readonly failed: readonly { readonly id: string; readonly why: string }[];
}

/** Applies what the journal holds and the database does not, in the journal's order. */
export async function replayJournal(engine: Engine, changes: readonly Change[]): Promise<Replay> {
  let replayed = 0;
  const failed: { id: string; why: string }[] = [];
  for (let start = 0; start < changes.length; start += PAGE) {
    const page = changes.slice(start, start + PAGE);
    const known = await engine.query<{ id: string }>(
      'select id from operation where id in (select value::uuid from jsonb_array_elements_text($1::jsonb))',
      [JSON.stringify(page.map(({ operation }) => operation.id))],
    );
    const have = new Set(known.map(({ id }) => id));
    for (const change of page) {
      if (have.has(change.operation.id)) continue;
      have.add(change.operation.id);
      try {
        await applyChange(engine, { ...change, operation: upgradeOperation(change.operation) });
        replayed += 1;
      } catch (error) {
        // One change must not keep a workshop from opening; anything but the database's own refusal still does.
        if (!(error instanceof DatabaseError)) throw error;
        failed.push({ id: change.operation.id, why: error.message });
      }
    }
  }
  return { replayed, failed };
}
