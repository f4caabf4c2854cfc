export { Arrival as default } from '../../../src/features/desk/lazyShapes';
