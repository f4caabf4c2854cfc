export { People } from '../people/People';
export { Setup } from '../signin/Setup';
export { TrendPage } from '../trend/TrendPage';
export { TrendPanel } from '../trend/TrendPanel';
export { VehicleEditor } from '../vehicle/VehicleEditor';
export { BenchPage } from '../bench/BenchPage';
export { RulesPage } from '../rules/RulesPage';
