export { Walk as default } from '../../../../../src/features/walk/lazyWalk';
