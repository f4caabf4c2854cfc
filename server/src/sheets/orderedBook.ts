import { createWriteStream } from 'node:fs';
import { finished } from 'node:stream/promises';
import { ZipFile } from 'yazl';
import { ZipReader } from '../bundle/zipReader';

/** Bytes a part of a spreadsheet unfolds to at most. */
const MOST_PART = 1e9;
/** What sheets lean on, in the order it is needed: names and kinds first, then formats and texts. */
const BEFORE = ['xl/workbook.xml', 'xl/_rels/workbook.xml.rels', 'xl/styles.xml', 'xl/sharedStrings.xml'];
const SHEET = /^xl\/worksheets\/sheet(\d+)\.xml$/;

/**
 * Writes a spreadsheet anew with only what its cells need, in an order it can be read in piece by piece: programs write
 * parts in any order. Names and sizes are looked at on the way, as those of every archive.
 *
 * @throws BundleRefused where it is no archive, or made to fill a disk
 */
export async function orderBook(from: string, to: string): Promise<void> {
  const zip = await ZipReader.open(from, { isKnown: () => true, mostBytes: () => MOST_PART });
  try {
    const numberOf = (path: string) => Number(SHEET.exec(path)?.[1]);
    const sheets = [...zip.paths].filter((path) => SHEET.test(path)).sort((a, b) => numberOf(a) - numberOf(b));
    const ordered = new ZipFile();
    const file = createWriteStream(to, { mode: 0o600 });
    ordered.outputStream.pipe(file);
    const done = finished(file);
    for (const path of [...BEFORE.filter((one) => zip.has(one)), ...sheets]) {
      const content = await zip.content(path);
      const passed = finished(content);
      ordered.addReadStream(content, path);
      await passed;
    }
    ordered.end();
    await done;
  } finally {
    zip.close();
  }
}
