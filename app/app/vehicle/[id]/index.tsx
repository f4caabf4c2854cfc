export { NowPage as default } from '../../../src/features/now/NowPage';
