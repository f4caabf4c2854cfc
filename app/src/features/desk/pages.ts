export { People } from '../people/People';
export { Setup } from '../signin/Setup';
export { TrendPage } from '../trend/TrendPage';
export { TrendPanel } from '../trend/TrendPanel';
export { NewVehicle } from '../vehicle/NewVehicle';
