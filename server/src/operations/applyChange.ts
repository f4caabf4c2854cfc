import type { OperationOutcome, Refusal } from '@weskopos/contract';
import type { Engine, Queries } from '../db/engine';
import { putAct } from '../inspections/putAct';
import { putFinding } from '../inspections/putFinding';
import { signInspection } from '../inspections/signInspection';
import { startInspection } from '../inspections/startInspection';
import { addPerson } from '../people/addPerson';
import { addPhoto } from '../photos/addPhoto';
import { putRulebook } from '../rules/putRulebook';
import { putLifeEntry } from '../vehicles/putLifeEntry';
import { putVehicle } from '../vehicles/putVehicle';
import type { Change } from './change';

/** What a writer answers: nothing when its operation was there before. */
export type Applied = { readonly refusal: Refusal | null } | undefined;

/** Applies one change once: the operation's id and its effect in the same transaction. */
export async function applyChange(engine: Engine, change: Change): Promise<OperationOutcome> {
  const { id } = change.operation;
  const applied = await write(engine, change);
  if (applied) return { id, status: applied.refusal ? 'refused' : 'applied', refusal: applied.refusal };
  const [before] = await engine.query<{ refusal: Refusal | null }>('select refusal from operation where id = $1', [id]);
  return { id, status: 'repeated', refusal: before?.refusal ?? null };
}

function write(engine: Engine, change: Change): Promise<Applied> {
  const { operation } = change;
  switch (operation.kind) {
    case 'vehicle.put':
      return putVehicle(engine, change, operation.body);
    case 'inspection.start':
      return startInspection(engine, change, operation.body);
    case 'finding.put':
      return putFinding(engine, change, operation.body);
    case 'inspection.sign':
      return engine.transaction((tx) => signInspection(tx, change, operation.body));
    case 'act.put':
      return putAct(engine, change, operation.body);
    case 'entry.put':
      return putLifeEntry(engine, change, operation.body);
    case 'rulebook.put':
      return putRulebook(engine, change, operation.body);
    case 'person.add':
      return addPerson(engine, change, operation.body);
    case 'photo.add':
      return addPhoto(engine, change, operation.body);
  }
}

/** The operation's own row, the first six values of every writer's statement. */
export function operationValues({
  operation,
  by,
  receivedAt,
}: Change): [string, string, string | null, string, string, string] {
  return [operation.id, operation.kind, by, operation.device, operation.at, receivedAt];
}

/** Writes the operation itself down, once, with why it was refused; answers nothing when it was there before. */
export async function writeDown(db: Queries, change: Change, refusal: Refusal | null): Promise<Applied> {
  const [operation] = await db.query<NonNullable<Applied>>(
    `insert into operation (id, kind, person_id, device, made_at, received_at, refusal) values ($1, $2, $3, $4, $5, $6, $7)
     on conflict (id) do nothing returning refusal`,
    [...operationValues(change), refusal],
  );
  return operation;
}
