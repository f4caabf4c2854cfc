import { NewerRecord, upgradeOperation } from '@weskopos/contract';
import { DatabaseError, type Engine } from '../db/engine';
import type { Asks, Change, Line } from './change';
import type { Journal } from './journal';
import { UnknownChange, UnreadableJournal } from './journalProblems';
import { isGivenUp, type JournalLine } from './segments';
import { positionIn, repeat, setPosition, settle, type Writers } from './settle';

/** What a replay of the journal brought. */
export interface Replay {
  /** Changes whose effect came from the journal. */
  readonly replayed: number;
  /** Changes that could not take effect again: of the first format, or behind one that was given up. */
  readonly failed: readonly { readonly id: string; readonly why: string }[];
}

/** Lines whose effects are one transaction. */
const PAGE = 500;

/**
 * Brings the database to the journal's end: the effect of each line it does not hold, in their order.
 *
 * @throws UnreadableJournal where a line cannot be read, is of a kind nobody knows, or does not take effect again
 */
export async function replay(engine: Engine, journal: Journal, writers: Writers, asks: Asks): Promise<Replay> {
  const book: Book = { replayed: 0, failed: [], gaps: false };
  let page: Numbered[] = [];
  const apply = async () => {
    await applyPage(engine, page, writers, asks, book);
    page = [];
  };
  for await (const line of journal.read((await positionIn(engine)) + 1)) {
    page.push(understood(line, writers));
    if (page.length >= PAGE) await apply();
  }
  await apply();
  return book;
}

interface Numbered {
  readonly seq: number;
  /** Null for one that was given up. */
  readonly line: Line | null;
}
interface Book {
  replayed: number;
  failed: { id: string; why: string }[];
  gaps: boolean;
}

/** A line as today's program takes it. */
function understood({ seq, json, file, line: at }: JournalLine, writers: Writers): Numbered {
  const entry: unknown = JSON.parse(json.toString('utf8'));
  if (isGivenUp(entry)) return { seq, line: null };
  const line = entry as Line;
  if (!writers.of(line.operation.kind)) throw new UnknownChange(file, at, line.operation.kind);
  try {
    return { seq, line: { ...line, operation: upgradeOperation(line.operation) } };
  } catch (error) {
    if (error instanceof NewerRecord) throw new UnknownChange(file, at, error.message);
    throw error;
  }
}

async function applyPage(
  engine: Engine,
  page: readonly Numbered[],
  writers: Writers,
  asks: Asks,
  book: Book,
): Promise<void> {
  if (page.length === 0) return;
  try {
    book.replayed += await applyTogether(engine, page, writers, asks);
  } catch (error) {
    if (!(error instanceof DatabaseError)) throw error;
    if (page.length > 1) for (const one of page) await applyPage(engine, [one], writers, asks, book);
    else for (const one of page) await passOver(engine, one, error, book);
  }
  book.gaps ||= page.some(({ line }) => line === null);
}

async function applyTogether(engine: Engine, page: readonly Numbered[], writers: Writers, asks: Asks): Promise<number> {
  const lines = page.flatMap(({ line }) => (line ? [line] : []));
  const told = lines.filter((line): line is Required<Line> => line.outcome !== undefined);
  const untold: Change[] = lines.filter(({ outcome }) => outcome === undefined);
  return engine.transaction(async (tx) => {
    // The first format comes before all others, so the two are never mixed up in their order.
    const judged =
      untold.length > 0 ? (await settle(tx, untold, writers, { ...asks, asTold: true, key: null })).lines.length : 0;
    await repeat(tx, told, writers);
    await setPosition(tx, page.at(-1)?.seq ?? 0);
    return judged + told.length;
  });
}

/** One change must not keep a workshop from opening where it is known why: what it was built on is gone. Else the start stops. */
async function passOver(engine: Engine, { seq, line }: Numbered, error: DatabaseError, book: Book): Promise<void> {
  const id = line?.operation.id ?? '';
  if (line?.outcome !== undefined && !book.gaps)
    throw new UnreadableJournal(
      `The change ${id} (line ${seq} of the journal) took effect once and does not again: ${error.message}. ` +
        'The database is not the one the journal belongs to; restore both from one copy of the data folder.',
    );
  book.failed.push({ id, why: error.message });
  await engine.transaction((tx) => setPosition(tx, seq));
}
