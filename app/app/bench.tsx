export { BenchPage as default } from '../src/features/desk/lazyPages';
