import { randomUUID } from 'node:crypto';
import { monitorEventLoopDelay } from 'node:perf_hooks';
import { buffer } from 'node:stream/consumers';
import sharp from 'sharp';
import { ZipFile } from 'yazl';
import { keepPhoto } from '@weskopos/server/photos/keepPhoto';
import { fetchBundle, sendBundle, takeBundle } from '@weskopos/server/tests/bundles';
import { startWorkshop, type TestWorkshop } from '@weskopos/server/tests/workshop';
import { demoFolder } from './demoFolder';
import { timed } from './timed';

/** Photos that are added to the demo's few. */
const PHOTOS = 300;

/** Bundles and backups: how fast beside reading and zipping plainly, how long the event loop was held. */
export async function benchArchive(): Promise<void> {
  const workshop = await startWorkshop({ dataFolder: await demoFolder() });
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
