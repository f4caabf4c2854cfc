export { DataPage as default } from '../../src/features/data/DataPage';
