export { StickerPage as default } from '../../../../../src/features/sheets/lazySheets';
