export { ReportPage as default } from '../../../../../src/features/report/ReportPage';
