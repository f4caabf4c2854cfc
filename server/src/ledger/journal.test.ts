import fs from 'node:fs/promises';
import path from 'node:path';
import { crc32 } from 'node:zlib';
import { bareFolder } from '../tests/workshop';
import { Journal } from './journal';
import { JournalDamaged, UnreadableJournal } from './journalProblems';
import { segmentsIn } from './segments';

let folder: string;
beforeEach(async () => {
  folder = await bareFolder();
});
afterEach(() => fs.rm(folder, { recursive: true, force: true }));

const file = async () => (await segmentsIn(folder)).at(-1)?.file ?? '';
const write = async (entries: readonly object[], segmentBytes?: number) => {
  const journal = await Journal.open(folder, segmentBytes);
  for (const entry of entries) await journal.append([entry]);
  await journal.close();
};
const readFrom = async (journal: Journal, from = 1) => {
  const read: unknown[] = [];
  for await (const { json } of journal.read(from)) read.push(JSON.parse(json.toString('utf8')));
  return read;
};
const read = async (from = 1) => {
  const journal = await Journal.open(folder);
  try {
    return await readFrom(journal, from);
  } finally {
    await journal.close();
  }
};
const numbered = (from: number, to: number) => Array.from({ length: to - from + 1 }, (_, n) => ({ n: from + n }));

test('what was appended, one by one or together, is read back in order and from any line on', async () => {
  const entries = Array.from({ length: 200 }, (_, n) => ({ n, text: `line\nbreak “${n}”` }));
  await write(entries.slice(0, 120));
  const journal = await Journal.open(folder);
  await journal.append(entries.slice(120));
  expect(journal.last).toBe(200);
  await journal.close();
  expect(await read()).toEqual(entries);
  expect(await read(151)).toEqual(entries.slice(150));
});

test('files are for their owner alone', async () => {
  await write([{ n: 1 }]);
  expect((await fs.stat(await file())).mode & 0o077).toBe(0);
  expect((await fs.stat(folder)).mode & 0o077).toBe(0);
});

test('it goes on in a new segment when one is full, and what is before a line can be let go', async () => {
  await write(numbered(1, 30), 200);
  const segments = await segmentsIn(folder);
  expect(segments.length).toBeGreaterThan(2);
  expect(await read()).toEqual(numbered(1, 30));
  const journal = await Journal.open(folder, 200);
  const [, second, third] = segments;
  expect(await journal.bytesAfter(29)).toBeLessThan(await journal.bytesAfter(0));
  await journal.forget(third?.first ?? 0);
  expect(await journal.first()).toBe(third?.first);
  await expect(readFrom(journal, second?.first)).rejects.toThrow(UnreadableJournal);
  expect(await readFrom(journal, third?.first)).toEqual(numbered(third?.first ?? 0, 30));
  await journal.close();
});

test('a torn last line was never acknowledged: cut off, and the next one is whole', async () => {
  await write([{ n: 1 }, { n: 2 }]);
  await fs.appendFile(await file(), '0000abcd 3 {"n": 3, "to');
  expect(await read()).toEqual([{ n: 1 }, { n: 2 }]);
  await write([{ n: 3 }]);
  expect(await read()).toEqual([{ n: 1 }, { n: 2 }, { n: 3 }]);
});

test('zeros at the end, as a power loss leaves them, are cut off', async () => {
  await write([{ n: 1 }]);
  await fs.appendFile(await file(), Buffer.alloc(5000));
  await write([{ n: 2 }]);
  expect(await read()).toEqual([{ n: 1 }, { n: 2 }]);
});

test('a last line that lost its end only is whole, and acknowledged it was', async () => {
  await write([{ n: 1 }, { n: 2 }]);
  const name = await file();
  await fs.truncate(name, (await fs.stat(name)).size - 1);
  expect(await read()).toEqual([{ n: 1 }, { n: 2 }]);
  await write([{ n: 3 }]);
  expect(await read()).toEqual([{ n: 1 }, { n: 2 }, { n: 3 }]);
});

describe('a whole line that changed', () => {
  const spoil = async (from: string, to: string) => {
    const name = await file();
    await fs.writeFile(name, (await fs.readFile(name, 'utf8')).replace(from, to));
  };
  test.each([
    ['a figure', '"n":2', '"n":7', 2],
    ['its number', ' 2 {', ' 9 {', 2],
    ['a byte that became a line’s end', '"n":2', '"n"\n2', 2],
  ])('in %s is damage, told with segment, line and change', async (_, from, to, line) => {
    await write(numbered(1, 3));
    await spoil(from, to);
    await expect(read()).rejects.toThrow(JournalDamaged);
    await expect(read()).rejects.toThrow(new RegExp(`000000000001.journal is damaged at line ${line}: change 2`));
    await expect(read()).rejects.toThrow(/npm run ledger -- set-aside/);
    expect(await read(3)).toEqual([{ n: 3 }]);
  });

  test('at the very end is damage too, counted by its lines; what comes after is numbered behind it', async () => {
    await write(numbered(1, 3));
    await spoil('"n":3', '"n":7');
    const journal = await Journal.open(folder);
    expect(journal.last).toBe(3);
    expect(journal.damagesUpTo(3)).toMatchObject([{ line: 3, from: 3 }]);
    expect(journal.damagesUpTo(2)).toEqual([]);
    await journal.append([{ n: 4 }]);
    await expect(readFrom(journal, 1)).rejects.toThrow(JournalDamaged);
    expect(await readFrom(journal, 4)).toEqual([{ n: 4 }]);
    await journal.close();
  });
});

test('a failed append is cut back: what is appended behind it can be read', async () => {
  const journal = await Journal.open(folder);
  await journal.append([{ n: 1 }]);
  // Half of what was to be written reached the file before the disk was full.
  const inner = journal as unknown as { file: fs.FileHandle };
  const real = inner.file.appendFile.bind(inner.file);
  inner.file.appendFile = async (data) => {
    inner.file.appendFile = real;
    await real((data as Buffer).subarray(0, 12));
    throw Object.assign(new Error('no space'), { code: 'ENOSPC' });
  };
  await expect(journal.append([{ n: 2 }])).rejects.toThrow('no space');
  await journal.append([{ n: 2 }, { n: 3 }]);
  expect(await readFrom(journal)).toEqual(numbered(1, 3));
  await journal.close();
  expect(await read()).toEqual(numbered(1, 3));
});

test('an append that cannot reach the disk is rejected, not forgotten', async () => {
  const journal = await Journal.open(folder);
  await journal.close();
  await expect(journal.append([{ n: 1 }])).rejects.toThrow();
});

test('the first format is the first segment: its lines count from 1, and what is new goes on behind them', async () => {
  const legacy = numbered(1, 3).map((entry) => JSON.stringify(entry));
  const lines = legacy.map((json) => `${crc32(json).toString(16).padStart(8, '0')} ${json}\n`);
  await fs.writeFile(path.join(folder, 'operations.log'), lines.join(''));
  await write(numbered(4, 5));
  expect(await read()).toEqual(numbered(1, 5));
  expect(await read(3)).toEqual(numbered(3, 5));
});

test('a database that is ahead of its journal: lines go on behind what it holds', async () => {
  await write(numbered(1, 2));
  const journal = await Journal.open(folder);
  await journal.continueBehind(7);
  await journal.append([{ n: 8 }]);
  expect(await readFrom(journal, 8)).toEqual([{ n: 8 }]);
  await expect(readFrom(journal, 3)).rejects.toThrow(/lacks the lines from 3/);
  await journal.close();
});
