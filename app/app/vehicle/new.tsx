export { NewVehicle as default } from '../../src/features/desk/lazyPages';
