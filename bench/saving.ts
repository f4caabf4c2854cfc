import express from 'express';
import autocannon from 'autocannon';
import { randomUUID } from 'node:crypto';
import fs from 'node:fs/promises';
import type { AddressInfo } from 'node:net';
import path from 'node:path';
import { openPglite } from '@weskopos/server/db/pgliteEngine';
import { newFinding, newFolder, openVisit, operationOf, startWorkshop } from '@weskopos/server/tests/workshop';

/** Seconds each side runs per round, rounds, and connections at once; a round before them warms both up untold. */
const SECONDS = 6;
const ROUNDS = 5;
const CONNECTIONS = 10;

interface Figures {
  readonly perSecond: number;
  readonly medianMs: number;
  readonly p99Ms: number;
}

/** Most requests one side is sent in a round. */
const MOST = SECONDS * 6000;

async function load(url: string, headers: Record<string, string>, body: () => string): Promise<Figures> {
  // Made before the clock runs: what the sender does is nobody's saving.
  const bodies = Array.from({ length: MOST }, body);
  const result = await autocannon({
    url,
    connections: CONNECTIONS,
    duration: SECONDS,
    requests: [
      {
        method: 'POST',
        headers: { 'content-type': 'application/json', ...headers },
        setupRequest: (request) => ({ ...request, body: bodies.pop() ?? body() }),
      },
    ],
  });
  if (result.non2xx > 0 || result.errors > 0)
    throw new Error(`${result.non2xx} answers were not 2xx, ${result.errors} failed`);
  return { perSecond: result.requests.average, medianMs: result.latency.p50, p99Ms: result.latency.p99 };
}

/** A bare route that inserts one row, on the same engine in the same kind of thread. */
async function bareServer(): Promise<{ url: string; stop: () => Promise<void> }> {
  const folder = await newFolder();
  const engine = await openPglite(path.join(folder, 'database'));
  await engine.script(
    'create table row (id uuid primary key, point text not null, value float8 not null, at timestamptz not null)',
  );
  const app = express();
  app.use(express.json());
  app.post('/row', async (request, response) => {
    const { id, point, value, at } = request.body as Record<string, string>;
    await engine.query('insert into row values ($1, $2, $3::float8, $4)', [
      id ?? '',
      point ?? '',
      value ?? 0,
      at ?? '',
    ]);
    response.json({ id });
  });
  const server = app.listen(0);
  const { port } = server.address() as AddressInfo;
  const stop = async () => {
    server.closeAllConnections();
    server.close();
    await engine.close();
    await fs.rm(folder, { recursive: true, force: true });
  };
  return { url: `http://localhost:${port}/row`, stop };
}

const median = (values: number[]) => [...values].sort((a, b) => a - b)[Math.floor(values.length / 2)] ?? NaN;

/** Saving one operation through HTTP against a bare route doing one INSERT, alternating. */
export async function benchSaving(): Promise<void> {
  const workshop = await startWorkshop();
  const bare = await bareServer();
  await workshop.client.setUp(workshop.context.setupCode);
  const { inspection } = await openVisit(workshop.client);
  const ratios: number[] = [];
  for (let round = 0; round <= ROUNDS; round += 1) {
    const plain = await load(bare.url, {}, () =>
      JSON.stringify({ id: randomUUID(), point: 'pad.inner', value: 6, at: '2026-06-01T08:00:00Z' }),
    );
    const ours = await load(
      `${workshop.client.base}/api/operations`,
      { 'x-weskopos': '1', cookie: workshop.client.cookie },
      () => JSON.stringify({ operations: [operationOf('finding.put', newFinding(inspection.id))] }),
    );
    if (round === 0) continue;
    ratios.push(plain.perSecond / ours.perSecond);
    console.log(
      `  round ${round}: bare ${show(plain)}; ours ${show(ours)}; time per save ${(plain.perSecond / ours.perSecond).toFixed(2)} × bare`,
    );
  }
  console.log(
    `saving one operation: ${median(ratios).toFixed(2)} × a bare route with one INSERT (median of ${ROUNDS} rounds, ${CONNECTIONS} connections; aim ≤ 2.0)`,
  );
  await workshop.stop();
  await bare.stop();
}

function show({ perSecond, medianMs, p99Ms }: Figures): string {
  return `${Math.round(perSecond)}/s, p50 ${medianMs} ms, p99 ${p99Ms} ms`;
}
