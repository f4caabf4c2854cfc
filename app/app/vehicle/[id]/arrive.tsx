export { Arrival as default } from '../../../src/features/sheets/lazySheets';
