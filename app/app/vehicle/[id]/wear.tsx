export { WearPage as default } from '../../../src/features/wear/WearPage';
