import { createHash, randomUUID } from 'node:crypto';
import { createReadStream, createWriteStream } from 'node:fs';
import fs from 'node:fs/promises';
import path from 'node:path';
import { Readable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import { GUARD_HEADER } from '@weskopos/contract';
import { kill, setupCode, startProcess, type Process } from '@weskopos/server/tests/process';
import { newFolder, startWorkshop } from '@weskopos/server/tests/workshop';
import sharp from 'sharp';
import { demoFolder } from './demoFolder';

/** Photos that are added to the demo's few: some 2 GB. */
const PHOTOS = Number(process.env.PHOTOS ?? 2500);

/** A workshop with more photos than one holds in memory: how long it takes out and in, and how much memory the server takes. */
export async function benchLargeArchive(): Promise<void> {
  const folder = await demoFolder();
  await addPhotos(folder);
  const file = `${folder}.zip`;
  const one = await startProcess(folder, { WESKOPOS_BACKUPS: `${folder}-backups` });
  await one.client.send('POST', '/api/session', { name: 'Maren', secret: '112358' });
  const before = await memoryOf(one);
  const [outMs, outMost] = await watched(one, async () => {
    const { body } = await fetch(`${one.client.base}/api/bundle`, { headers: { cookie: one.client.cookie } });
    if (!body) throw new Error('no bundle');
    await pipeline(Readable.fromWeb(body as Parameters<typeof Readable.fromWeb>[0]), createWriteStream(file));
  });
  await kill(one);
  const { size } = await fs.stat(file);
  const empty = await startProcess(await newFolder(), { WESKOPOS_BACKUPS: `${folder}-backups` });
  await empty.client.setUp(setupCode(empty.output));
  const blank = await memoryOf(empty);
  let id = '';
  const [lookMs, lookMost] = await watched(empty, async () => {
    const answer = await fetch(`${empty.client.base}/api/imports`, {
      method: 'POST',
      headers: { cookie: empty.client.cookie, [GUARD_HEADER]: '1', 'content-type': 'application/zip' },
      body: Readable.toWeb(createReadStream(file)) as ReadableStream,
      duplex: 'half',
    } as RequestInit);
    ({ id } = (await answer.json()) as { id: string });
  });
  const [takeMs, takeMost] = await watched(empty, async () => {
    const { status, body } = await empty.client.send('POST', `/api/imports/${id}`, { keepOurs: false });
    if (status !== 200) throw new Error(JSON.stringify(body));
  });
  await kill(empty);
  const seconds = (ms: number) => (ms / 1000).toFixed(1);
  console.log(`archive of ${(size / 1e9).toFixed(2)} GB, ${PHOTOS} photos:
  out ${seconds(outMs)} s, memory ${before} MB before, ${outMost} MB at most
  looked at in ${seconds(lookMs)} s, ${blank} MB before, ${lookMost} MB at most
  taken in ${seconds(takeMs)} s, ${takeMost} MB at most`);
  await fs.rm(folder, { recursive: true, force: true });
  await fs.rm(file, { force: true });
}

/** Resident memory of a server, MB. */
async function memoryOf({ child }: Process): Promise<number> {
  const status = await fs.readFile(`/proc/${child.pid}/status`, 'utf8');
  return Math.round(Number(/VmRSS:\s+(\d+) kB/.exec(status)?.[1] ?? 0) / 1000);
}

async function watched(one: Process, work: () => Promise<void>): Promise<readonly [ms: number, mostMb: number]> {
  let most = 0;
  const timer = setInterval(() => void memoryOf(one).then((now) => (most = Math.max(most, now))), 200);
  const began = performance.now();
  await work();
  clearInterval(timer);
  return [performance.now() - began, most];
}

/** Files as large as a phone's photos, each of other bytes: a picture ends where it says so, whatever follows. */
async function addPhotos(folder: string): Promise<void> {
  const workshop = await startWorkshop({ dataFolder: folder });
  const { engine, photos } = workshop.context;
  const noise = { type: 'gaussian', mean: 120, sigma: 30 } as const;
  const picture = await sharp({ create: { width: 2048, height: 1536, channels: 3, background: '#777', noise } })
    .blur(1)
    .jpeg({ quality: 90 })
    .toBuffer();
  const thumb = await sharp(picture).resize(320).jpeg().toBuffer();
  const findings = await engine.query<{ id: string; by: string }>(
    'select id, made_by as by from finding order by id limit $1::integer',
    [PHOTOS],
  );
  for (let at = 0; at < PHOTOS; at += 1) {
    const full = Buffer.concat([picture, Buffer.from(String(at))]);
    const sha256 = createHash('sha256').update(full).digest('hex');
    await fs.mkdir(path.dirname(photos.pathOf(sha256, 'full')), { recursive: true });
    await fs.writeFile(photos.pathOf(sha256, 'full'), full);
    await fs.writeFile(photos.pathOf(sha256, 'thumb'), thumb);
    const finding = findings[at % findings.length];
    const id = randomUUID();
    await engine.query(
      `insert into photo (id, sha256, width, height, bytes, added_by, added_at)
       values ($1::uuid, $2, 2048, 1536, $3, $4::uuid, now())`,
      [id, sha256, full.length, finding?.by ?? null],
    );
    await engine.query(
      'insert into finding_photo (finding_id, photo_id, position) values ($1::uuid, $2::uuid, $3) on conflict do nothing',
      [finding?.id ?? null, id, 10 + Math.floor(at / findings.length)],
    );
  }
  await workshop.pause();
}
