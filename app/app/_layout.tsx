export { Root as default } from '../src/features/root/Root';
