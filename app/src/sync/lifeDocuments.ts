import type { Life, Visit } from '@weskopos/contract';
import type { DeviceStore } from './deviceStore';

/** A life on the device: a sheet of its own, and each visit for itself, so that one reading never rewrites the whole history. */
interface LifeSheet {
  readonly vehicle: Life['vehicle'];
  readonly visits: readonly string[];
  readonly entries: Life['entries'];
}

const sheetKey = (vehicleId: string) => `life/${vehicleId}`;
const versionKey = (vehicleId: string) => `version/${vehicleId}`;
const visitKey = (visitId: string) => `visit/${visitId}`;
const idsOf = (life: Life | undefined) => life?.visits.map(({ inspection }) => inspection.id) ?? [];

/**
 * Writes what differs from what was written before: usually one visit. Every write is begun in the turn of the call, so
 * that calls reach the disk in the order they were made.
 */
export async function writeLife(store: DeviceStore, before: Life | undefined, life: Life): Promise<void> {
  const known = new Map(before?.visits.map((visit) => [visit.inspection.id, visit]));
  const writes = life.visits
    .filter((visit) => known.get(visit.inspection.id) !== visit)
    .map((visit) => store.write(visitKey(visit.inspection.id), visit));
  const visits = idsOf(life);
  if (before?.vehicle !== life.vehicle || before.entries !== life.entries || idsOf(before).join() !== visits.join())
    writes.push(
      store.write(sheetKey(life.vehicle.id), {
        vehicle: life.vehicle,
        visits,
        entries: life.entries,
      } satisfies LifeSheet),
    );
  await Promise.all(writes);
}

/** A life as it was last written, and which of the workshop's versions it holds. */
export interface KeptLife {
  readonly life: Life;
  /** Empty where it may hold none whole. */
  readonly version: string;
}

/** A life as it was last written; a visit whose page is missing is left out and comes again from the server. */
export async function readLife(store: DeviceStore, vehicleId: string): Promise<KeptLife | undefined> {
  const [sheet, version] = await Promise.all([
    store.read<LifeSheet>(sheetKey(vehicleId)),
    store.read<string>(versionKey(vehicleId)),
  ]);
  if (!sheet) return undefined;
  const pages = await Promise.all(sheet.visits.map((id) => store.read<Visit>(visitKey(id))));
  const visits = pages.filter((visit) => visit !== undefined);
  const { vehicle, entries } = sheet;
  return { life: { vehicle, entries, visits }, version: visits.length === pages.length ? (version ?? '') : '' };
}

/** Notes which of the workshop's versions a life holds, once all of it is written. */
export const writeVersion = (store: DeviceStore, vehicleId: string, version: string): Promise<void> =>
  store.write(versionKey(vehicleId), version);
