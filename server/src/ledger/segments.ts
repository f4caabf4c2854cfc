import { createReadStream } from 'node:fs';
import fs from 'node:fs/promises';
import path from 'node:path';
import { crc32 } from 'node:zlib';

/** One file of the journal. */
export interface Segment {
  readonly file: string;
  /** Number of its first line. */
  readonly first: number;
}

/** A whole line, and where in its file it stands. */
export interface JournalLine {
  readonly seq: number;
  /** What it says, as JSON text. */
  readonly json: Buffer;
  readonly file: string;
  readonly line: number;
  /** Bytes of the file up to its end. */
  readonly end: number;
}

/** Lines next to each other that cannot be read. */
export interface Damage {
  readonly file: string;
  /** Where it begins, counted from 1. */
  readonly line: number;
  /** How many lines of the file it spoils. */
  readonly lines: number;
  /** Numbers of the changes that are missing; `to` null where nothing sound follows to tell. */
  readonly from: number;
  readonly to: number | null;
}

/** The first format: one file, lines without a number. It is the first segment of what came after. */
const LEGACY = 'operations.log';
export const isLegacy = ({ file }: Segment) => path.basename(file) === LEGACY;

const DIGITS = 12;
export const nameOfSegment = (first: number) => `${String(first).padStart(DIGITS, '0')}.journal`;

/** A line changes give up on purpose, in place of one that could not be read. */
export const GIVEN_UP = { givenUp: true } as const;
export const isGivenUp = (entry: unknown): boolean => typeof entry === 'object' && entry !== null && 'givenUp' in entry;

/** The journal's files in the order of their lines. */
export async function segmentsIn(folder: string): Promise<Segment[]> {
  const names = await fs.readdir(folder);
  return names
    .flatMap((name) => {
      if (name === LEGACY) return [{ file: path.join(folder, name), first: 1 }];
      const [, first] = /^(\d{12})\.journal$/.exec(name) ?? [];
      return first ? [{ file: path.join(folder, name), first: Number(first) }] : [];
    })
    .sort((a, b) => a.first - b.first || (isLegacy(a) ? -1 : 1));
}

const checksum = (text: string | Buffer) => crc32(text).toString(16).padStart(8, '0');

/** `crc32 number json`, the checksum over all that follows it. */
export function writeLine(seq: number, entry: object): string {
  const text = `${seq} ${JSON.stringify(entry)}`;
  return `${checksum(text)} ${text}\n`;
}

const SPACE = 0x20;
const NEWLINE = 0x0a;
const CHECKSUM_LENGTH = 8;

/** What a line says, by its checksum; undefined for one that is not as it was written. */
function lineIn(bytes: Buffer, legacySeq: number | null): { seq: number; json: Buffer } | undefined {
  const text = bytes.subarray(CHECKSUM_LENGTH + 1);
  if (bytes[CHECKSUM_LENGTH] !== SPACE || bytes.toString('latin1', 0, CHECKSUM_LENGTH) !== checksum(text))
    return undefined;
  if (legacySeq !== null) return { seq: legacySeq, json: text };
  const space = text.indexOf(SPACE);
  const seq = Number(text.toString('latin1', 0, space));
  return { seq, json: text.subarray(space + 1) };
}

/**
 * A segment's lines as a stream, and the damage between them. What stands behind the last line's end is told neither as
 * line nor as damage, unless it is whole but for its newline; nor are zeros at the end, which a power loss leaves.
 */
export async function* readSegment(segment: Segment): AsyncGenerator<JournalLine | { readonly damage: Damage }> {
  const { file, first } = segment;
  const legacy = isLegacy(segment);
  let [seq, line, end] = [first - 1, 0, 0];
  let bad: { line: number; lines: number; from: number } | null = null;
  for await (const { bytes, ended } of linesOf(file)) {
    line += 1;
    end += bytes.length + (ended ? 1 : 0);
    const read = lineIn(bytes, legacy ? seq + 1 + (bad?.lines ?? 0) : null);
    if (!read) {
      if (!ended || bytes.every((byte) => byte === 0)) continue;
      bad ??= { line, lines: 0, from: seq + 1 };
      bad.lines += 1;
      continue;
    }
    if (bad) yield { damage: { file, ...bad, to: read.seq - 1 } };
    [bad, seq] = [null, read.seq];
    yield { ...read, file, line, end };
  }
  if (bad) yield { damage: { file, ...bad, to: null } };
}

/** Lines of a file without their newline; the last one may lack it. */
async function* linesOf(file: string): AsyncGenerator<{ readonly bytes: Buffer; readonly ended: boolean }> {
  let rest: Buffer[] = [];
  for await (const chunk of createReadStream(file) as AsyncIterable<Buffer>) {
    let from = 0;
    for (let at = chunk.indexOf(NEWLINE); at >= 0; at = chunk.indexOf(NEWLINE, from)) {
      yield { bytes: Buffer.concat([...rest, chunk.subarray(from, at)]), ended: true };
      [rest, from] = [[], at + 1];
    }
    if (from < chunk.length) rest.push(chunk.subarray(from));
  }
  if (rest.length > 0) yield { bytes: Buffer.concat(rest), ended: false };
}
