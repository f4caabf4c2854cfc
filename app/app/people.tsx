export { People as default } from '../src/features/people/People';
