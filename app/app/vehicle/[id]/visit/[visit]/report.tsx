export { ReportPage as default } from '../../../../../src/features/desk/lazyPages';
