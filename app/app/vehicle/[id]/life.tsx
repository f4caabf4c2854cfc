export { LifePage as default } from '../../../src/features/desk/lazyPages';
