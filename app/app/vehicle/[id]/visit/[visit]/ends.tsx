export { EndsPage as default } from '../../../../../src/features/ends/EndsPage';
