export { TrendPage as default } from '../../../../src/features/trend/TrendPage';
