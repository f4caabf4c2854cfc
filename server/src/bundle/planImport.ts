import type {
  BundleFile,
  BundleLine,
  FieldError,
  ImportPlan,
  RulebookLine,
  SignatureLine,
  VisitLine,
} from '@weskopos/contract';
import { cataloguePoint, hasPlace, recordOf, type Vehicle } from '@weskopos/core';
import canonicalize from 'canonicalize';
import type { Queries } from '../db/engine';
import { readVehicle } from '../vehicles/readVehicle';
import { BundleRefused } from './bundleProblem';
import { ChangesOf, namesIn, type Stamps, type TakenLine } from './changesOf';
import { textsThatStand } from '../signing/blanked';
import { isSignedBy, keyId } from '../signing/workshopKey';
import type { Bundle } from './openBundle';
import { entryLines, photoLines, rulebookLines, signatureLines, visitLines } from '../lines/readLines';

/** So many records that differ are named; how many there are is counted. */
const MOST_NAMED = 50;
const FILES = [
  'rulebooks',
  'photos',
  'vehicles',
  'visits',
  'entries',
  'signatures',
] as const satisfies readonly BundleFile[];

/** What a plan hands out while it is made: the changes of each record that is new here, in an order they can be taken in. */
export type Take = (lines: readonly TakenLine[]) => void | Promise<void>;

/** What planning asks besides the bundle. */
export interface PlanNeeds extends Pick<Stamps, 'newId' | 'by' | 'receivedAt'> {
  readonly engine: Queries;
  /** Called for each photo whose file is wanted here, before its row is. */
  readonly wantPhoto: (sha256: string) => Promise<void>;
}

/**
 * Compares each record of a bundle with what is here. The same record is recognised by its id; what is here otherwise
 * stays as it is.
 *
 * @throws BundleRefused where a record names what is neither in the bundle nor here
 */
export async function planImport(
  bundle: Bundle,
  { engine, wantPhoto, ...stamps }: PlanNeeds,
  take: Take,
): Promise<Omit<ImportPlan, 'id'>> {
  const plan = {
    made: bundle.manifest.made,
    scope: bundle.manifest.scope,
    records: recordOf(FILES, () => ({ fresh: 0, same: 0, differ: 0 })),
    differing: [] as ImportPlan['differing'],
    blocking: [] as ImportPlan['blocking'],
  };
  const people = new Map(
    (await engine.query<{ id: string; name: string }>('select id, lower(name) as name from person')).map((one) => [
      one.name,
      one.id,
    ]),
  );
  const strangers: string[] = [];
  const changes = new ChangesOf({
    ...stamps,
    device: 'bundle',
    personOf: (name) => people.get(name.toLowerCase()) ?? stamps.by,
  });
  const meet = async (names: readonly string[]) => {
    for (const name of names) {
      if (people.has(name.toLowerCase())) continue;
      const id = stamps.newId();
      people.set(name.toLowerCase(), id);
      strangers.push(name);
      await take(changes.stranger(id, name));
    }
  };
  /** Counts a record; true where it is new here. */
  const isFresh = (file: keyof typeof plan.records, record: unknown, ours: unknown, name: string): boolean => {
    const sums = plan.records[file];
    if (ours === undefined) sums.fresh += 1;
    else if (canonicalize(ours) === canonicalize(record)) sums.same += 1;
    else {
      sums.differ += 1;
      if (file === 'rulebooks') plan.blocking.push({ code: 'rules-differ', name });
      else if (plan.differing.length < MOST_NAMED) plan.differing.push({ file, name });
    }
    return ours === undefined;
  };

  const ours = await rulebookLines(engine);
  const rules = new Map<number, RulebookLine>(ours.map((one) => [one.rulebook.version, one]));
  for await (const line of once(bundle, 'rulebooks', ({ rulebook }) => String(rulebook.version))) {
    const { version } = line.rulebook;
    if (!isFresh('rulebooks', line, rules.get(version), String(version))) continue;
    if (version !== rules.size + 1) throw fault('rulebooks', String(version), 'one more than the version before');
    rules.set(version, line);
    await meet([line.by]);
    await take(changes.rulebook(line));
  }

  for await (const line of once(bundle, 'photos', ({ id }) => id)) {
    const [here] = await photoLines(engine, [line.id]);
    if (!isFresh('photos', line, here, line.id)) continue;
    // A picture that was lost before the bundle was made is no fault of the bundle.
    if (!bundle.hasPhoto(line.sha256) && !bundle.manifest.missing.includes(line.id))
      throw fault('photos', line.id, 'a photo whose file is in the bundle');
    if (bundle.hasPhoto(line.sha256)) await wantPhoto(line.sha256);
    await meet([line.by]);
    await take(changes.photo(line));
  }

  const vehicles = new Map<string, Vehicle>();
  const codes = new Map<string, string>();
  for await (const vehicle of once(bundle, 'vehicles', ({ id }) => id)) {
    const { id, fleetCode } = vehicle;
    const here = await readVehicle(engine, id);
    vehicles.set(id, here ?? vehicle);
    if (!isFresh('vehicles', vehicle, here, fleetCode)) continue;
    const [other] = await engine.query('select 1 from vehicle where fleet_code = $1', [fleetCode]);
    if (other || codes.has(fleetCode)) plan.blocking.push({ code: 'fleet-code-taken', name: fleetCode });
    codes.set(fleetCode, id);
    await take(changes.vehicle(vehicle));
  }
  const vehicleOf = async (id: string) => vehicles.get(id) ?? (await readVehicle(engine, id));

  for await (const line of once(bundle, 'visits', ({ inspection }) => inspection.id)) {
    const { id, vehicleId, startedAt, rulebook } = line.inspection;
    const vehicle = await vehicleOf(vehicleId);
    if (!vehicle) throw fault('visits', `${id}: inspection.vehicleId`, 'a vehicle of the bundle or of this workshop');
    if (rulebook > rules.size) throw fault('visits', `${id}: inspection.rulebook`, `0 to ${rules.size}`);
    const [here] = await visitLines(engine, 'i.id = $1', id);
    if (!isFresh('visits', line, here, `${vehicle.fleetCode}, ${startedAt.slice(0, 10)}`)) continue;
    fits(line, vehicle);
    await meet(namesIn(line));
    await take(changes.visit(line));
  }

  for await (const line of once(bundle, 'entries', ({ entry }) => entry.id)) {
    const { id, vehicleId, kind, by } = line.entry;
    const vehicle = await vehicleOf(vehicleId);
    if (!vehicle) throw fault('entries', `${id}: entry.vehicleId`, 'a vehicle of the bundle or of this workshop');
    const [here] = await entryLines(engine, 'e.id = $1', id);
    if (!isFresh('entries', line, here, `${vehicle.fleetCode}, ${kind}`)) continue;
    await meet([by]);
    await take(changes.entry(line));
  }

  const keys = new Map<string, string>();
  for await (const { id, pem } of once(bundle, 'keys', (one) => one.id)) {
    if (!isKey(id, pem)) throw fault('keys', id, 'a public key by the first digits of its own hash');
    keys.set(id, pem);
  }
  const blanking: SignatureLine[] = [];
  for await (const line of bundle.lines('signatures')) if (line.kind === 'blank') blanking.push(line);
  const stands = textsThatStand(blanking, keys);
  for await (const line of once(bundle, 'signatures', ({ hash }) => hash)) {
    const { hash, key, value, vehicleId } = line;
    const pem = keys.get(key);
    if (pem === undefined) throw fault('signatures', `${hash}: key`, 'a key of the bundle');
    if (!stands(line) || !isSignedBy(pem, hash, value))
      throw fault('signatures', hash, 'the hash of its document, signed by its key');
    if (!(await vehicleOf(vehicleId)))
      throw fault('signatures', `${hash}: vehicleId`, 'a vehicle of the bundle or of this workshop');
    const [here] = await signatureLines(engine, 's.hash = $1', hash);
    if (isFresh('signatures', line, here, hash)) await take(changes.signature({ ...line, pem }));
  }
  return { ...plan, strangers };
}

const isKey = (id: string, pem: string): boolean => {
  try {
    return keyId(pem) === id;
  } catch {
    // No key at all.
    return false;
  }
};

/** The lines of a file, each record once. */
async function* once<F extends BundleFile>(
  bundle: Bundle,
  file: F,
  idOf: (line: BundleLine<F>) => string,
): AsyncGenerator<BundleLine<F>> {
  const seen = new Set<string>();
  for await (const line of bundle.lines(file)) {
    const id = idOf(line);
    if (seen.has(id)) throw fault(file, id, 'each record once');
    seen.add(id);
    yield line;
  }
}

/** Entries that name what is not there, or lie where the vehicle has no place, as the ledger would refuse them. */
function fits({ inspection, findings, acts }: VisitLine, { axles }: Vehicle): void {
  const byId = new Map(findings.map((one) => [one.id, one]));
  for (const { id, point, place, parent } of findings) {
    const where = `${inspection.id}: finding ${id}`;
    if (!hasPlace(axles, cataloguePoint(point).repeats, place))
      throw fault('visits', `${where}.place`, 'a place of the vehicle');
    if (parent === null) continue;
    const before = byId.get(parent);
    if (before?.point !== point || before.place !== place)
      throw fault('visits', `${where}.parent`, 'an entry of the same visit, point and place');
  }
  const done = new Map(acts.map(({ id, kind }) => [id, kind]));
  for (const act of acts) {
    const named = 'opens' in act ? act.opens : 'waits' in act ? act.waits : null;
    const wanted = 'waits' in act ? 'wait' : 'open';
    if (named !== null && done.get(named) !== wanted)
      throw fault('visits', `${inspection.id}: act ${act.id}`, 'what it refers to, in the same visit');
  }
}

function fault(file: BundleFile, where: string, allowed: string): BundleRefused {
  const errors: FieldError[] = [{ field: `${file}.jsonl: ${where}`, code: 'not-there', message: allowed }];
  return new BundleRefused('bundle-lines', `${file}.jsonl`, errors);
}
