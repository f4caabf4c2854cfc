export { BenchPage as default } from '../src/features/bench/BenchPage';
