export { VehicleEditor as default } from '../../src/features/desk/lazyShapes';
