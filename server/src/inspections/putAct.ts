import type { Act } from '@weskopos/core';
import type { Engine } from '../db/engine';
import { operationValues, type Applied } from '../operations/applyChange';
import type { Change } from '../operations/change';

/** Appends one act to a visit that is still open. */
export async function putAct(engine: Engine, change: Change, act: Act): Promise<Applied> {
  const [applied] = await engine.query<NonNullable<Applied>>(
    'select refusal from put_act($1, $2, $3, $4, $5, $6, $7)',
    [...operationValues(change), JSON.stringify(act)],
  );
  return applied;
}
