export { BringTablePage as default } from '../../src/features/data/table/BringTablePage';
