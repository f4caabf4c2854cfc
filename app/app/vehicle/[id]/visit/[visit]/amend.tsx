export { Amend as default } from '../../../../../src/features/walk/lazyWalk';
