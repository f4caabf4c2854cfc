import { type Storage } from '@weskopos/contract';
import { spawnSync } from 'node:child_process';
import { randomUUID } from 'node:crypto';
import fs from 'node:fs/promises';
import path from 'node:path';
import { drawPhoto } from '../../../demo/src/drawPhoto';
import { openContext } from '../context';
import { openPglite } from '../db/pgliteEngine';
import { kill, setupCode, startProcess } from '../tests/process';
import { ledgerTables } from '../tests/tables';
import {
  bareFolder,
  configFor,
  newFinding,
  newFolder,
  openVisit,
  operationOf,
  startWorkshop,
  type TestWorkshop,
} from '../tests/workshop';
import { verifySigned } from '../verify/verifySigned';
import { Backups } from './backups';
import { filesIn, setsIn, superfluous } from './backupFolder';
import { restoreBackup } from './restoreBackup';

const ROOT = path.resolve(__dirname, '..', '..', '..');
const started: TestWorkshop[] = [];
const folders: string[] = [];
afterAll(async () => {
  for (const one of started) await one.stop();
  for (const folder of folders) await fs.rm(folder, { recursive: true, force: true });
});

async function begun(): Promise<TestWorkshop> {
  const workshop = await startWorkshop();
  started.push(workshop);
  await workshop.client.setUp(workshop.context.setupCode);
  return workshop;
}
async function target(): Promise<string> {
  const folder = await bareFolder();
  folders.push(folder);
  return path.join(folder, 'restored');
}

/** A signed visit with a photo. */
async function signedVisit({ client }: TestWorkshop): Promise<string> {
  const { inspection } = await openVisit(client);
  const photo = randomUUID();
  await client.send('POST', `/api/photos/${photo}`, await drawPhoto('leak', 0.4, 7), { 'content-type': 'image/jpeg' });
  await client.operations(
    operationOf('finding.put', newFinding(inspection.id, { photos: [{ id: photo, caption: '', marks: [] }] })),
    operationOf('inspection.sign', { inspectionId: inspection.id, signedAt: '2026-06-01T09:00:00.000Z' }),
  );
  return photo;
}

/** Opens a data folder without serving it, and gives what is in it. */
async function opened(folder: string) {
  const context = await openContext(configFor(folder), () => new Date('2026-06-02T08:00:00Z'));
  try {
    return { tables: await ledgerTables(context.engine), verified: await verifySigned(context) };
  } finally {
    await context.close();
  }
}

describe('a backup', () => {
  test('that is made while others work comes back whole in a fresh folder, and works on', async () => {
    const workshop = await begun();
    await signedVisit(workshop);
    const { backupFolder } = workshop.context.config;
    // Others work on meanwhile: the copy is of one moment.
    const working = Promise.all(Array.from({ length: 6 }, () => openVisit(workshop.client)));
    const answer = await workshop.client.send('POST', '/api/storage/backups', {});
    await working;
    expect(answer.body).toMatchObject({
      backups: { sets: [{ bytes: expect.any(Number) }], problem: null },
      room: { database: expect.any(Number), photos: expect.any(Number) },
    });
    expect((answer.body as Storage).room.photos).toBeGreaterThan(1000);

    const folder = await target();
    await restoreBackup(backupFolder, folder);
    const { tables, verified } = await opened(folder);
    expect(verified).toMatchObject({ signatures: 1, photos: 1, breaks: [] });
    const now = await ledgerTables(workshop.context.engine);
    for (const [name, rows] of Object.entries(tables))
      if (name !== 'ledger') expect(now[name]).toEqual(expect.arrayContaining(rows));
    expect(await fs.stat(path.join(folder, 'keys', 'workshop.pem'))).toMatchObject({ mode: 0o100600 });

    // It is a workshop like any other: what is signed from then on follows what was signed before.
    const again = await startWorkshop({ dataFolder: folder });
    started.push(again);
    await again.client.send('POST', '/api/session', { name: 'Maren', secret: '112358' });
    const [vehicle] = tables['signature']!.map((row) => JSON.parse(row) as { vehicle_id: string });
    const [signed] = (await again.client.get(`/api/vehicles/${vehicle!.vehicle_id}/life`)).body.visits;
    const why = { inspectionId: signed.inspection.id, at: '2026-06-02T09:00:00.000Z', why: 'the wrong vehicle' };
    expect(await again.client.operations(operationOf('inspection.void', why))).toMatchObject([{ status: 'applied' }]);
    expect(await verifySigned(again.context)).toMatchObject({ signatures: 2, breaks: [] });
  });

  test('keeps each photo once beside all backups, and a second one goes by its name', async () => {
    const workshop = await begun();
    await signedVisit(workshop);
    const { backupFolder } = workshop.context.config;
    const first = path.basename(await workshop.context.backups.take());
    const photos = await filesIn(path.join(backupFolder, 'photos'));
    expect(photos).toHaveLength(2);
    await signedVisit(workshop);
    await new Promise((resolve) => setTimeout(resolve, 1100));
    await workshop.context.backups.take();
    // The same picture, taken twice.
    expect(await filesIn(path.join(backupFolder, 'photos'))).toEqual(photos);
    expect(await setsIn(backupFolder)).toHaveLength(2);
    const folder = await target();
    expect(await restoreBackup(backupFolder, folder, first)).toBe(first);
    expect((await opened(folder)).verified).toMatchObject({ signatures: 1 });
  });

  test('that is spoiled is not brought back: it names what, and leaves nothing behind', async () => {
    const workshop = await begun();
    await signedVisit(workshop);
    const { backupFolder } = workshop.context.config;
    const set = await workshop.context.backups.take();
    const folder = await target();
    const spoiled = async (file: string, change: (file: string) => Promise<void>) => {
      const kept = await fs.readFile(file);
      await change(file);
      const [why] = await Promise.all([
        restoreBackup(backupFolder, folder).then(String, (error: Error) => error.message),
      ]);
      expect(await fs.readdir(path.dirname(folder))).not.toContain(path.basename(folder));
      await fs.writeFile(file, kept);
      return why;
    };
    const [photo] = await filesIn(path.join(backupFolder, 'photos'));
    const database = path.join(
      set,
      (await filesIn(set)).find((file) => file.startsWith('database/base'))!,
    );
    const flip = async (file: string) => {
      const bytes = await fs.readFile(file);
      bytes[10] = (bytes[10] ?? 0) ^ 1;
      await fs.writeFile(file, bytes);
    };
    expect(await spoiled(database, flip)).toMatch(/database\/base.* is not what it was/);
    expect(await spoiled(database, (file) => fs.rm(file))).toMatch(/lacks database\/base/);
    expect(await spoiled(path.join(backupFolder, 'photos', photo!), flip)).toMatch(
      /photo [0-9a-f]{64} is not what it was/,
    );
    expect(await spoiled(path.join(set, 'backup.json'), (file) => fs.writeFile(file, '{'))).toMatch(
      /There is no backup/,
    );
    await fs.mkdir(folder);
    await fs.writeFile(path.join(folder, 'mine'), '');
    await expect(restoreBackup(backupFolder, folder)).rejects.toThrow('is not empty');
  });

  test('that could not be made is told, until one is', async () => {
    const workshop = await begun();
    const { backupFolder } = workshop.context.config;
    const alarm = async () => (await workshop.client.get('/api/storage/alarm')).body.alarm;
    expect(await alarm()).toBeNull();
    await fs.writeFile(backupFolder, 'in the way');
    const failed = (await workshop.client.send('POST', '/api/storage/backups', {})).body as Storage;
    expect(failed.backups).toMatchObject({
      sets: [],
      problem: { why: expect.stringMatching(/EEXIST|ENOTDIR/) },
    });
    expect(await alarm()).toBe('failed');
    await fs.rm(backupFolder);
    const made = (await workshop.client.send('POST', '/api/storage/backups', {})).body as Storage;
    expect(made.backups).toMatchObject({ problem: null });
    expect(await alarm()).toBeNull();
    expect(made.backups.sets).toHaveLength(1);
  });

  test('that nobody made for days is told', async () => {
    const { engine, ledger, photos, config, backups } = (await begun()).context;
    const { dataFolder, backupFolder } = config;
    const inDays = (days: number) =>
      new Backups({
        ...{ engine, ledger, photos, dataFolder, backupFolder },
        open: openPglite,
        clock: () => new Date(Date.now() + days * 86_400_000),
      }).alarm();
    // A workshop that has only begun has time.
    expect([await inDays(0), await inDays(2), await inDays(4)]).toEqual([
      { alarm: null },
      { alarm: null },
      { alarm: 'old' },
    ]);
    await backups.take();
    expect([await inDays(2), await inDays(4)]).toEqual([{ alarm: null }, { alarm: 'old' }]);
  });

  test('by the command: of a workshop that is open, and of one that is not; then brought back and checked', async () => {
    const folder = await newFolder();
    folders.push(folder);
    const env = { ...process.env, WESKOPOS_DATA: folder, WESKOPOS_BACKUPS: `${folder}/backups` };
    const command = (name: string, ...given: string[]) =>
      spawnSync('node', ['--import', 'tsx', `server/src/${name}Command.ts`, ...given], {
        cwd: ROOT,
        env,
        encoding: 'utf8',
      });
    const running = await startProcess(folder, { WESKOPOS_BACKUPS: env.WESKOPOS_BACKUPS });
    await running.client.setUp(setupCode(running.output));
    await openVisit(running.client);
    const asked = command('backup');
    expect(asked.stdout).toMatch(/it is asked to make a backup…\nMade and checked: .*Z\n/);
    await kill(running);
    expect(command('backup').stdout).toMatch(/^Made and checked: /);
    const restored = await target();
    const back = command('restore', restored);
    expect([back.status, back.stdout]).toEqual([0, expect.stringContaining('All of it holds.')]);
    expect(command('restore', restored)).toMatchObject({ status: 1, stderr: expect.stringContaining('is not empty') });
    expect(command('verify')).toMatchObject({ status: 0, stdout: expect.stringContaining('All of it holds') });
  }, 120_000);
});

describe('which backups go', () => {
  const day = (n: number) => new Date(Date.UTC(2026, 0, 1) + n * 86_400_000).toISOString();
  const kept = (days: number) => {
    const all = Array.from({ length: days }, (_, n) => day(n));
    const gone = new Set(superfluous(all));
    return all.filter((at) => !gone.has(at)).map((at) => at.slice(0, 10));
  };

  test('none of the first week', () => expect(kept(7)).toHaveLength(7));

  test('after half a year: the newest seven, four beginnings of weeks, one of each month', () => {
    expect(kept(180)).toEqual(
      [
        ...['01-01', '02-01', '03-01', '04-01', '05-01', '06-01'],
        ...['06-08', '06-15', '06-22'],
        ...['06-23', '06-24', '06-25', '06-26', '06-27', '06-28', '06-29'],
      ].map((at) => `2026-${at}`),
    );
  });

  test('made day by day the scheme keeps what it would keep of all at once', () => {
    let left: string[] = [];
    for (let n = 0; n < 800; n += 1) {
      left = [...left, day(n)];
      const gone = new Set(superfluous(left));
      left = left.filter((at) => !gone.has(at));
    }
    expect(left.map((at) => at.slice(0, 10))).toEqual(kept(800));
    expect(left.length).toBeLessThanOrEqual(7 + 4 + 12);
  });
});
