import fs from 'node:fs/promises';
import path from 'node:path';
import { sync } from '../db/copyDurably';
import { GIVEN_UP, isLegacy, nameOfSegment, readSegment, segmentsIn, writeLine, type Damage } from './segments';

/** Every line of a journal that cannot be read. Reads all of it. */
export async function damagesIn(folder: string): Promise<{ readonly lines: number; readonly damages: Damage[] }> {
  const damages: Damage[] = [];
  let lines = 0;
  for (const segment of await segmentsIn(folder))
    for await (const read of readSegment(segment))
      if ('damage' in read) damages.push(read.damage);
      else lines += 1;
  return { lines, damages };
}

/**
 * Gives up the lines that cannot be read: the spoiled segment is kept beside the others under another name, and stands
 * again with a line in place of each that is lost, so that the next start goes on behind them and says so.
 *
 * @returns what was given up
 */
export async function setDamageAside(folder: string): Promise<readonly Damage[]> {
  const { damages } = await damagesIn(folder);
  for (const file of new Set(damages.map((damage) => damage.file))) await rewrite(folder, file);
  return damages;
}

async function rewrite(folder: string, file: string): Promise<void> {
  const segment = (await segmentsIn(folder)).find((one) => one.file === file);
  if (!segment) return;
  const lines: string[] = [];
  let next = segment.first;
  for await (const read of readSegment(segment)) {
    const until = 'damage' in read ? (read.damage.to ?? read.damage.from + read.damage.lines - 1) + 1 : read.seq;
    for (; next < until; next += 1) lines.push(writeLine(next, GIVEN_UP));
    if ('damage' in read) continue;
    lines.push(writeLine(read.seq, JSON.parse(read.json.toString('utf8')) as object));
    next += 1;
  }
  // The first format has no numbers to tell a gap by: what is rewritten is of today's.
  const name = isLegacy(segment) ? path.join(folder, nameOfSegment(segment.first)) : file;
  const draft = `${name}.draft`;
  await fs.writeFile(draft, lines.join(''), { mode: 0o600 });
  await sync(draft);
  await fs.rename(file, `${file}.set-aside`);
  await fs.rename(draft, name);
  await sync(folder);
}
