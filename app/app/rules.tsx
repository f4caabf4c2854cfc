export { RulesPage as default } from '../src/features/desk/lazyPages';
