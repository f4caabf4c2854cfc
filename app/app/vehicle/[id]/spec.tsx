export { SpecPage as default } from '../../../src/features/spec/SpecPage';
