export { Ends as default } from '../../../../../src/features/walk/lazyWalk';
