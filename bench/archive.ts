import { randomUUID } from 'node:crypto';
import fs from 'node:fs/promises';
import { monitorEventLoopDelay } from 'node:perf_hooks';
import path from 'node:path';
import { buffer } from 'node:stream/consumers';
import sharp from 'sharp';
import { ZipFile } from 'yazl';
import { keepPhoto } from '@weskopos/server/photos/keepPhoto';
import { restoreBackup } from '@weskopos/server/backup/restoreBackup';
import { fetchBundle, sendBundle, takeBundle, unzipped } from '@weskopos/server/tests/bundles';
import { kill, setupCode, startProcess } from '@weskopos/server/tests/process';
import { bareFolder, newFolder, startWorkshop, type TestWorkshop } from '@weskopos/server/tests/workshop';

const ROOT = path.resolve(__dirname, '..');
/** Rounds of kill −9 in the middle of each. */
const ROUNDS = Number(process.env.KILLS ?? 50);
/** Photos that are added to the demo's few. */
const PHOTOS = 300;

/** Bundles and backups: how fast beside reading and zipping plainly, how long the event loop was held, and what a kill in the middle leaves. */
export async function benchArchive(): Promise<void> {
  const folder = await bareFolder();
  await fs.cp(path.join(ROOT, '.cache', 'demo'), folder, { recursive: true });
  const workshop = await startWorkshop({ dataFolder: folder });
  await workshop.client.send('POST', '/api/session', { name: 'Maren', secret: '112358' });
  await addPhotos(workshop);
  const plainMs = await timed(() => zippedPlainly(workshop));
  const held = monitorEventLoopDelay({ resolution: 5 });
  held.enable();
  let archive: Buffer = Buffer.alloc(0);
  const outMs = await timed(async () => void (archive = await fetchBundle(workshop.client)));
  const heldOut = held.max / 1e6;
  const empty = await startWorkshop();
  await empty.client.setUp(empty.context.setupCode);
  held.reset();
  const plan = await sendBundle(empty.client, archive);
  const inMs = await timed(async () => void (await takeBundle(empty.client, String(plan.body.id))));
  const heldIn = held.max / 1e6;
  held.disable();
  console.log(`archive of ${(archive.length / 1e6).toFixed(1)} MB:
  out ${(outMs / 1000).toFixed(1)} s, ${(plainMs / outMs).toFixed(2)} × the speed of reading the same rows and zipping the same photos plainly (${(plainMs / 1000).toFixed(1)} s); event loop held ${heldOut.toFixed(0)} ms at most
  in ${(inMs / 1000).toFixed(1)} s; event loop held ${heldIn.toFixed(0)} ms at most`);
  await workshop.stop();
  await empty.stop();
  await killedImports(await smallArchive(), inMs);
  await killedBackups();
}

async function timed(work: () => Promise<void>): Promise<number> {
  const began = performance.now();
  await work();
  return performance.now() - began;
}

/** Pictures as large as a phone takes them, on findings of the demo. */
async function addPhotos({ context }: TestWorkshop): Promise<void> {
  const { engine } = context;
  const findings = await engine.query<{ id: string; by: string }>(
    'select id, made_by as by from finding order by id limit $1::integer',
    [PHOTOS],
  );
  for (const [at, { id, by }] of findings.entries()) {
    const noise = { type: 'gaussian', mean: 90 + (at % 60), sigma: 30 } as const;
    const picture = await sharp({ create: { width: 2048, height: 1536, channels: 3, background: '#777', noise } })
      .blur(2)
      .jpeg({ quality: 90 })
      .toBuffer();
    const photo = randomUUID();
    await keepPhoto(context, photo, picture, by);
    await engine.query(
      'insert into finding_photo (finding_id, photo_id, position) values ($1, $2, 1) on conflict do nothing',
      [id, photo],
    );
  }
}

/** The baseline: every row as the database gives it, every photo as it lies, into one archive. */
async function zippedPlainly({ context: { engine, photos } }: TestWorkshop): Promise<void> {
  const zip = new ZipFile();
  const done = buffer(zip.outputStream);
  for (const table of [
    'vehicle',
    'inspection',
    'finding',
    'reading',
    'leak',
    'item_count',
    'fault_code',
    'finding_photo',
    'act',
    'amendment',
    'life_entry',
    'forecast',
    'signature',
    'rulebook',
    'photo',
  ]) {
    const rows = await engine.query(`select * from ${table}`);
    zip.addBuffer(Buffer.from(rows.map((row) => JSON.stringify(row)).join('\n')), `${table}.jsonl`);
  }
  for (const { sha256 } of await engine.query<{ sha256: string }>('select distinct sha256 from photo'))
    zip.addFile(photos.pathOf(sha256, 'full'), `photos/${sha256}.jpg`, { compress: false });
  zip.end();
  await done;
}

async function smallArchive(): Promise<Buffer> {
  const folder = await bareFolder();
  await fs.cp(path.join(ROOT, '.cache', 'demo'), folder, { recursive: true });
  const demo = await startWorkshop({ dataFolder: folder });
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
    else await one.client.send('POST', '/api/session', { name: 'Maren', secret: '112358' });
    const { body } = await sendBundle(one.client, archive);
    const taking = takeBundle(one.client, String(body.id)).catch(() => null);
    await new Promise((resolve) => setTimeout(resolve, Math.random() * usualMs * 1.2));
    await kill(one);
    await taking;
    one = await startProcess(folder, { WESKOPOS_BACKUPS: path.join(folder, 'backups') });
    await one.client.send('POST', '/api/session', { name: 'Maren', secret: '112358' });
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
  const folder = await bareFolder();
  await fs.cp(path.join(ROOT, '.cache', 'demo'), folder, { recursive: true });
  const backups = `${folder}-backups`;
  let [made, none, spoiled] = [0, 0, 0];
  for (let round = 1; round <= ROUNDS; round += 1) {
    const one = await startProcess(folder, { WESKOPOS_BACKUPS: backups });
    await one.client.send('POST', '/api/session', { name: 'Maren', secret: '112358' });
    const before = await fs.readdir(path.join(backups, 'sets')).catch((): string[] => []);
    const making = one.client.send('POST', '/api/storage/backups', {}).catch(() => null);
    await new Promise((resolve) => setTimeout(resolve, Math.random() * 4000));
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
