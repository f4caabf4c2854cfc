export { VehicleEditor as default } from '../../src/features/vehicle/VehicleEditor';
