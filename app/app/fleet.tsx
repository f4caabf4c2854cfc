export { FleetPage as default } from '../src/features/fleet/FleetPage';
