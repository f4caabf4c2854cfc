export { RulesPage as default } from '../src/features/rules/RulesPage';
