export { upgradeOperation } from '@weskopos/contract';
export { Arrival } from '../arrival/Arrival';
export { CorrectArrival } from '../arrival/CorrectArrival';
export { EntryForm } from '../life/EntryForm';
export { HistoryPage } from '../life/HistoryPage';
export { People } from '../people/People';
export { Setup } from '../signin/Setup';
export { VehicleEditor } from '../vehicle/VehicleEditor';
