export { LostPage as default } from '../src/features/lost/LostPage';
