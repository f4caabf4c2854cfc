export { People as default } from '../src/features/desk/lazyShapes';
