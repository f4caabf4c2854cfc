import { spawn } from 'node:child_process';
import fs from 'node:fs/promises';
import path from 'node:path';
import { openContext, type Context } from '@weskopos/server/context';
import type { Change } from '@weskopos/server/ledger/change';
import {
  configFor,
  newFinding,
  newFolder,
  newInspection,
  newVehicle,
  operationOf,
} from '@weskopos/server/tests/workshop';

const ROOT = path.resolve(__dirname, '..');
/** Operations a workshop holds when it is started. */
const SIZES = [2_000, 20_000, 200_000];
const REPLAYED = 10_000;
/** Entries of one visit, and changes handed over together. */
const PER_VISIT = 180;
const TOGETHER = 100;
const AT = '2026-06-01T08:00:00.000Z';

/** Takes changes until the workshop holds `size`: visits of one vehicle after another, every entry read. */
async function fill({ engine, ledger }: Context, have: number, size: number): Promise<void> {
  const [lead] = await engine.query<{ id: string }>('select id from person limit 1');
  const change = (operation: Change['operation']): Change => ({ operation, by: lead?.id ?? null, receivedAt: AT });
  let waiting: Change[] = [];
  const put = async (operation: Change['operation']) => {
    waiting.push(change(operation));
    have += 1;
    if (waiting.length < TOGETHER) return;
    await ledger.accept(waiting);
    waiting = [];
  };
  while (have < size) {
    const vehicle = newVehicle();
    const inspection = newInspection(vehicle.id);
    await put(operationOf('vehicle.put', vehicle));
    await put(operationOf('inspection.start', inspection));
    for (let n = 0; n < PER_VISIT && have < size; n += 1)
      await put(operationOf('finding.put', newFinding(inspection.id)));
  }
  await ledger.accept(waiting);
}

/** The server as a process of its own: how long until it is ready, and the memory it has by then. */
function started(folder: string): Promise<{ readonly ms: number; readonly mb: number }> {
  const begun = process.hrtime.bigint();
  const child = spawn('node', ['--import', 'tsx', 'server/src/main.ts'], {
    cwd: ROOT,
    env: { ...process.env, PORT: '0', WESKOPOS_DATA: folder },
  });
  return new Promise((resolve, reject) => {
    let found: { ms: number; mb: number } | null = null;
    child.stderr.on('data', (chunk: Buffer) => process.stderr.write(chunk));
    child.stdout.on('data', (chunk: Buffer) => {
      if (found || !chunk.toString().includes('is ready')) return;
      const ms = Number(process.hrtime.bigint() - begun) / 1e6;
      void fs.readFile(`/proc/${child.pid}/status`, 'utf8').then((status) => {
        found = { ms, mb: Number(/VmHWM:\s+(\d+)/.exec(status)?.[1] ?? NaN) / 1024 };
        child.kill('SIGTERM');
      });
    });
    child.on('exit', (code) => (found ? resolve(found) : reject(new Error(`ended with ${code}`))));
  });
}

const median = (values: number[]) => [...values].sort((a, b) => a - b)[Math.floor(values.length / 2)] ?? NaN;

/** Start with more and more behind it, and the journal folded into an empty database. */
export async function benchLedger(): Promise<void> {
  const folder = await newFolder();
  const clock = () => new Date();
  const first = await openContext(configFor(folder), clock);
  const operation = {
    id: crypto.randomUUID(),
    at: AT,
    device: 'bench',
    kind: 'person.add',
    body: { id: crypto.randomUUID(), name: 'Bench', role: 'lead', secretHash: '' },
  } as const;
  await first.ledger.accept([{ operation, by: null, receivedAt: AT }]);
  await first.close();
  let have = 1;
  const times: number[] = [];
  for (const size of [...SIZES, REPLAYED].sort((a, b) => a - b)) {
    const context = await openContext(configFor(folder), clock);
    await fill(context, have, size);
    have = size;
    await context.close();
    if (size === REPLAYED) {
      await replayed(folder);
      continue;
    }
    const rounds: { ms: number; mb: number }[] = [];
    for (let round = 0; round < 3; round += 1) rounds.push(await started(folder));
    times.push(median(rounds.map(({ ms }) => ms)));
    console.log(
      `start with ${size} operations: ${Math.round(times.at(-1) ?? NaN)} ms, ${Math.round(median(rounds.map(({ mb }) => mb)))} MB at most, ${((times.at(-1) ?? NaN) / (times[0] ?? NaN)).toFixed(2)} × the first`,
    );
  }
  await fs.rm(folder, { recursive: true, force: true });
}

async function replayed(from: string): Promise<void> {
  const folder = await newFolder();
  await fs.cp(path.join(from, 'journal'), path.join(folder, 'journal'), { recursive: true });
  const begun = performance.now();
  const context = await openContext(configFor(folder), () => new Date());
  const took = performance.now() - begun;
  const { replayed: count } = context.opened.replay;
  await context.close();
  const again = performance.now();
  const empty = await newFolder();
  await (await openContext(configFor(empty), () => new Date())).close();
  console.log(
    `replay of ${count} operations into an empty database: ${(took / 1000).toFixed(1)} s with the database made (${((performance.now() - again) / 1000).toFixed(1)} s of it for an empty one)`,
  );
  for (const one of [folder, empty]) await fs.rm(one, { recursive: true, force: true });
}
