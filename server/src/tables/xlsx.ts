import WorkbookWriter from 'exceljs/lib/stream/xlsx/workbook-writer';
import type { Writable } from 'node:stream';
import type { Cell } from './csv';

/**
 * Rows as a spreadsheet, written while they come. Text stays text: nothing in it is a formula. Moments stay as they are
 * written everywhere else.
 */
export async function writeXlsx(name: string, rows: AsyncIterable<readonly Cell[]>, to: Writable): Promise<void> {
  const book = new WorkbookWriter({ stream: to, useStyles: false, useSharedStrings: false });
  const sheet = book.addWorksheet(name);
  for await (const row of rows) sheet.addRow([...row]).commit();
  sheet.commit();
  await book.commit();
}
