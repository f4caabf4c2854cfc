export { SpecPage as default } from '../../../src/features/desk/lazyPages';
