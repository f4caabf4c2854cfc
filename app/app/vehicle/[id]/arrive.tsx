export { Arrival as default } from '../../../src/features/arrival/Arrival';
