export { WearPage as default } from '../../../src/features/desk/lazyPages';
