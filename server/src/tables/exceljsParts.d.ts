/** The parts of the package that are used, by themselves: the whole of it takes ten times as long to load. */
declare module 'exceljs/lib/stream/xlsx/workbook-writer' {
  import type ExcelJS from 'exceljs';
  const WorkbookWriter: typeof ExcelJS.stream.xlsx.WorkbookWriter;
  export default WorkbookWriter;
}
declare module 'exceljs/lib/stream/xlsx/workbook-reader' {
  import type ExcelJS from 'exceljs';
  const WorkbookReader: typeof ExcelJS.stream.xlsx.WorkbookReader;
  export default WorkbookReader;
}
