export { Overview as default } from '../../../../../src/features/overview/Overview';
