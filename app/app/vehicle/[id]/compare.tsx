export { ComparePage as default } from '../../../src/features/desk/lazyPages';
