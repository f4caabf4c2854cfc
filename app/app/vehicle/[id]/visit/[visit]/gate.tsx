export { GatePage as default } from '../../../../../src/features/ends/GatePage';
