export { LifePage as default } from '../../../src/features/life/LifePage';
