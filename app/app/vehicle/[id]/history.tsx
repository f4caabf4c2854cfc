export { History as default } from '../../../src/features/desk/lazyShapes';
