export { ScorecardPage as default } from '../src/features/desk/lazyPages';
