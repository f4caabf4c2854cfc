import type { FileRead, SheetProblem } from '@weskopos/contract';
import { ENCODINGS, MOST_COLUMNS } from '@weskopos/contract';
import { isOneOf } from '@weskopos/core';
import { cellText, type SheetCell } from '@weskopos/core/sheets/readCell';
import type { SheetRow } from '@weskopos/core/sheets/rowFate';
import chardet from 'chardet';
import type ExcelJS from 'exceljs';
import WorkbookReader from 'exceljs/lib/stream/xlsx/workbook-reader';
import fs from 'node:fs';
import { PassThrough, Transform } from 'node:stream';
import { TextDecoder } from 'node:util';
import Papa from 'papaparse';
import { BundleRefused } from '../bundle/bundleProblem';
import { orderBook } from './orderedBook';

/** Rows of a table at most. */
export const MOST_ROWS = 500_000;
/** Letters of one cell at most: more is a quotation mark that was never closed. */
const MOST_IN_CELL = 20_000;
/** By these rows the headings are found, and separator and style guessed. */
const FIRST_ROWS = 60;
const HEAD_BYTES = 262_144;

/** Why a file cannot be read as a table. */
export class SheetRefused extends Error {
  constructor(
    readonly code: SheetProblem,
    readonly about: string,
  ) {
    super(`${code}: ${about}`);
  }
}

/** A file as it begins: how it is to be read, and its first rows. */
export interface OpenedSheet {
  readonly format: 'csv' | 'xlsx';
  readonly tabs: readonly string[];
  readonly file: FileRead;
  /** First rows from the top, those before the headings too. */
  readonly rows: readonly SheetRow[];
}

const SIGNS: Readonly<Record<FileRead['separator'], string>> = { comma: ',', semicolon: ';', tab: '\t', pipe: '|' };
export const separatorSign = (separator: FileRead['separator']): string => SIGNS[separator];

/** Looks at a file's beginning. @param said how it is to be read, where somebody said so */
export async function openSheet(file: string, said: FileRead | undefined): Promise<OpenedSheet> {
  const head = await headOf(file);
  if (head.length === 0) throw new SheetRefused('sheet-empty', 'the file');
  if (isZip(head)) {
    const book = await firstRowsOfBook(file, said?.tab ?? '');
    const { tabs, tab, rows } = book;
    return {
      format: 'xlsx',
      tabs,
      rows,
      file: { encoding: 'utf-8', separator: 'comma', tab, headingRow: said?.headingRow ?? headingRow(rows) },
    };
  }
  const encoding = said?.encoding ?? (await encodingOf(file, head));
  const separator = said?.separator ?? separatorOf(decodedHead(head, encoding));
  const read: FileRead = { encoding, separator, tab: '', headingRow: said?.headingRow ?? 1 };
  const rows: SheetRow[] = [];
  for await (const row of rowsOfText(file, read)) {
    rows.push(row);
    if (rows.length >= FIRST_ROWS) break;
  }
  if (rows.length === 0) throw new SheetRefused('sheet-empty', 'the file');
  return { format: 'csv', tabs: [], rows, file: { ...read, headingRow: said?.headingRow ?? headingRow(rows) } };
}

/** Every row of a file below its headings; empty ones are left out, and counted. */
export async function* rowsOfSheet(file: string, read: FileRead): AsyncGenerator<SheetRow> {
  const all = isZip(await headOf(file)) ? rowsOfBook(file, read.tab) : rowsOfText(file, read);
  let rows = 0;
  for await (const row of all) {
    if (row.row <= read.headingRow || row.cells.every((cell) => cellText(cell) === '')) continue;
    rows += 1;
    if (rows > MOST_ROWS) throw new SheetRefused('sheet-too-long', `at most ${MOST_ROWS} rows`);
    yield row;
  }
}

async function headOf(file: string): Promise<Buffer> {
  const handle = await fs.promises.open(file);
  try {
    const { buffer, bytesRead } = await handle.read(Buffer.alloc(HEAD_BYTES), 0, HEAD_BYTES, 0);
    return buffer.subarray(0, bytesRead);
  } finally {
    await handle.close();
  }
}

const isZip = (head: Buffer) => head.subarray(0, 4).toString('latin1') === 'PK\u0003\u0004';

const LIKE: Readonly<Record<string, FileRead['encoding']>> = {
  'iso-8859-1': 'windows-1252',
  'iso-8859-2': 'windows-1250',
  'iso-8859-5': 'windows-1251',
  'koi8-r': 'windows-1251',
};

/** By its mark; else UTF-8 where every byte of it is; else as its letters look. */
async function encodingOf(file: string, head: Buffer): Promise<FileRead['encoding']> {
  const mark = head.subarray(0, 2).toString('hex');
  if (mark === 'fffe') return 'utf-16le';
  if (mark === 'feff') return 'utf-16be';
  // Text of figures and Latin letters in two bytes each has a NUL in every pair.
  const nuls = [0, 1].map((at) => head.filter((byte, index) => byte === 0 && index % 2 === at).length);
  if ((nuls[1] ?? 0) > head.length / 4) return 'utf-16le';
  if ((nuls[0] ?? 0) > head.length / 4) return 'utf-16be';
  if (await isUtf8(file)) return 'utf-8';
  const like = (chardet.detect(head) ?? '').toLowerCase();
  return isOneOf(ENCODINGS, like) && like !== 'utf-8' ? like : (LIKE[like] ?? 'windows-1252');
}

async function isUtf8(file: string): Promise<boolean> {
  const decoder = new TextDecoder('utf-8', { fatal: true });
  try {
    for await (const chunk of fs.createReadStream(file)) decoder.decode(chunk as Buffer, { stream: true });
    decoder.decode();
    return true;
  } catch {
    // It is in another encoding.
    return false;
  }
}

const decodedHead = (head: Buffer, encoding: string) => new TextDecoder(encoding).decode(head);

function separatorOf(text: string): FileRead['separator'] {
  const { meta } = Papa.parse(text, { preview: FIRST_ROWS, delimitersToGuess: Object.values(SIGNS) });
  const found = (Object.keys(SIGNS) as FileRead['separator'][]).find((name) => SIGNS[name] === meta.delimiter);
  return found ?? 'comma';
}

/** The first row that is as full as the table is wide, and names instead of counting. */
function headingRow(rows: readonly SheetRow[]): number {
  const filled = ({ cells }: SheetRow) => cells.filter((cell) => cellText(cell) !== '').length;
  const widest = Math.max(...rows.map(filled));
  const names = ({ cells }: SheetRow) =>
    cells.every((cell) => !/^[\d.,\-/ ]+$/.test(cellText(cell)) || cellText(cell) === '');
  return (rows.find((row) => filled(row) >= Math.max(2, 0.6 * widest) && names(row)) ?? rows[0])?.row ?? 1;
}

async function* rowsOfText(file: string, { encoding, separator }: FileRead): AsyncGenerator<SheetRow> {
  const source = fs.createReadStream(file);
  const decoded = source.pipe(decoding(encoding));
  source.on('error', (error) => decoded.destroy(error));
  // Piece by piece: asked row by row the parser would begin its piece anew each time.
  const pieces = new PassThrough({ objectMode: true, highWaterMark: 1 });
  decoded.on('error', (error) => pieces.destroy(error));
  Papa.parse<string[]>(decoded, {
    delimiter: SIGNS[separator],
    chunk: ({ data }, parser) => {
      if (pieces.destroyed) return parser.abort();
      if (pieces.write(data)) return;
      parser.pause();
      pieces.once('drain', () => parser.resume());
    },
    complete: () => pieces.end(),
    error: (error) => pieces.destroy(error),
  });
  let row = 0;
  try {
    for await (const piece of pieces as AsyncIterable<string[][]>)
      for (const cells of piece) {
        row += 1;
        bounded(cells, row);
        yield { row, cells };
      }
  } finally {
    source.destroy();
    decoded.destroy();
    pieces.destroy();
  }
}

function decoding(encoding: string): Transform {
  const decoder = new TextDecoder(encoding, { fatal: true });
  const decode = (chunk: Buffer | undefined, done: (error: Error | null, text?: string) => void) => {
    let text: string;
    try {
      text = decoder.decode(chunk, { stream: chunk !== undefined });
    } catch {
      // A byte that is no letter of it.
      done(new SheetRefused('sheet-unreadable', encoding));
      return;
    }
    done(null, text);
  };
  return new Transform({
    encoding: 'utf8',
    transform: (chunk: Buffer, _encoding, done) => decode(chunk, done),
    flush: (done) => decode(undefined, done),
  });
}

function bounded(cells: readonly SheetCell[], row: number): void {
  if (cells.length > MOST_COLUMNS)
    throw new SheetRefused('sheet-too-wide', `row ${row}: at most ${MOST_COLUMNS} columns`);
  if (cells.some((cell) => typeof cell === 'string' && cell.length > MOST_IN_CELL))
    throw new SheetRefused('sheet-unreadable', `row ${row}: a cell of more than ${MOST_IN_CELL} letters`);
}

/** Sheets of a spreadsheet one after the other, with their rows. */
async function* sheetsOf(
  file: string,
): AsyncGenerator<{ readonly name: string; readonly rows: AsyncIterable<SheetRow> }> {
  const ordered = `${file}.ordered`;
  let n = 0;
  try {
    await orderBook(file, ordered);
    for await (const sheet of new WorkbookReader(ordered, READ_AS)) {
      n += 1;
      // Its type does not tell the name.
      const { name } = sheet as unknown as { readonly name?: string };
      yield { name: name ?? `${n}`, rows: rowsIn(sheet) };
    }
  } catch (error) {
    if (error instanceof SheetRefused) throw error;
    if (error instanceof BundleRefused) throw new SheetRefused('sheet-unreadable', error.code);
    throw new SheetRefused('sheet-unreadable', error instanceof Error ? error.message : 'spreadsheet');
  } finally {
    await fs.promises.rm(ordered, { force: true });
  }
}

const READ_AS = {
  entries: 'emit',
  sharedStrings: 'cache',
  hyperlinks: 'ignore',
  styles: 'cache',
  worksheets: 'emit',
} as const;

async function* rowsIn(sheet: AsyncIterable<ExcelJS.Row>): AsyncGenerator<SheetRow> {
  for await (const row of sheet) {
    const values = Array.isArray(row.values) ? row.values.slice(1) : [];
    // Cells that are not there are holes in the list.
    const cells = Array.from(values, plainCell);
    bounded(cells, row.number);
    yield { row: row.number, cells };
  }
}

async function* rowsOfBook(file: string, tab: string): AsyncGenerator<SheetRow> {
  let found = false;
  for await (const { name, rows } of sheetsOf(file)) {
    // The others are read through as well: the archive is one stream.
    const wanted = !found && (tab === '' || name === tab);
    if (wanted) {
      found = true;
      yield* rows;
    } else for await (const _row of rows) if (found) return;
  }
}

async function firstRowsOfBook(
  file: string,
  said: string,
): Promise<{ readonly tabs: string[]; readonly tab: string; readonly rows: SheetRow[] }> {
  const first = new Map<string, SheetRow[]>();
  for await (const { name, rows } of sheetsOf(file)) {
    const beginning: SheetRow[] = [];
    first.set(name, beginning);
    for await (const row of rows) if (beginning.length < FIRST_ROWS) beginning.push(row);
  }
  const tab = first.has(said) ? said : ([...first].find(([, rows]) => rows.length > 1)?.[0] ?? '');
  const rows = first.get(tab) ?? [];
  if (rows.length === 0) throw new SheetRefused('sheet-empty', 'the spreadsheet');
  return { tabs: [...first.keys()], tab, rows };
}

/** What a cell shows: of a formula its result, of a link its text. */
function plainCell(value: ExcelJS.CellValue): SheetCell {
  if (value === null || value === undefined) return null;
  if (typeof value !== 'object' || value instanceof Date) return value;
  if ('result' in value) return plainCell(value.result ?? null);
  if ('richText' in value) return value.richText.map(({ text }) => text).join('');
  if ('text' in value) return plainCell(value.text);
  if ('error' in value) return value.error;
  return null;
}
