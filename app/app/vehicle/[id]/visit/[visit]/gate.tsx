export { GatePage as default } from '../../../../../src/features/sheets/lazySheets';
