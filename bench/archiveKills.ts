import type { SheetLook } from '@weskopos/contract';
import { spawn } from 'node:child_process';
import fs from 'node:fs/promises';
import path from 'node:path';
import { Readable } from 'node:stream';
import { restoreBackup } from '@weskopos/server/backup/restoreBackup';
import { fetchBundle, sendBundle, takeBundle, unzipped } from '@weskopos/server/tests/bundles';
import { ended, kill, setupCode, startProcess, type Process } from '@weskopos/server/tests/process';
import { newFolder, newVehicle, operationOf, startWorkshop } from '@weskopos/server/tests/workshop';
import { demoFolder } from './demoFolder';
import { timed } from './timed';

const ROOT = path.resolve(__dirname, '..');
/** Rounds of kill −9 in the middle of each. */
const ROUNDS = Number(process.env.KILLS ?? 50);
/** Rows of the table that is taken: twelve to a visit. */
const ROWS = 1200;

/** What a kill in the middle leaves of a bundle in and out, a table, a backup, a restore. */
export async function benchArchiveKills(): Promise<void> {
  const archive = await smallArchive();
  await killedImports(archive, 6000);
  await killedExports(archive);
  await killedTables();
  await killedBackups();
  await killedRestores();
}

const signIn = ({ client }: Process) => client.send('POST', '/api/session', { name: 'Maren', secret: '112358' });
const someTime = (mostMs: number) => new Promise((resolve) => setTimeout(resolve, Math.random() * mostMs));

async function smallArchive(): Promise<Buffer> {
  const demo = await startWorkshop({ dataFolder: await demoFolder() });
  await demo.client.send('POST', '/api/session', { name: 'Maren', secret: '112358' });
  const archive = await fetchBundle(demo.client);
  await demo.stop();
  return archive;
}

/** Kills the server while it takes a bundle: all of it is there afterwards, or nothing. */
async function killedImports(archive: Buffer, usualMs: number): Promise<void> {
  const wanted = [...(await unzipped(archive))].filter(([name]) =>
    /^(vehicles|visits|entries|signatures)\./.test(name),
  );
  let [folder, whole, none, half] = [await newFolder(), 0, 0, 0];
  for (let round = 1; round <= ROUNDS; round += 1) {
    let one = await startProcess(folder, { WESKOPOS_BACKUPS: path.join(folder, 'backups') });
    const code = setupCode(one.output);
    if (code) await one.client.setUp(code);
    else await signIn(one);
    const { body } = await sendBundle(one.client, archive);
    const taking = takeBundle(one.client, String(body.id)).catch(() => null);
    await new Promise((resolve) => setTimeout(resolve, Math.random() * usualMs * 1.2));
    await kill(one);
    await taking;
    one = await startProcess(folder, { WESKOPOS_BACKUPS: path.join(folder, 'backups') });
    await signIn(one);
    const there = await unzipped(await fetchBundle(one.client));
    const sizes = wanted.filter(([name, bytes]) => there.get(name)?.equals(bytes)).length;
    const isEmpty = wanted.every(([name]) => there.get(name)?.length === 0);
    if (sizes === wanted.length) whole += 1;
    else if (isEmpty) none += 1;
    else half += 1;
    await kill(one);
    if (!isEmpty) {
      await fs.rm(folder, { recursive: true, force: true });
      folder = await newFolder();
    }
  }
  await fs.rm(folder, { recursive: true, force: true });
  console.log(
    `  ${ROUNDS} kills while a bundle was taken: ${whole} times all of it there, ${none} nothing, ${half} half`,
  );
}

/** Kills the server while it makes a backup, and a restore while it runs: whatever counts as one comes back whole. */
async function killedBackups(): Promise<void> {
  const folder = await demoFolder();
  const backups = `${folder}-backups`;
  let [made, none, spoiled, usualMs] = [0, 0, 0, 0];
  for (let round = 1; round <= ROUNDS; round += 1) {
    const one = await startProcess(folder, { WESKOPOS_BACKUPS: backups });
    await signIn(one);
    if (round === 1) usualMs = await timed(() => one.client.send('POST', '/api/storage/backups', {}));
    const before = await fs.readdir(path.join(backups, 'sets')).catch((): string[] => []);
    const making = one.client.send('POST', '/api/storage/backups', {}).catch(() => null);
    await someTime(usualMs * 1.3);
    await kill(one);
    await making;
    const sets = (await fs.readdir(path.join(backups, 'sets'))).filter(
      (name) => !name.startsWith('draft-') && !before.includes(name),
    );
    if (sets.length === 0) none += 1;
    for (const name of sets) {
      const target = `${folder}-restored`;
      const isWhole = await restoreBackup(backups, target, name).then(
        () => true,
        () => false,
      );
      if (isWhole) made += 1;
      else spoiled += 1;
      await fs.rm(target, { recursive: true, force: true });
    }
  }
  console.log(
    `  ${ROUNDS} kills while a backup was made: ${made} came back whole, ${none} were none, ${spoiled} counted and were spoiled`,
  );
  await fs.rm(folder, { recursive: true, force: true });
  await fs.rm(backups, { recursive: true, force: true });
}

/** Kills the server while it gives a bundle: what came is the whole archive or is refused, and the workshop is as it was. */
async function killedExports(archive: Buffer): Promise<void> {
  const folder = await demoFolder();
  const wanted = await unzipped(archive);
  const empty = await startWorkshop();
  await empty.client.setUp(empty.context.setupCode);
  let usualMs = 0;
  const sums = { whole: 0, refused: 0, wrong: 0 };
  for (let round = 1; round <= ROUNDS; round += 1) {
    const one = await startProcess(folder, { WESKOPOS_BACKUPS: path.join(folder, 'backups') });
    await signIn(one);
    if (round > 1) {
      const now = await unzipped(await fetchBundle(one.client));
      if (![...wanted].every(([name, bytes]) => name === 'manifest.json' || now.get(name)?.equals(bytes)))
        sums.wrong += 1;
    }
    if (round === 1) usualMs = await timed(() => fetchBundle(one.client));
    const parts: Uint8Array[] = [];
    const coming = fetch(`${one.client.base}/api/bundle`, { headers: { cookie: one.client.cookie } })
      .then(async ({ body }) => {
        if (body)
          for await (const part of Readable.fromWeb(body as Parameters<typeof Readable.fromWeb>[0]))
            parts.push(part as Uint8Array);
      })
      .catch(() => null);
    await someTime(usualMs * 1.3);
    await kill(one);
    await coming;
    const { status } = await sendBundle(empty.client, Buffer.concat(parts));
    if (status === 200) sums.whole += 1;
    else if (status === 400) sums.refused += 1;
    else sums.wrong += 1;
  }
  await empty.stop();
  await fs.rm(folder, { recursive: true, force: true });
  console.log(
    `  ${ROUNDS} kills while a bundle was given: ${sums.whole} times all of it had come, ${sums.refused} times what came was refused, ${sums.wrong} wrong`,
  );
}

/** Kills the server while it takes a table: every visit of it is there afterwards, or none. */
async function killedTables(): Promise<void> {
  const folder = await newFolder();
  const sums = { whole: 0, none: 0, half: 0 };
  for (let round = 1; round <= ROUNDS; round += 1) {
    let one = await startProcess(folder, { WESKOPOS_BACKUPS: path.join(folder, 'backups') });
    const code = setupCode(one.output);
    if (code) await one.client.setUp(code);
    else await signIn(one);
    const vehicle = newVehicle({ fleetCode: `K ${round}` });
    await one.client.operations(operationOf('vehicle.put', vehicle));
    const { body } = await one.client.send('POST', '/api/sheets?name=k.csv', Buffer.from(tableOf(vehicle.fleetCode)), {
      'content-type': 'text/csv',
    });
    const look = body as SheetLook;
    const taking = one.client
      .send('POST', `/api/sheets/${look.id}`, { reading: look.guess, leaveRefused: false })
      .catch(() => null);
    await someTime(4000);
    await kill(one);
    await taking;
    one = await startProcess(folder, { WESKOPOS_BACKUPS: path.join(folder, 'backups') });
    await signIn(one);
    const life = await one.client.get(`/api/vehicles/${vehicle.id}/life`);
    const { visits } = life.body as { visits: { findings: { readings: unknown[] }[] }[] };
    const readings = visits.flatMap(({ findings }) => findings.flatMap((finding) => finding.readings)).length;
    if (readings === ROWS) sums.whole += 1;
    else if (visits.length === 0) sums.none += 1;
    else sums.half += 1;
    await kill(one);
  }
  await fs.rm(folder, { recursive: true, force: true });
  console.log(
    `  ${ROUNDS} kills while a table was taken: ${sums.whole} times all of it there, ${sums.none} nothing, ${sums.half} half`,
  );
}

function tableOf(fleetCode: string): string {
  const rows = Array.from({ length: ROWS }, (_, n) => {
    const visit = Math.floor(n / 12);
    const date = new Date(Date.UTC(2016, 0, 4) + visit * 30 * 86_400_000).toISOString().slice(0, 10);
    const place = ['1L', '1R', '2L', '2R'][Math.floor((n % 12) / 3)] ?? '1L';
    const spot = ['outer', 'centre', 'inner'][n % 3] ?? 'outer';
    return [fleetCode, date, 10_000 + visit * 1500, 'tyre.tread', place, spot, (8 - (visit % 50) * 0.12).toFixed(1)];
  });
  return [['vehicle', 'date', 'km', 'point', 'place', 'spot', 'value'], ...rows].map((row) => row.join(',')).join('\n');
}

/** Kills a restore: the folder is not there afterwards, or whole; and it can be done again. */
async function killedRestores(): Promise<void> {
  const [folder, backups] = [await demoFolder(), `${await newFolder()}-backups`];
  const one = await startProcess(folder, { WESKOPOS_BACKUPS: backups });
  await signIn(one);
  await one.client.send('POST', '/api/storage/backups', {});
  await kill(one);
  const sums = { whole: 0, none: 0, wrong: 0 };
  const target = `${folder}-restored`;
  for (let round = 1; round <= ROUNDS; round += 1) {
    const restoring = spawn('node', ['--import', 'tsx', 'server/src/restoreCommand.ts', target], {
      cwd: ROOT,
      env: { ...process.env, WESKOPOS_DATA: folder, WESKOPOS_BACKUPS: backups },
      stdio: 'ignore',
    });
    await someTime(5000);
    restoring.kill('SIGKILL');
    await ended(restoring);
    const isThere = await fs.stat(target).then(
      () => true,
      () => false,
    );
    if (isThere) sums.whole += 1;
    else {
      sums.none += 1;
      await restoreBackup(backups, target);
    }
    const restored = await startWorkshop({ dataFolder: target });
    await restored.client.send('POST', '/api/session', { name: 'Maren', secret: '112358' });
    const { body } = await restored.client.send('POST', '/api/verify', {});
    if ((body as { breaks: unknown[]; signatures: number }).breaks.length > 0) sums.wrong += 1;
    await restored.stop();
    await fs.rm(`${target}.restoring`, { recursive: true, force: true });
  }
  await fs.rm(folder, { recursive: true, force: true });
  await fs.rm(backups, { recursive: true, force: true });
  console.log(
    `  ${ROUNDS} kills while a backup was brought back: ${sums.whole} times the folder was there and whole, ${sums.none} times not there and brought back again, ${sums.wrong} wrong`,
  );
}
