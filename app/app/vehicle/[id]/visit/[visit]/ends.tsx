export { EndsPage as default } from '../../../../../src/features/sheets/lazySheets';
