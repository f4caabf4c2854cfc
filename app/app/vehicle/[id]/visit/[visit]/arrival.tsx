export { CorrectArrival as default } from '../../../../../src/features/desk/lazyShapes';
