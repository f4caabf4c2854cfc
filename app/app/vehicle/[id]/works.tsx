export { WorksPage as default } from '../../../src/features/desk/lazyPages';
