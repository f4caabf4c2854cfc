export { Overview as default } from '../../../../../src/features/sheets/lazySheets';
