import { ENDPOINTS, type Operation } from '@weskopos/contract';
import type { Context } from '../context';
import type { Queries } from '../db/engine';
import { register, type Api } from '../http/register';
import { acceptChanges } from './acceptChanges';

export function operationRoutes(api: Api, { engine, journal, clock, live, fleet, log }: Context): void {
  register(api, ENDPOINTS.sendOperations, async ({ body, person }) => {
    const receivedAt = clock().toISOString();
    const outcomes = await acceptChanges(
      engine,
      journal,
      body.operations.map((operation) => ({ operation, by: person.id, receivedAt })),
    );
    const touched = new Map(body.operations.map((operation) => [visitOf(operation), operation.device]));
    for (const [visitId, device] of touched) if (visitId) live.changed(visitId, { device });
    const applied = new Set(outcomes.flatMap(({ id, status }) => (status === 'applied' ? [id] : [])));
    try {
      for (const { vehicleId, signed } of await vehiclesTouched(
        engine,
        body.operations.filter(({ id }) => applied.has(id)),
      ))
        await fleet.vehicleChanged(vehicleId, signed);
    } catch (error) {
      // The changes are kept; only what is summed up from them is late, until the fleet is summed up as a whole.
      log.error(error, 'a vehicle was not summed up');
    }
    return outcomes;
  });
}

/** The visit an operation is part of; undefined for those of none. */
function visitOf(operation: Operation): string | undefined {
  return 'inspectionId' in operation.body ? operation.body.inspectionId : undefined;
}

interface Touched {
  readonly vehicleId: string;
  /** The visit that was signed; null where something else changed what is told of the vehicle. */
  readonly signed: string | null;
}

/** Vehicles whose trends say something new: each signed visit, and once each vehicle that something else happened to. */
async function vehiclesTouched(engine: Queries, operations: readonly Operation[]): Promise<Touched[]> {
  const touched: Touched[] = [];
  for (const operation of operations)
    if (operation.kind === 'inspection.sign') {
      const { inspectionId } = operation.body;
      const [row] = await engine.query<{ vehicle_id: string }>('select vehicle_id from inspection where id = $1', [
        inspectionId,
      ]);
      if (row) touched.push({ vehicleId: row.vehicle_id, signed: inspectionId });
    }
  const others = operations.flatMap((operation) => (operation.kind === 'entry.put' ? [operation.body.vehicleId] : []));
  for (const vehicleId of new Set(others))
    if (!touched.some((one) => one.vehicleId === vehicleId)) touched.push({ vehicleId, signed: null });
  return touched;
}
