export { TrendPage as default } from '../../../../src/features/desk/lazyPages';
