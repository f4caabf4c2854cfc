export { Gate as default } from '../../../../../src/features/walk/lazyWalk';
