import type { ActContent } from '@weskopos/core';
import { nowIso } from '../../sync/clock';
import { record } from '../../sync/workshop';

/** Writes down something done in a visit; gives its id, by which it is closed. */
export async function putAct(visitId: string, content: ActContent): Promise<string> {
  const id = crypto.randomUUID();
  await record({ kind: 'act.put', body: { id, inspectionId: visitId, at: nowIso(), ...content } });
  return id;
}
