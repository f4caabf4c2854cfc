import fs from 'node:fs/promises';
import path from 'node:path';
import { ended, kill, setupCode, startProcess, type Process } from './tests/process';
import { bareFolder, newFinding, newFolder, openVisit, operationOf } from './tests/workshop';

test('killed in the middle of a load, it finds every acknowledged operation; and again from a database of before the load', async () => {
  const folder = await newFolder();
  const first = await startProcess(folder);
  await first.client.setUp(setupCode(first.output));
  const { inspection } = await openVisit(first.client);
  first.child.removeAllListeners('exit');
  first.child.kill('SIGTERM');
  expect(await ended(first.child)).toBe(0);
  const before = path.join(await bareFolder(), 'database');
  await fs.cp(path.join(folder, 'database'), before, { recursive: true });

  const second = await startProcess(folder);
  second.client.cookie = first.client.cookie;
  const acknowledged: string[] = [];
  let alive = true;
  let enough = () => {};
  // By count, not by time: a slow machine writes as much before the kill as a quick one.
  const loaded = new Promise<void>((resolve) => (enough = resolve));
  const load = Array.from({ length: 6 }, async () => {
    while (alive) {
      const finding = newFinding(inspection.id);
      try {
        const [outcome] = await second.client.operations(operationOf('finding.put', finding));
        if (outcome?.status === 'applied' && acknowledged.push(finding.id) === 60) enough();
      } catch {
        return; // the kill; what was not acknowledged may be lost
      }
    }
  });
  await loaded;
  await kill(second);
  alive = false;
  await Promise.all(load);

  const missing = async (one: Process) => {
    one.client.cookie = first.client.cookie;
    const { body } = await one.client.get(`/api/inspections/${inspection.id}`);
    const have = new Set((body.findings as { id: string }[]).map(({ id }) => id));
    return acknowledged.filter((id) => !have.has(id));
  };
  const third = await startProcess(folder);
  expect(await missing(third)).toEqual([]);
  await kill(third);

  await fs.rm(path.join(folder, 'database'), { recursive: true });
  await fs.cp(before, path.join(folder, 'database'), { recursive: true });
  const fourth = await startProcess(folder);
  expect(fourth.output).toMatch(/Brought back \d+ changes from the journal/);
  expect(await missing(fourth)).toEqual([]);
  await kill(fourth);
}, 120_000);

test('a second process on the folder is refused by name; a stop is graceful and ends by itself', async () => {
  const folder = await bareFolder();
  const first = await startProcess(folder);
  await expect(startProcess(folder)).rejects.toThrow(new RegExp(`${folder} is in use by process ${first.child.pid}`));
  expect((await first.client.get('/healthz')).body).toEqual({ status: 'ok' });
  first.child.removeAllListeners('exit');
  first.child.kill('SIGTERM');
  expect(await ended(first.child)).toBe(0);
  const second = await startProcess(folder);
  await kill(second);
}, 60_000);
