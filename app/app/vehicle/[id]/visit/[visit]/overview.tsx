export { Overview as default } from '../../../../../src/features/walk/lazyWalk';
