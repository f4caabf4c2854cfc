export { Yard as default } from '../src/features/yard/Yard';
