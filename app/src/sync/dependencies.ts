import type { Operation } from '@weskopos/contract';
import type { Finding } from '@weskopos/core';
import type { QueuedOperation } from './deviceStore';

/** What an operation makes that others may build on, by id. */
function makes(operation: Operation): readonly string[] {
  switch (operation.kind) {
    case 'amendment.put':
      return [operation.body.id, operation.body.finding.id];
    case 'vehicle.put':
    case 'inspection.start':
    case 'finding.put':
    case 'act.put':
    case 'entry.put':
      return [operation.body.id];
    default:
      return [];
  }
}

const follows = ({ inspectionId, parent }: Pick<Finding, 'inspectionId' | 'parent'>): readonly string[] =>
  parent === null ? [inspectionId] : [inspectionId, parent];

/** What an operation builds on, by id: the vehicle, the visit, the entry it follows, the end it closes. */
function buildsOn(operation: Operation): readonly string[] {
  switch (operation.kind) {
    case 'vehicle.put':
    case 'rulebook.put':
      return [];
    case 'inspection.start':
      return [operation.body.vehicleId];
    case 'finding.put':
      return follows(operation.body);
    case 'amendment.put':
      return follows(operation.body.finding);
    case 'inspection.sign':
    case 'inspection.void':
    case 'inspection.restore':
    case 'inspection.correct':
      return [operation.body.inspectionId];
    case 'act.put': {
      const { body } = operation;
      if ('opens' in body) return [body.inspectionId, body.opens];
      return 'waits' in body ? [body.inspectionId, body.waits] : [body.inspectionId];
    }
    case 'entry.put': {
      const { body } = operation;
      return body.kind === 'undo' ? [body.vehicleId, body.refers] : [body.vehicleId];
    }
  }
}

/** Changes of a visit that its signature comes before: without it they would be refused for good. */
const AFTER_SIGNING: readonly Operation['kind'][] = ['amendment.put', 'inspection.void'];

const visitOf = ({ body }: Operation): string | null => ('inspectionId' in body ? body.inspectionId : null);

/**
 * What of the queue may go now, in order: the person's own changes, without those that build on one that stays here for
 * its own maker's session. A signature waits for every entry of its visit: what came after it would be refused for good.
 *
 * @param knows whether the workshop has a vehicle: a new sheet of one that is there holds nobody up
 * @param stays changes that cannot go by themselves, by id: others' are found from the queue
 */
export function mayGo(
  queue: readonly QueuedOperation[],
  person: string | null,
  knows: (vehicleId: string) => boolean,
  stays: ReadonlySet<string> = new Set(),
): { readonly go: readonly Operation[]; readonly held: readonly Operation[] } {
  const missing = new Set<string>();
  const openVisits = new Set<string>();
  const unsigned = new Set<string>();
  const go: Operation[] = [];
  const held: Operation[] = [];
  for (const { operation, by } of queue) {
    const visit = visitOf(operation);
    const waits =
      by !== person ||
      stays.has(operation.id) ||
      buildsOn(operation).some((id) => missing.has(id)) ||
      (operation.kind === 'inspection.sign' && visit !== null && openVisits.has(visit)) ||
      (AFTER_SIGNING.includes(operation.kind) && visit !== null && unsigned.has(visit));
    if (!waits) {
      go.push(operation);
      continue;
    }
    if (by === person) held.push(operation);
    for (const made of makes(operation)) if (!(operation.kind === 'vehicle.put' && knows(made))) missing.add(made);
    if (visit === null) continue;
    if (operation.kind === 'inspection.sign') unsigned.add(visit);
    else openVisits.add(visit);
  }
  return { go, held };
}
