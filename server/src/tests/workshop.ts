import { GUARD_HEADER, type Operation, type OperationOutcome } from '@weskopos/contract';
import {
  BLANK_SPEC,
  PLAIN_AXLE,
  USUAL_MAKE_UP,
  blankInspection,
  nextFinding,
  type Finding,
  type Inspection,
  type Vehicle,
} from '@weskopos/core';
import { randomUUID } from 'node:crypto';
import fs from 'node:fs/promises';
import os from 'node:os';
import path from 'node:path';
import type { Config } from '../config/config';
import { openContext, type Context } from '../context';
import { listen } from '../listen';

/** A real server on a real data folder of its own, for tests. */
export interface TestWorkshop {
  readonly context: Context;
  readonly folder: string;
  readonly client: Client;
  /** Stops, and leaves the data folder. */
  pause(): Promise<void>;
  /** Stops, and takes the data folder away. */
  stop(): Promise<void>;
}

/** A second person beside the lead, signed in: an inspector. */
export async function inspectorIn({ client }: Pick<TestWorkshop, 'client'>): Promise<Client> {
  const person = { name: 'Isla', secret: '246810', role: 'inspector' };
  await client.send('POST', '/api/people', person);
  const isla = new Client(client.base);
  await isla.send('POST', '/api/session', { name: person.name, secret: person.secret });
  return isla;
}

/** A data folder nothing is in yet. */
export async function bareFolder(): Promise<string> {
  return fs.mkdtemp(path.join(os.tmpdir(), 'weskopos-test-'));
}

/** A data folder whose database is blank: as {@link bareFolder}, but opened in a quarter of the time. */
export async function newFolder(): Promise<string> {
  const folder = await bareFolder();
  await blankDatabase(folder);
  return folder;
}

/** Puts a blank database in the place of a folder's own. */
export async function blankDatabase(folder: string): Promise<void> {
  const [blank, database] = [process.env['WESKOPOS_BLANK_DATABASE'], path.join(folder, 'database')];
  await fs.rm(database, { recursive: true, force: true });
  // Made before all tests; where it was not, the database makes itself.
  if (blank) await fs.cp(blank, database, { recursive: true });
}

export function configFor(dataFolder: string): Config {
  // Inside, so that it goes with the rest.
  return {
    port: 0,
    dataFolder,
    backupFolder: path.join(dataFolder, 'backups'),
    appFolder: null,
    signInTries: 1000,
    logLevel: 'silent',
  };
}

export async function startWorkshop(change: Partial<Config> = {}): Promise<TestWorkshop> {
  const folder = change.dataFolder ?? (await newFolder());
  const context = await openContext({ ...configFor(folder), ...change }, () => new Date());
  const running = await listen(context);
  return {
    context,
    folder,
    client: new Client(`http://localhost:${running.port}`),
    pause: () => running.stop(),
    stop: async () => {
      await running.stop();
      await fs.rm(folder, { recursive: true, force: true });
    },
  };
}

export interface Answer {
  readonly status: number;
  /** What came over the wire is what tests assert on: untyped on purpose. */
  readonly body: ReturnType<typeof JSON.parse>;
  readonly headers: Headers;
}

/** A browser's part: keeps the cookie, sends the guard header. */
export class Client {
  cookie = '';

  constructor(readonly base: string) {}

  async send(method: string, url: string, body?: unknown, headers: Record<string, string> = {}): Promise<Answer> {
    const raw = typeof body === 'string' || Buffer.isBuffer(body);
    const response = await fetch(this.base + url, {
      method,
      headers: {
        [GUARD_HEADER]: '1',
        cookie: this.cookie,
        ...(body !== undefined && !Buffer.isBuffer(body) ? { 'content-type': 'application/json' } : {}),
        ...headers,
      },
      ...(body === undefined ? {} : { body: raw ? (body as string) : JSON.stringify(body) }),
    });
    const set = response.headers.get('set-cookie');
    if (set) this.cookie = set.split(';')[0] ?? '';
    const text = await response.text();
    const json = response.headers.get('content-type')?.includes('json') ?? false;
    return { status: response.status, body: json ? JSON.parse(text) : text, headers: response.headers };
  }

  get(url: string): Promise<Answer> {
    return this.send('GET', url);
  }

  /** Becomes the workshop's first lead. */
  async setUp(code: string | null): Promise<void> {
    const answer = await this.send('POST', '/api/setup', { code, name: 'Maren', secret: '112358' });
    if (answer.status !== 200) throw new Error(`set-up failed: ${answer.status}`);
  }

  async operations(...operations: Operation[]): Promise<OperationOutcome[]> {
    const answer = await this.send('POST', '/api/operations', { operations });
    if (answer.status !== 200) throw new Error(`operations failed: ${answer.status} ${JSON.stringify(answer.body)}`);
    return answer.body as OperationOutcome[];
  }
}

type Kind = Operation['kind'];
export function operationOf<K extends Kind>(
  kind: K,
  body: Extract<Operation, { kind: K }>['body'],
  id = randomUUID(),
): Operation {
  return { id, at: '2026-06-01T08:00:00.000Z', device: 'test', kind, body } as Operation;
}

let vehicles = 0;
export function newVehicle(change: Partial<Vehicle> = {}): Vehicle {
  vehicles += 1;
  const axle = { ...PLAIN_AXLE, placardKpa: 230 };
  return {
    id: randomUUID(),
    fleetCode: `T ${vehicles}`,
    plate: '',
    make: 'Osprell',
    model: 'Linnet',
    year: 2020,
    class: 'car',
    use: '',
    axles: [{ ...axle, steered: true, driven: true }, axle],
    vin: '',
    meterUnit: 'km',
    makeUp: USUAL_MAKE_UP,
    spec: BLANK_SPEC,
    ...change,
  };
}

export function newInspection(vehicleId: string, change: Partial<Inspection> = {}): Inspection {
  const told = { startedAt: '2026-06-01T08:00:00.000Z', meter: 50_000, ambientC: 15 };
  return blankInspection({ id: randomUUID(), vehicleId, ...told, ...change });
}

export function newFinding(inspectionId: string, change: Partial<Finding> = {}): Finding {
  const target = { inspectionId, point: 'pad.inner', place: '1L' } as const;
  const looked = {
    access: 'seen',
    readings: [{ measure: 'lining', spot: 'whole', phase: 'found', values: [6], bound: 'exact', step: null }],
  } as const;
  const stamp = { id: randomUUID(), at: '2026-06-01T08:05:00.000Z' };
  return { ...nextFinding(undefined, target, stamp, looked), ...change };
}

/** A vehicle with an open visit, known to the server. */
export async function openVisit(client: Client): Promise<{ vehicle: Vehicle; inspection: Inspection }> {
  const vehicle = newVehicle();
  const inspection = newInspection(vehicle.id);
  await client.operations(operationOf('vehicle.put', vehicle), operationOf('inspection.start', inspection));
  return { vehicle, inspection };
}
