export { JobCardPage as default } from '../../../src/features/desk/lazyPages';
