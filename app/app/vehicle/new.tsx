export { NewVehicle as default } from '../../src/features/vehicle/NewVehicle';
