import { constants } from 'node:fs';
import fs from 'node:fs/promises';
import path from 'node:path';
import { sync } from '../db/copyDurably';
import { JournalDamaged, UnreadableJournal } from './journalProblems';
import {
  isLegacy,
  nameOfSegment,
  readSegment,
  segmentsIn,
  writeLine,
  type Damage,
  type JournalLine,
  type Segment,
} from './segments';

/** A segment is closed at this size, bytes: few enough to list, small enough to read at every start. */
const SEGMENT_BYTES = 16 * 1024 * 1024;

/**
 * What took effect, in the order it took effect: lines numbered from 1, in segments named after their first. Only the
 * last segment grows. `append` resolves when its lines are on disk; one caller at a time.
 */
export class Journal {
  private constructor(
    private readonly folder: string,
    private readonly segmentBytes: number,
    private file: fs.FileHandle,
    private length: number,
    private lastLine: number,
    /** Lines of the last segment that cannot be read, found at opening. */
    private readonly damages: readonly Damage[],
  ) {}

  /** Something may stand behind the last whole line: an append failed. */
  private torn = false;

  /** Opens the journal. What stands behind the last whole line was never acknowledged and is cut off. */
  static async open(folder: string, segmentBytes = SEGMENT_BYTES): Promise<Journal> {
    await fs.mkdir(folder, { recursive: true, mode: 0o700 });
    await fs.chmod(folder, 0o700);
    const segments = await segmentsIn(folder);
    const tail = segments.at(-1);
    let [last, whole] = [tail ? tail.first - 1 : 0, 0];
    const damages: Damage[] = [];
    if (tail)
      for await (const read of readSegment(tail)) {
        if ('damage' in read) damages.push(read.damage);
        else [last, whole] = [read.seq, read.end];
      }
    // Damage with nothing sound behind it: how many lines it was is all that can be told.
    const behind = damages.filter(({ to }) => to === null);
    last = Math.max(last, ...behind.map(({ from, lines }) => from + lines - 1));
    const goesOn = tail && !isLegacy(tail) && behind.length === 0;
    const name = goesOn ? tail.file : path.join(folder, nameOfSegment(last + 1));
    const file = await openGrowing(name);
    if (goesOn) {
      await file.truncate(whole);
      await endLine(file, name, whole);
    }
    const { size } = await file.stat();
    await sync(folder);
    return new Journal(folder, segmentBytes, file, size, last, damages);
  }

  /** Number of the last line on disk; 0 of an empty journal. */
  get last(): number {
    return this.lastLine;
  }

  /** Number of the first line that is still kept. */
  async first(): Promise<number> {
    return (await segmentsIn(this.folder))[0]?.first ?? 1;
  }

  /**
   * Writes entries behind the last line. When that fails the journal is as it was: half a line would make all that is
   * written behind it unreadable. Where even that cannot be put right, every later append tries it first.
   */
  async append(entries: readonly object[]): Promise<void> {
    if (this.torn) await this.cutBack();
    if (this.length >= this.segmentBytes) await this.rotate();
    const lines = Buffer.from(entries.map((entry, at) => writeLine(this.lastLine + 1 + at, entry)).join(''));
    try {
      await this.file.appendFile(lines);
      if (!WRITES_THROUGH) await this.file.datasync();
    } catch (error) {
      this.torn = true;
      await this.cutBack().catch(() => undefined);
      throw error;
    }
    this.length += lines.length;
    this.lastLine += entries.length;
  }

  /**
   * Goes on behind line `held`, which the database holds: where its journal is older than itself, the lines between are
   * not made up but left out, and the next segment's name says so.
   */
  async continueBehind(held: number): Promise<void> {
    if (held <= this.lastLine) return;
    this.lastLine = held;
    await this.beginSegment();
  }

  /** Closes the growing segment and begins the next one. */
  async rotate(): Promise<void> {
    if (this.length > 0) await this.beginSegment();
  }

  private async beginSegment(): Promise<void> {
    const next = await openGrowing(path.join(this.folder, nameOfSegment(this.lastLine + 1)));
    await sync(this.folder);
    await this.file.close();
    [this.file, this.length] = [next, 0];
  }

  /** Drops the segments all of whose lines are numbered below `before`. */
  async forget(before: number): Promise<void> {
    const segments = await segmentsIn(this.folder);
    for (const [at, { file }] of segments.entries()) {
      const next = segments[at + 1];
      if (next && next.first <= before) await fs.rm(file);
    }
    await sync(this.folder);
  }

  /** Bytes kept in lines numbered above `after`, whole segments counted. */
  async bytesAfter(after: number): Promise<number> {
    const segments = await segmentsIn(this.folder);
    const wanted = segments.filter((_, at) => (segments[at + 1]?.first ?? Infinity) > after + 1);
    const sizes = await Promise.all(wanted.map(async ({ file }) => (await fs.stat(file)).size));
    return sizes.reduce((sum, size) => sum + size, 0);
  }

  /** Lines that cannot be read although the database, which holds everything up to `held`, has their effects. */
  damagesUpTo(held: number): readonly Damage[] {
    return this.damages.filter(({ from, to, lines }) => (to ?? from + lines - 1) <= held);
  }

  /**
   * The lines numbered from `from` on, read as a stream.
   *
   * @throws JournalDamaged at a line that cannot be read; UnreadableJournal where lines are missing
   */
  async *read(from: number): AsyncGenerator<JournalLine> {
    const segments = await segmentsIn(this.folder);
    let expected = from;
    for (const [at, segment] of segments.entries()) {
      if ((segments[at + 1]?.first ?? Infinity) <= from) continue;
      if (segment.first > expected) throw missing(this.folder, expected, segment);
      for await (const read of readSegment(segment)) {
        if ('damage' in read) {
          if ((read.damage.to ?? Infinity) >= from && read.damage.from <= this.lastLine)
            throw new JournalDamaged(read.damage);
          continue;
        }
        if (read.seq < from) continue;
        if (read.seq !== expected) throw missing(this.folder, expected, segment);
        expected += 1;
        yield read;
      }
    }
  }

  async close(): Promise<void> {
    await this.file.close();
  }

  /** Cuts what a failed append left behind the last whole line. */
  private async cutBack(): Promise<void> {
    const { size } = await this.file.stat();
    if (size !== this.length) {
      await this.file.truncate(this.length);
      await this.file.datasync();
    }
    this.torn = false;
  }
}

/** Whether a write is on disk when it returns, so that no sync has to follow it. */
const WRITES_THROUGH = constants.O_DSYNC !== undefined;

function openGrowing(name: string): Promise<fs.FileHandle> {
  const { O_APPEND, O_CREAT, O_WRONLY, O_DSYNC = 0 } = constants;
  return fs.open(name, O_APPEND | O_CREAT | O_WRONLY | O_DSYNC, 0o600);
}

function missing(folder: string, expected: number, { file }: Segment): UnreadableJournal {
  return new UnreadableJournal(
    `The journal in ${folder} lacks the lines from ${expected} on before ${path.basename(file)}, and the database does not hold them. ` +
      'Restore the newest copy of the whole data folder, or the database of a later day.',
  );
}

/** A last line whose end was lost is whole by its checksum; only its newline is missing. */
async function endLine(file: fs.FileHandle, name: string, length: number): Promise<void> {
  if (length === 0) return;
  const reading = await fs.open(name, 'r');
  try {
    const { buffer } = await reading.read(Buffer.alloc(1), 0, 1, length - 1);
    if (buffer[0] !== NEWLINE) await file.appendFile('\n');
    await file.datasync();
  } finally {
    await reading.close();
  }
}
const NEWLINE = 0x0a;
