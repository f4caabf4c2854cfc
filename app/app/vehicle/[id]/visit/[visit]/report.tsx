export { ReportPage as default } from '../../../../../src/features/sheets/lazySheets';
