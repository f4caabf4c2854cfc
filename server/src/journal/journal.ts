import fs from 'node:fs/promises';
import path from 'node:path';
import { crc32 } from 'node:zlib';

/** A line that was whole once and is not any more: not to be passed over in silence. */
export class JournalDamaged extends Error {
  constructor(file: string, line: number) {
    super(
      `The journal ${file} is damaged at line ${line}. Keep a copy of the data folder and restore the latest backup.`,
    );
  }
}

/**
 * Append-only file of JSON lines, each with its checksum. `append` resolves when the lines are on disk:
 * requests that wait together share one fsync (group commit).
 */
export class Journal {
  private waiting: { lines: string; resolve: () => void; reject: (error: unknown) => void }[] = [];
  private writing: Promise<void> | null = null;

  private constructor(private readonly file: fs.FileHandle) {}

  /** Opens the journal, giving what it holds. A torn last line was never acknowledged and is cut off. */
  static async open<T>(folder: string): Promise<{ journal: Journal; entries: T[] }> {
    await fs.mkdir(folder, { recursive: true });
    const name = path.join(folder, 'operations.log');
    const file = await fs.open(name, 'a+');
    const entries = await readWhole<T>(file, name).catch(async (error: unknown) => {
      await file.close();
      throw error;
    });
    const directory = await fs.open(folder, 'r');
    await directory.sync();
    await directory.close();
    return { journal: new Journal(file), entries };
  }

  append(entries: readonly unknown[]): Promise<void> {
    const lines = entries.map(writeLine).join('');
    return new Promise((resolve, reject) => {
      this.waiting.push({ lines, resolve, reject });
      this.writing ??= this.drain();
    });
  }

  async close(): Promise<void> {
    await this.writing;
    await this.file.close();
  }

  private async drain(): Promise<void> {
    // Left only when nothing waits, and `writing` is cleared in the same tick: an append in between would wait for ever.
    while (this.waiting.length > 0) {
      const group = this.waiting;
      this.waiting = [];
      try {
        await this.file.appendFile(group.map(({ lines }) => lines).join(''));
        await this.file.datasync();
        for (const { resolve } of group) resolve();
      } catch (error) {
        for (const { reject } of group) reject(error);
      }
    }
    this.writing = null;
  }
}

/** Every whole line; what stands behind the last line's end is cut off. */
async function readWhole<T>(file: fs.FileHandle, name: string): Promise<T[]> {
  const text = await file.readFile();
  const whole = text.lastIndexOf(0x0a) + 1;
  if (whole < text.length) await file.truncate(whole);
  const lines = text.subarray(0, whole).toString('utf8').split('\n').slice(0, -1);
  return lines.map((line, index) => readLine<T>(line) ?? fail(name, index + 1));
}

function fail(name: string, line: number): never {
  throw new JournalDamaged(name, line);
}

function writeLine(entry: unknown): string {
  const json = JSON.stringify(entry);
  return `${crc32(json).toString(16).padStart(8, '0')} ${json}\n`;
}

function readLine<T>(line: string): T | undefined {
  const json = line.slice(9);
  return line.slice(0, 8) === crc32(json).toString(16).padStart(8, '0') ? (JSON.parse(json) as T) : undefined;
}
