export { ErrorNotice as ErrorBoundary } from '../src/shell/ErrorNotice';
export { Root as default } from '../src/features/root/Root';
