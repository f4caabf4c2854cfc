import type { Life, Visit } from '@weskopos/contract';
import type { Brief } from './brief';
import type { DeviceStore } from './deviceStore';

/** A life on the device: a sheet of its own, and each visit for itself, so that one reading never rewrites the whole history. */
interface LifeSheet {
  readonly vehicle: Life['vehicle'];
  readonly visits: readonly string[];
  readonly entries: Life['entries'];
}

const BRIEF = 'brief/';
const VERSION = 'version/';
const sheetKey = (vehicleId: string) => `life/${vehicleId}`;
const briefKey = (vehicleId: string) => `${BRIEF}${vehicleId}`;
const versionKey = (vehicleId: string) => `${VERSION}${vehicleId}`;
const visitKey = (visitId: string) => `visit/${visitId}`;
const idsOf = (life: Life | undefined) => life?.visits.map(({ inspection }) => inspection.id) ?? [];

/**
 * Writes what differs from what was written before, usually one visit, in one go with the life's brief. The write is begun
 * in the turn of the call, so that calls reach the disk in the order they were made.
 *
 * @param brief null where it is made later: none is kept meanwhile rather than one of an earlier life
 */
export function writeLife(
  store: Pick<DeviceStore, 'writeAll'>,
  before: Life | undefined,
  life: Life,
  brief: Brief | null,
): Promise<void> {
  const known = new Map(before?.visits.map((visit) => [visit.inspection.id, visit]));
  const values = new Map<string, unknown>(
    life.visits
      .filter((visit) => known.get(visit.inspection.id) !== visit)
      .map((visit) => [visitKey(visit.inspection.id), visit]),
  );
  const visits = idsOf(life);
  if (before?.vehicle !== life.vehicle || before.entries !== life.entries || idsOf(before).join() !== visits.join())
    values.set(sheetKey(life.vehicle.id), { vehicle: life.vehicle, visits, entries: life.entries } satisfies LifeSheet);
  values.set(briefKey(life.vehicle.id), brief ? JSON.stringify(brief) : undefined);
  return store.writeAll(values);
}

/** A life as it was last written. */
export interface KeptLife {
  readonly life: Life;
  /** None of its pages is missing. */
  readonly whole: boolean;
}

/** A life as it was last written; a visit whose page is missing is left out and comes again from the server. */
export async function readLife(store: Pick<DeviceStore, 'read'>, vehicleId: string): Promise<KeptLife | undefined> {
  const sheet = await store.read<LifeSheet>(sheetKey(vehicleId));
  if (!sheet) return undefined;
  const pages = await Promise.all(sheet.visits.map((id) => store.read<Visit>(visitKey(id))));
  const visits = pages.filter((visit) => visit !== undefined);
  const { vehicle, entries } = sheet;
  return { life: { vehicle, entries, visits }, whole: visits.length === pages.length };
}

/**
 * Every brief that was written, by vehicle. They are kept as text: hundreds are read before anything is shown, and text is
 * read several times as fast as objects.
 */
export async function readBriefs(store: Pick<DeviceStore, 'readAll'>): Promise<ReadonlyMap<string, Brief>> {
  const texts = await store.readAll<string>(BRIEF);
  return new Map([...texts].map(([id, text]) => [id, JSON.parse(text) as Brief]));
}

/** Keeps a life's brief. */
export const writeBriefs = (store: Pick<DeviceStore, 'writeAll'>, briefs: readonly Brief[]): Promise<void> =>
  store.writeAll(new Map(briefs.map((brief) => [briefKey(brief.vehicle.id), JSON.stringify(brief)])));

/** Which of the workshop's versions of each life this device holds, by vehicle. */
export const readVersions = (store: Pick<DeviceStore, 'readAll'>): Promise<ReadonlyMap<string, string>> =>
  store.readAll<string>(VERSION);

/** Notes which of the workshop's versions a life holds, once all of it is written. */
export const writeVersion = (store: Pick<DeviceStore, 'write'>, vehicleId: string, version: string): Promise<void> =>
  store.write(versionKey(vehicleId), version);
