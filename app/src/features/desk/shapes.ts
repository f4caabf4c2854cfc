export { upgradeOperation } from '@weskopos/contract';
export { People } from '../people/People';
export { Setup } from '../signin/Setup';
export { VehicleEditor } from '../vehicle/VehicleEditor';
