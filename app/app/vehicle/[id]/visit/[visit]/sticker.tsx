export { StickerPage as default } from '../../../../../src/features/sticker/StickerPage';
