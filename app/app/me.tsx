export { MePage as default } from '../src/features/me/MePage';
