import type { Operation } from '@weskopos/contract';
import type { Finding } from '@weskopos/core';
import fs from 'node:fs/promises';
import path from 'node:path';
import { kill, setupCode, startProcess, type Process } from '@weskopos/server/tests/process';
import { Client, newFinding, newFolder, openVisit, operationOf } from '@weskopos/server/tests/workshop';

/** Rounds of kill −9 under load, and of these how many go on with a database of before the load. */
const ROUNDS = Number(process.env.KILLS ?? 200);
const OLDER = Number(process.env.OLDER ?? 30);
const LOADED_MS = 600;
const DEVICES = 2;

interface Sent {
  readonly acknowledged: Set<string>;
  readonly refused: Set<string>;
}

/** Two devices at one visit, each building on what either wrote or on nothing that is there, until the server dies. */
async function load(clients: readonly Client[], inspectionId: string, sent: Sent): Promise<void> {
  const written: Finding[] = [];
  await Promise.all(
    clients.map(async (client) => {
      for (;;) {
        const parent =
          Math.random() < 0.3 ? (written.at(-1)?.id ?? null) : Math.random() < 0.1 ? crypto.randomUUID() : null;
        const finding = newFinding(inspectionId, { parent });
        const operation: Operation = operationOf('finding.put', finding);
        try {
          const [outcome] = await client.operations(operation);
          if (outcome?.status === 'applied') {
            sent.acknowledged.add(finding.id);
            written.push(finding);
          } else if (outcome?.status === 'refused') sent.refused.add(finding.id);
        } catch {
          return; // The kill; what was not answered may or may not be there.
        }
      }
    }),
  );
}

async function entriesOf(one: Process, inspectionId: string): Promise<string[]> {
  const { body } = await one.client.get(`/api/inspections/${inspectionId}`);
  return (body.findings as { id: string }[]).map(({ id }) => id);
}

/** Kills the server under load again and again: what was acknowledged is there once, what was refused is not. */
export async function benchKills(): Promise<void> {
  const folder = await newFolder();
  let server = await startProcess(folder);
  await server.client.setUp(setupCode(server.output));
  const { cookie } = server.client;
  const [sums, lost, doubled, returned] = [
    { acknowledged: 0, refused: 0 },
    new Set<string>(),
    new Set<string>(),
    new Set<string>(),
  ];
  for (let round = 1; round <= ROUNDS; round += 1) {
    server.client.cookie = cookie;
    const { inspection } = await openVisit(server.client);
    const older = round <= OLDER ? await copied(server, folder) : null;
    if (older) server = await restarted(folder, cookie);
    const devices = Array.from({ length: DEVICES }, () => Object.assign(new Client(server.client.base), { cookie }));
    const sent: Sent = { acknowledged: new Set(), refused: new Set() };
    const loading = load(devices, inspection.id, sent);
    await new Promise((resolve) => setTimeout(resolve, LOADED_MS + Math.random() * LOADED_MS));
    await kill(server);
    await loading;
    if (older) {
      await fs.rm(path.join(folder, 'database'), { recursive: true });
      await fs.rename(older, path.join(folder, 'database'));
    }
    server = await restarted(folder, cookie);
    const there = await entriesOf(server, inspection.id);
    const once = new Set(there);
    if (once.size !== there.length) doubled.add(inspection.id);
    for (const id of sent.acknowledged) if (!once.has(id)) lost.add(id);
    for (const id of sent.refused) if (once.has(id)) returned.add(id);
    sums.acknowledged += sent.acknowledged.size;
    sums.refused += sent.refused.size;
  }
  await kill(server);
  await fs.rm(folder, { recursive: true, force: true });
  console.log(
    `${ROUNDS} rounds of kill −9 under load, ${OLDER} of them going on with an older database: ${sums.acknowledged} acknowledged, ${lost.size} lost, ${doubled.size} doubled; ${sums.refused} refused, ${returned.size} of them back`,
  );
}

/** The database as it is now, taken while nobody has it open. */
async function copied(server: Process, folder: string): Promise<string> {
  await kill(server);
  const to = path.join(folder, 'database.older');
  await fs.cp(path.join(folder, 'database'), to, { recursive: true });
  return to;
}

async function restarted(folder: string, cookie: string): Promise<Process> {
  const server = await startProcess(folder);
  server.client.cookie = cookie;
  return server;
}
