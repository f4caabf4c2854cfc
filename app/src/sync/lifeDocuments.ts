import type { Life, Visit } from '@weskopos/contract';
import type { DeviceStore } from './deviceStore';

/** A life on the device: a sheet of its own, and each visit for itself, so that one reading never rewrites the whole history. */
interface LifeSheet {
  readonly vehicle: Life['vehicle'];
  readonly visits: readonly string[];
}

const sheetKey = (vehicleId: string) => `life/${vehicleId}`;
const visitKey = (visitId: string) => `visit/${visitId}`;
const idsOf = (life: Life | undefined) => life?.visits.map(({ inspection }) => inspection.id) ?? [];

/** Writes what differs from what was written before: usually one visit. */
export async function writeLife(store: DeviceStore, before: Life | undefined, life: Life): Promise<void> {
  const known = new Map(before?.visits.map((visit) => [visit.inspection.id, visit]));
  for (const visit of life.visits) {
    const { id } = visit.inspection;
    if (known.get(id) !== visit) await store.write(visitKey(id), visit);
  }
  const visits = idsOf(life);
  if (before?.vehicle === life.vehicle && idsOf(before).join() === visits.join()) return;
  await store.write(sheetKey(life.vehicle.id), { vehicle: life.vehicle, visits } satisfies LifeSheet);
}

/** A life as it was last written; a visit whose page is missing is left out and comes again from the server. */
export async function readLife(store: DeviceStore, vehicleId: string): Promise<Life | undefined> {
  const sheet = await store.read<LifeSheet>(sheetKey(vehicleId));
  if (!sheet) return undefined;
  const visits = await Promise.all(sheet.visits.map((id) => store.read<Visit>(visitKey(id))));
  return { vehicle: sheet.vehicle, visits: visits.filter((visit) => visit !== undefined) };
}
