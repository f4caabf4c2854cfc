export { VehicleDesk as default } from '../../../src/features/desk/VehicleDesk';
