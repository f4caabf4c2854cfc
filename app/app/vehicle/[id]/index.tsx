export { LifeSheet as default } from '../../../src/features/sheets/lazySheets';
