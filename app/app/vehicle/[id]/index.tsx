export { NowPage as default } from '../../../src/features/desk/lazyPages';
