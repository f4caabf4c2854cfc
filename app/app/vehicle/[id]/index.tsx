export { LifeSheet as default } from '../../../src/features/life/LifeSheet';
