import fs from 'node:fs/promises';
import path from 'node:path';
import { newFolder } from '../tests/workshop';
import { Journal, JournalDamaged } from './journal';

let folder: string;
beforeEach(async () => {
  folder = await newFolder();
});
afterEach(() => fs.rm(folder, { recursive: true, force: true }));

const file = () => path.join(folder, 'operations.log');
const write = async (...entries: unknown[]) => {
  const { journal } = await Journal.open(folder);
  await Promise.all(entries.map((entry) => journal.append([entry])));
  await journal.close();
};
const read = async () => {
  const { journal, entries } = await Journal.open<unknown>(folder);
  await journal.close();
  return entries;
};

test('what was appended, one by one or together, is read back in order', async () => {
  const entries = Array.from({ length: 200 }, (_, n) => ({ n, text: `line\nbreak “${n}”` }));
  await write(...entries);
  expect(await read()).toEqual(entries);
});

test('an append made the moment the one before is on disk is not forgotten', async () => {
  const { journal } = await Journal.open(folder);
  for (let n = 0; n < 20; n += 1) await journal.append([{ n }]);
  await journal.close();
  expect(await read()).toHaveLength(20);
});

test('a torn last line was never acknowledged: cut off, and the next one is whole', async () => {
  await write({ n: 1 }, { n: 2 });
  await fs.appendFile(file(), '0000abcd {"n": 3, "to');
  expect(await read()).toEqual([{ n: 1 }, { n: 2 }]);
  await write({ n: 4 });
  expect(await read()).toEqual([{ n: 1 }, { n: 2 }, { n: 4 }]);
});

test('a whole line that changed is damage, named with its number', async () => {
  await write({ n: 1 }, { n: 2 }, { n: 3 });
  await fs.writeFile(file(), (await fs.readFile(file(), 'utf8')).replace('"n":2', '"n":7'));
  await expect(Journal.open(folder)).rejects.toThrow(JournalDamaged);
  await expect(Journal.open(folder)).rejects.toThrow(/line 2/);
});

test('an append that cannot reach the disk is rejected, not forgotten', async () => {
  const { journal } = await Journal.open(folder);
  await journal.close();
  await expect(journal.append([{ n: 1 }])).rejects.toThrow();
});
