import { ENDPOINTS, type Operation } from '@weskopos/contract';
import type { LifeEntryKind } from '@weskopos/core';
import type { Engine } from '../db/engine';
import type { Ledger } from '../ledger/ledger';
import type { LiveHub } from '../live/liveHub';
import type { FleetBook } from '../fleet/fleetBook';
import type { Queries } from '../db/engine';
import { register, type Api } from '../people/register';

interface OperationPorts {
  readonly engine: Engine;
  readonly ledger: Ledger;
  readonly clock: () => Date;
  readonly live: LiveHub;
  readonly fleet: FleetBook;
}

/** Takes changes of devices, and tells who listens to their visits. */
export function operationRoutes(api: Api, { engine, ledger, clock, live, fleet }: OperationPorts): void {
  register(api, ENDPOINTS.sendOperations, async ({ body, person }) => {
    const receivedAt = clock().toISOString();
    const outcomes = await ledger.accept(
      body.operations.map((operation) => ({ operation, by: person.id, receivedAt })),
    );
    const touched = new Map(body.operations.map((operation) => [visitOf(operation), operation.device]));
    for (const [visitId, device] of touched) if (visitId) live.changed(visitId, { device });
    for (const { kind, body: said, device } of body.operations)
      if (kind === 'entry.put' && OF_WORKS.includes(said.kind)) live.worksChanged(said.vehicleId, { device });
    const applied = new Set(outcomes.flatMap(({ id, status }) => (status === 'applied' ? [id] : [])));
    for (const vehicleId of await vehiclesTouched(
      engine,
      body.operations.filter(({ id }) => applied.has(id)),
    ))
      fleet.vehicleChanged(vehicleId);
    return [...outcomes];
  });
}

/** Entries who looks at works hears of at once; also of what a work writes into the life. */
const OF_WORKS: readonly LifeEntryKind[] = ['work', 'work-step', 'work-cost', 'undo'];

/** The visit an operation is part of; undefined for those of none. */
function visitOf(operation: Operation): string | undefined {
  return 'inspectionId' in operation.body ? operation.body.inspectionId : undefined;
}

/** Changes of a visit that change what is told of its vehicle. */
const TELLS_OF_VISIT: readonly Operation['kind'][] = [
  'inspection.sign',
  'inspection.void',
  'inspection.restore',
  'amendment.put',
];

/** Vehicles whose trends say something new: by its sheet, a signed visit, or something else that happened to them. */
async function vehiclesTouched(engine: Queries, operations: readonly Operation[]): Promise<Set<string>> {
  const touched = new Set<string>();
  for (const operation of operations)
    if (operation.kind === 'vehicle.put') touched.add(operation.body.id);
    else if (operation.kind === 'entry.put') touched.add(operation.body.vehicleId);
    else if (TELLS_OF_VISIT.includes(operation.kind) && 'inspectionId' in operation.body) {
      const [row] = await engine.query<{ vehicle_id: string }>('select vehicle_id from inspection where id = $1', [
        operation.body.inspectionId,
      ]);
      if (row) touched.add(row.vehicle_id);
    }
  return touched;
}
